package dev.tavik.sql;

import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.RowHandler;
import dev.tavik.data.file.ColumnEngine;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.Properties;

/** Reads files by an embedded column engine, DuckDB, without a file of its own or any network. */
public final class DuckEngine implements ColumnEngine {
  private static final String URL = "jdbc:duckdb:";
  private static final int TIMEOUT = 3_600;

  /** An engine, as a service. */
  public DuckEngine() {}

  @Override
  public void parquet(String name, Path file, RowHandler rows) {
    String from = "read_parquet('" + file.toString().replace("'", "''") + "')";
    Database database = Database.at(URL).relation(name).timeout(TIMEOUT).build();
    try (Connection engine = connected(database)) {
      Selection selection = new Selection(from, "file_row_number", new Quoting("\""));
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

  private static Connection connected(Database database) throws SQLException {
    Connection engine =
        Drivers.of(database.url(), Optional.empty()).connect(database.url(), new Properties());
    try (Statement settings = engine.createStatement()) {
      settings.execute("SET autoinstall_known_extensions = false");
      settings.execute("SET autoload_known_extensions = false");
      settings.execute("SET threads = 2");
      settings.execute("SET memory_limit = '1GB'");
    }
    return engine;
  }
}
