package dev.tavik.spark;

import dev.tavik.answer.Detail;
import dev.tavik.count.Names;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.study.SpecException;
import dev.tavik.data.study.StudyFile;
import dev.tavik.report.Report;
import dev.tavik.result.Figures;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.hadoop.conf.Configuration;
import org.apache.spark.sql.SparkSession;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;

/**
 * Asks the questions of a study file on a cluster: a program for {@code spark-submit}.
 *
 * <pre>
 * spark-submit --class dev.tavik.spark.Submitted --packages dev.tavik:tavik-spark:0.1.0 \
 *   tavik-spark.jar acceptance.yaml --data hdfs:///harrowmere/firing-log --out hdfs:///reports/april.html
 * </pre>
 *
 * <p>It ends with status 0 when every question was answered, 2 when the command line is wrong, 3
 * when data can't be used or a question couldn't be answered, 4 after a fault, or when the answer
 * couldn't be written.
 */
@Command(
    name = "tavik-spark",
    description = "Asks the questions of a study file of rows on a cluster.",
    sortOptions = false)
public final class Submitted {
  private static final int WRONG = 2;
  private static final int DATA = 3;
  private static final int FAULT = 4;

  @Parameters(
      paramLabel = "STUDY",
      description = "The study file, YAML or JSON: a path or a URI that the cluster can open.")
  private String study = "";

  @ArgGroup(multiplicity = "1")
  private Rows rows = new Rows();

  @Option(
      names = "--format",
      paramLabel = "FORMAT",
      description = "What the rows are: parquet, orc, csv. It is found from the path otherwise.")
  private @Nullable String format;

  @Option(
      names = "--set",
      paramLabel = "NAME=VALUE",
      description = "What stands for ${NAME} in the study.")
  private Map<String, String> set = new LinkedHashMap<>();

  @Option(
      names = "--out",
      required = true,
      paramLabel = "URI",
      description =
          "Where the answers go: its ending says the form, .json, .csv, .html, .md or .txt.")
  private String out = "";

  @Option(
      names = {"-h", "--help"},
      usageHelp = true,
      description = "Show this help.")
  private boolean help;

  private Submitted() {}

  /** Where the rows are. */
  private static final class Rows {
    @Option(
        names = "--data",
        paramLabel = "URI",
        description = "The rows of every question that names a file: a file or a folder of them.")
    private @Nullable String data;

    @Option(
        names = "--table",
        paramLabel = "NAME",
        description = "The same of a table of the catalogue.")
    private @Nullable String table;
  }

  /**
   * Runs in the session of whoever submitted it, and ends the program with its status.
   *
   * @param arguments the study, where its rows are and where the answers go
   */
  public static void main(String[] arguments) {
    PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
    SparkSession session = SparkSession.builder().appName("Tavik").getOrCreate();
    int status = run(session, err, arguments);
    session.stop();
    System.exit(status);
  }

  /**
   * Asks the questions.
   *
   * @param session the session of the cluster
   * @param err where troubles are told, each in one line
   * @param arguments the command line
   * @return the status with which the program is to end
   */
  public static int run(SparkSession session, PrintWriter err, String... arguments) {
    Submitted submitted = new Submitted();
    CommandLine line = new CommandLine(submitted).setExpandAtFiles(false);
    try {
      line.parseArgs(arguments);
      if (submitted.help) {
        line.usage(err);
        return 0;
      }
      return submitted.ask(session);
    } catch (ParameterException | SpecException e) {
      return told(err, String.valueOf(e.getMessage()), WRONG);
    } catch (DataException e) {
      return told(err, String.valueOf(e.getMessage()), DATA);
    } catch (IOException e) {
      return told(err, "the answers can't be written to " + submitted.out + ": " + said(e), FAULT);
    } catch (IllegalArgumentException e) {
      return told(err, String.valueOf(e.getMessage()), WRONG);
    } catch (RuntimeException e) {
      return told(err, "a fault in Tavik, not in your data: " + e, FAULT);
    }
  }

  private static String said(IOException e) {
    return String.valueOf(e.getMessage()).lines().findFirst().orElse("");
  }

  private static int told(PrintWriter err, String message, int status) {
    err.println("tavik: " + message);
    return status;
  }

  private int ask(SparkSession session) throws IOException {
    Report report = report();
    Configuration hadoop = session.sessionState().newHadoopConf();
    CountSource source = source(session);
    ClusterFiles.requireReplaceable(hadoop, out);
    ClusterFiles files = new ClusterFiles(hadoop, study, source);
    StudyFile file = StudyFile.of(files.study(), files);
    for (Map.Entry<String, String> each : set.entrySet()) {
      file = file.set(each.getKey(), each.getValue());
    }
    StudyAnswer answer = file.read().ask();
    ClusterFiles.write(hadoop, out, report.of(answer, Detail.FINDINGS));
    return answer.faulty() ? FAULT : answer.complete() ? 0 : DATA;
  }

  private Report report() {
    return Report.of(out)
        .orElseThrow(
            () ->
                new SpecException(
                    "the ending of --out says the form, .json, .csv, .html, .md or .txt; got '%s'",
                    Figures.shortened(out)));
  }

  private CountSource source(SparkSession session) {
    Optional<String> said = Optional.ofNullable(format);
    List<String> known = List.of("parquet", "orc", "csv");
    if (said.isPresent() && !known.contains(said.get())) {
      throw new SpecException(
          "--format must be %s, got '%s'%s",
          String.join(", ", known), said.get(), Names.hint(said.get(), known));
    }
    String table = rows.table;
    if (table != null) {
      if (said.isPresent()) {
        throw new SpecException("--format is about files; a table of the catalogue knows its own");
      }
      return ClusterFiles.table(session, table);
    }
    return ClusterFiles.rows(session, String.valueOf(rows.data), said);
  }
}
