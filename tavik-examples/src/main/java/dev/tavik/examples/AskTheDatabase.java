package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.Database;
import dev.tavik.data.DemoFiles;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;

/**
 * Does the South kiln crack more than 5 % of its tiles? The log lies in a database, which counts;
 * this program first makes one of the demo data.
 */
public final class AskTheDatabase {
  private AskTheDatabase() {}

  /**
   * Makes a database in the folder for passing files, asks, and removes it.
   *
   * @param arguments none
   * @throws IOException if it can't be written
   * @throws SQLException if it can't be filled
   */
  public static void main(String[] arguments) throws IOException, SQLException {
    Path folder = Files.createTempDirectory("harrowmere");
    Path file = folder.resolve("harrowmere.db");
    try {
      ask(file, System.out);
    } finally {
      Files.deleteIfExists(file);
      Files.delete(folder);
    }
  }

  static Answer ask(Path file, PrintStream out) throws IOException, SQLException {
    String url = "jdbc:sqlite:" + file;
    fill(url);
    Tabulation log =
        Database.at(url)
            .relation("firing_log")
            .showSql()
            .open()
            .count(CountRequest.of("grade", "kiln"));
    out.println(String.join("; ", log.remarks()));

    Answer answer =
        RateQuestion.of(log.where("kiln", "South").tally("grade", "cracked"), 0.05)
            .named("South kiln cracks")
            .ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    return answer;
  }

  private static void fill(String url) throws IOException, SQLException {
    try (Connection connection = DriverManager.getConnection(url);
        Statement statement = connection.createStatement();
        BufferedReader log =
            new BufferedReader(
                new InputStreamReader(DemoFiles.open("firing-log.csv"), StandardCharsets.UTF_8))) {
      connection.setAutoCommit(false);
      statement.execute("CREATE TABLE firing_log (" + log.readLine() + ")");
      try (PreparedStatement row =
          connection.prepareStatement("INSERT INTO firing_log VALUES (?, ?, ?, ?, ?)")) {
        for (String line = log.readLine(); line != null; line = log.readLine()) {
          String[] fields = line.split(",", -1);
          for (int i = 0; i < fields.length; i++) {
            row.setString(i + 1, fields[i].isEmpty() ? null : fields[i]);
          }
          row.executeUpdate();
        }
      }
      connection.commit();
    }
  }
}
