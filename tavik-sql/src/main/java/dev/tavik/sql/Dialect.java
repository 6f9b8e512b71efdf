package dev.tavik.sql;

import static dev.tavik.result.Figures.require;

import dev.tavik.data.DataException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import java.util.Properties;

/** Everything in which databases differ. */
enum Dialect {
  /** PostgreSQL. */
  POSTGRESQL("ctid") {
    @Override
    String exact(String quoted, Column column) {
      return kept(column) ? quoted : "CAST(" + quoted + " AS text) COLLATE \"C\"";
    }

    @Override
    void requireOneSelect(Connection connection, String query, String wrapped) throws SQLException {
      describe(connection, query);
      describe(connection, wrapped);
    }
  },
  /** SQLite. */
  SQLITE("rowid") {
    @Override
    String exact(String quoted, Column column) {
      return "(" + quoted + " COLLATE BINARY)";
    }

    /**
     * The query is wrapped first, because some pragmas take effect when compiled and none can be
     * wrapped.
     */
    @Override
    void requireOneSelect(Connection connection, String query, String wrapped) throws SQLException {
      describe(connection, wrapped);
      describe(connection, query);
    }
  },
  /** DuckDB, whose driver runs the first of two statements as soon as it is asked to prepare. */
  DUCKDB("rowid") {
    @Override
    String exact(String quoted, Column column) {
      return kept(column) ? quoted : "CAST(" + quoted + " AS VARCHAR) COLLATE \"binary\"";
    }

    @Override
    void requireOneSelect(Connection connection, String query, String wrapped) throws SQLException {
      parse(connection, query);
      parse(connection, wrapped);
    }

    private void parse(Connection connection, String sql) throws SQLException {
      try (PreparedStatement parsing =
          connection.prepareStatement(
              "SELECT CAST(tree ->> 'error' AS VARCHAR), json_array_length(tree -> 'statements'),"
                  + " tree ->> 'error_message' FROM (SELECT json_serialize_sql(?) AS tree)")) {
        parsing.setString(1, sql);
        try (ResultSet tree = parsing.executeQuery()) {
          require(
              tree.next() && "false".equals(tree.getString(1)) && tree.getInt(2) == 1,
              "query must be one SELECT statement that DuckDB can parse as such (a PIVOT can't"
                  + " be); DuckDB says: %s",
              String.valueOf(tree.getString(3)));
        }
      }
    }
  },
  /** Any other database; its queries are checked strictly by their words. */
  OTHER("") {
    @Override
    String exact(String quoted, Column column) {
      return quoted;
    }

    @Override
    void requireOneSelect(Connection connection, String query, String wrapped) throws SQLException {
      require(
          !query.contains(";"), "query must be one statement, without a semicolon, even in a text");
    }
  };

  /** Whether this role may reach beyond the database, which a read-only transaction allows. */
  private static final String REACHES_BEYOND =
      "SELECT current_setting('is_superuser') = 'on' OR EXISTS (SELECT 1 FROM pg_catalog.pg_roles"
          + " WHERE rolname IN ('pg_execute_server_program', 'pg_read_server_files',"
          + " 'pg_write_server_files') AND pg_catalog.pg_has_role(oid, 'member'))";

  /** Where a row stands in its table, so that levels keep the order in which they first appear. */
  private final String place;

  Dialect(String place) {
    this.place = place;
  }

  static Dialect of(String product) {
    return switch (product.toLowerCase(Locale.ROOT)) {
      case "postgresql" -> POSTGRESQL;
      case "sqlite" -> SQLITE;
      case "duckdb" -> DUCKDB;
      default -> OTHER;
    };
  }

  /** An expression by which rows are grouped: a collation may take different values for equal. */
  abstract String exact(String quoted, Column column);

  /**
   * Has the database say, before anything runs, that a query is one SELECT.
   *
   * @param query the query alone
   * @param wrapped the same inside a statement of this program
   */
  abstract void requireOneSelect(Connection connection, String query, String wrapped)
      throws SQLException;

  private static boolean kept(Column column) {
    return column.number() || column.truth();
  }

  /** The database parses it and says what it selects; nothing runs. */
  private static void describe(Connection connection, String sql) throws SQLException {
    try (PreparedStatement statement = connection.prepareStatement(sql)) {
      if (statement.getMetaData() == null || statement.getMetaData().getColumnCount() == 0) {
        throw new SQLException("query must be one SELECT statement");
      }
      require(
          statement.getParameterMetaData().getParameterCount() == 0,
          "query must have its values written in it, got a parameter (?)");
    }
  }

  /** The first statement of a read-only transaction. */
  List<String> begins() {
    return switch (this) {
      case POSTGRESQL -> List.of("SET TRANSACTION READ ONLY");
      case SQLITE -> List.of("PRAGMA query_only = 1");
      case DUCKDB, OTHER -> List.of();
    };
  }

  /** The place of rows of a table; empty where they have none. */
  String place(Connection connection, String table) throws SQLException {
    if (this != SQLITE) {
      return place;
    }
    try (PreparedStatement statement =
        connection.prepareStatement("SELECT " + place + " FROM " + table + " LIMIT 0")) {
      return statement.getMetaData() == null ? "" : place;
    } catch (SQLException e) {
      return "";
    }
  }

  /** A warning to the owner of the database about the role. */
  String warning(Connection connection) throws SQLException {
    if (this != POSTGRESQL) {
      return "";
    }
    try (Statement statement = connection.createStatement();
        ResultSet role = statement.executeQuery(REACHES_BEYOND)) {
      return role.next() && role.getBoolean(1)
          ? "this role may read files or run programs on the database's server, which a read-only"
              + " transaction doesn't prevent; connect as a role without such rights"
          : "";
    }
  }

  /** Translates a driver's message about a file that a query names into advice. */
  void explain(SQLException said) {
    String message = String.valueOf(said.getMessage());
    if (this == DUCKDB && message.contains("disabled by configuration")) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          "a query can't read files; name the file by data (--data)");
    }
  }

  /** Driver properties of a read-only connection. */
  static Properties readOnly(String url) {
    Properties properties = new Properties();
    if (url.startsWith("jdbc:sqlite:")) {
      // SQLITE_OPEN_READONLY: neither creates a missing file nor writes an existing one.
      properties.setProperty("open_mode", "1");
      properties.setProperty("enable_load_extension", "false");
    } else if (url.startsWith("jdbc:duckdb:")) {
      if (!url.equals("jdbc:duckdb:")) {
        properties.setProperty("duckdb.read_only", "true");
      }
      properties.setProperty("autoinstall_known_extensions", "false");
      properties.setProperty("autoload_known_extensions", "false");
      properties.setProperty("enable_external_access", "false");
      properties.setProperty("lock_configuration", "true");
    } else if (url.startsWith("jdbc:postgresql:")) {
      properties.setProperty("readOnly", "true");
      properties.setProperty("readOnlyMode", "always");
      properties.setProperty("preferQueryMode", "extended");
      properties.setProperty("ApplicationName", "tavik");
    }
    return properties;
  }
}
