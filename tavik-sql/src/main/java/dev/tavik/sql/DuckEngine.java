package dev.tavik.sql;

import static dev.tavik.result.Figures.say;

import dev.tavik.data.ColumnEngine;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.Missing;
import dev.tavik.data.RowHandler;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Reads files by an embedded column engine, DuckDB, without a file of its own or any network. */
public final class DuckEngine implements ColumnEngine {
  private static final String URL = "jdbc:duckdb:";
  private static final int TIMEOUT = 3_600;

  /** An engine, as a service. */
  public DuckEngine() {}

  @Override
  public void parquet(String name, Path file, RowHandler rows) {
    String from = "read_parquet(" + literal(pattern(file)) + ")";
    Database database = Database.at(URL).relation(name).timeout(TIMEOUT).build();
    try (Connection engine = connected(database, file)) {
      SelectedRows selection =
          new SelectedRows(from, "file_row_number", Dialect.DUCKDB, new Quoting("\""));
      new SqlRows(engine, database, rows).read(selection);
    } catch (SQLException e) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s is no Parquet file that can be read: %s",
          name,
          String.valueOf(e.getMessage())
              .lines()
              .findFirst()
              .orElse("")
              .replace(file.toString(), name));
    }
  }

  @Override
  public boolean text(Path file, char delimiter, int above, List<String> names, RowHandler rows) {
    String columns =
        IntStream.range(0, names.size())
            .mapToObj(i -> "'" + SelectedRows.column(i) + "': 'VARCHAR'")
            .collect(Collectors.joining(", "));
    String missing =
        Missing.WORDS.stream().map(DuckEngine::literal).collect(Collectors.joining(", "));
    String table =
        "read_csv("
            + literal(pattern(file))
            + ", auto_detect = false, columns = {"
            + columns
            + "}, delim = "
            + literal(String.valueOf(delimiter))
            + ", header = false, skip = "
            + above
            + ", quote = '\"', escape = '\"', nullstr = ['', "
            + missing
            + "], allow_quoted_nulls = false, strict_mode = true, null_padding = false,"
            + " ignore_errors = false, max_line_size = 4194304)";
    Database database = Database.at(URL).relation("text").timeout(TIMEOUT).build();
    try (Connection engine = connected(database, file)) {
      if (new SqlRows(engine, database, rows).readAlike(names, SelectedRows.numbered(table))) {
        return true;
      }
    } catch (SQLException e) {
      // Files that the engine can't read are left to the reader of rows, which reports the place of
      // a problem.
      rows.again();
      return false;
    }
    rows.again();
    return false;
  }

  private static String literal(String text) {
    return "'" + text.replace("'", "''") + "'";
  }

  /** Escapes the name, because the engine would take these characters for a pattern. */
  private static String pattern(Path file) {
    return file.toString().replaceAll("[\\[*?]", "[$0]");
  }

  /**
   * An engine that may read this file and touch nothing else. It may write this file too, so that
   * no query of a user is ever run by it.
   */
  private static Connection connected(Database database, Path file) throws SQLException {
    Connection engine =
        Drivers.of(database.url(), Optional.empty()).connect(database.url(), new Properties());
    try (Statement settings = engine.createStatement()) {
      settings.execute("SET autoinstall_known_extensions = false");
      settings.execute("SET autoload_known_extensions = false");
      settings.execute("SET threads = 2");
      settings.execute("SET memory_limit = '1GB'");
      settings.execute(
          say("SET allowed_paths = [%s, %s]", literal(file.toString()), literal(pattern(file))));
      settings.execute("SET enable_external_access = false");
      settings.execute("SET lock_configuration = true");
    }
    return engine;
  }
}
