package dev.tavik.sql;

import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Properties;

/** Opens a database by its URL. */
public final class SqlConnector implements Database.Connector {
  /** A connector, as a service. */
  public SqlConnector() {}

  @Override
  public CountSource open(Database database) {
    UrlOptions.requireAllowed(database.url());
    Properties properties = Dialect.readOnly(database.url());
    Credentials.add(properties, database.credentials(), System.getenv());
    return new SqlSource(
        database, () -> connected(database, properties), properties.getProperty("password", ""));
  }

  private static Connection connected(Database database, Properties properties)
      throws SQLException {
    Connection connection =
        Drivers.of(database.url(), database.drivers()).connect(database.url(), properties);
    if (connection == null) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          "no driver takes the URL of this database (%s)",
          Drivers.kind(database.url()));
    }
    return connection;
  }
}
