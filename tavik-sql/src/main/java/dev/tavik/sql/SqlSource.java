package dev.tavik.sql;

import dev.tavik.count.Names;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.RowHandler;
import dev.tavik.data.RowSource;
import dev.tavik.result.Figures;
import java.net.SocketTimeoutException;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javax.sql.DataSource;

/**
 * The rows of a table, a view or a query. What is counted is counted by the database, in one
 * statement that groups by the columns of the question; only counts cross the wire. Which of the
 * counted values are missing, filtered or successes is decided here, by the rules of every other
 * source, so that no value is ever written into a statement. A text that isn't empty is a value; an
 * empty one and NULL are missing.
 */
public final class SqlSource extends RowSource {
  /** Additional seconds for a stalled network beyond the limit of a statement. */
  private static final int GRACE = 5;

  private final Database database;
  private final Connecting connecting;
  private final String secret;

  /** Connects. */
  interface Connecting {
    Connection connect() throws SQLException;
  }

  SqlSource(Database database, Connecting connecting, String secret) {
    super(database.relation().orElse("the query"));
    this.database = database;
    this.connecting = connecting;
    this.secret = secret;
  }

  /**
   * The rows of a database for which a program has a data source already.
   *
   * @param connections where connections come from; each is closed after use
   * @param relation a table or view, {@code name} or {@code schema.name}
   * @return the source
   */
  public static CountSource of(DataSource connections, String relation) {
    Database database = Database.at("jdbc:given:").relation(relation).build();
    return new SqlSource(database, connections::getConnection, "");
  }

  /**
   * The rows of a query.
   *
   * @param connections where connections come from; each is closed after use
   * @param sql the query
   * @return the source
   */
  public static CountSource ofQuery(DataSource connections, String sql) {
    Database database = Database.at("jdbc:given:").query(sql).build();
    return new SqlSource(database, connections::getConnection, "");
  }

  @Override
  protected Passes passes() {
    return Passes.EACH;
  }

  @Override
  protected void requireOrder() {
    if (database.order().isEmpty()) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "rows of a database have no order; say by which column they do (order-by)");
    }
  }

  @Override
  protected SourceDescription read(RowHandler rows) {
    try (Connection connection = connected()) {
      Dialect dialect = Dialect.of(connection.getMetaData().getDatabaseProductName());
      begin(connection, dialect);
      try {
        return counted(connection, dialect, rows);
      } finally {
        connection.rollback();
      }
    } catch (SQLTimeoutException e) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          "%s took longer than %s; allow more (--db-timeout), or ask about less",
          name(),
          timeout());
    } catch (SQLException e) {
      for (Throwable cause = e; cause != null; cause = cause.getCause()) {
        if (cause instanceof SocketTimeoutException) {
          throw silent();
        }
      }
      throw trouble(e);
    }
  }

  /** Everything happens in one transaction, and a query of the user is the last of it. */
  private SourceDescription counted(Connection connection, Dialect dialect, RowHandler rows)
      throws SQLException {
    String warning = rows.overviews() || database.showsSql() ? dialect.warning(connection) : "";
    SelectedRows selection = selection(connection, dialect);
    try {
      String sql = new SqlRows(connection, database, rows).read(selection);
      return new SourceDescription(
          "a relation of " + connection.getMetaData().getDatabaseProductName(),
          Stream.of(database.showsSql() ? "counted by " + sql : "", warning)
              .filter(each -> !each.isEmpty())
              .toList());
    } catch (SQLException e) {
      dialect.explain(e);
      throw e;
    }
  }

  /** A driver may wait for an answer that never comes; the program doesn't. */
  private Connection connected() throws SQLException {
    FutureTask<Connection> made = new FutureTask<>(connecting::connect);
    Thread thread = new Thread(made, "connecting to a database");
    thread.setDaemon(true);
    thread.start();
    try {
      Connection connection = made.get(database.timeout(), TimeUnit.SECONDS);
      limitWaiting(connection);
      return connection;
    } catch (TimeoutException e) {
      made.cancel(true);
      throw silent();
    } catch (ExecutionException e) {
      if (e.getCause() instanceof SQLException refused) {
        throw refused;
      }
      if (e.getCause() instanceof RuntimeException found) {
        throw found;
      }
      throw new IllegalStateException(e.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      made.cancel(true);
      throw silent();
    }
  }

  /** A statement ends by its own limit first, where the database still answers. */
  private void limitWaiting(Connection connection) {
    try {
      connection.setNetworkTimeout(Runnable::run, 1_000 * (database.timeout() + GRACE));
    } catch (SQLException | UnsupportedOperationException e) {
      // Embedded databases have no network.
    }
  }

  private DataException silent() {
    return new DataException(
        DataException.Code.UNREADABLE,
        "%s: the database didn't answer within %s; check its address, or allow more"
            + " (--db-timeout)",
        name(),
        timeout());
  }

  private String timeout() {
    return Figures.counted(Figures.count(database.timeout()), "second", "seconds");
  }

  private static void begin(Connection connection, Dialect dialect) throws SQLException {
    try {
      connection.setReadOnly(true);
    } catch (SQLException e) {
      // Some drivers accept this only when a connection is opened, as was done.
    }
    connection.setAutoCommit(false);
    for (String first : dialect.begins()) {
      try (Statement statement = connection.createStatement()) {
        statement.execute(first);
      }
    }
  }

  /** The message of a driver without secrets. */
  private DataException trouble(SQLException e) {
    String said = String.valueOf(e.getMessage()).strip().lines().findFirst().orElse("");
    for (String hidden : new String[] {secret, database.url()}) {
      said = hidden.isEmpty() ? said : said.replace(hidden, "***");
    }
    return new DataException(
        DataException.Code.UNREADABLE, "%s can't be read from the database: %s", name(), said);
  }

  private SelectedRows selection(Connection connection, Dialect dialect) throws SQLException {
    String quote = connection.getMetaData().getIdentifierQuoteString().strip();
    Quoting quoting = new Quoting(quote.isEmpty() ? "\"" : quote);
    Optional<String> query = database.query();
    if (query.isPresent()) {
      String sql = SelectedRows.query(query.get());
      SelectedRows selection = SelectedRows.ofQuery(sql, dialect, quoting);
      dialect.requireOneSelect(connection, sql, selection.nothing());
      return selection;
    }
    Relation relation = relation(connection.getMetaData(), database.relation().orElseThrow());
    String from =
        relation.schema().map(schema -> quoting.quoted(schema) + ".").orElse("")
            + quoting.quoted(relation.name());
    return new SelectedRows(
        from, relation.table() ? dialect.place(connection, from) : "", dialect, quoting);
  }

  /** The relation of this name, exactly or without regard to case. */
  private static Relation relation(DatabaseMetaData known, String wanted) throws SQLException {
    List<Relation> all = new ArrayList<>();
    try (ResultSet tables = known.getTables(null, null, "%", null)) {
      while (tables.next()) {
        String type = String.valueOf(tables.getString("TABLE_TYPE"));
        if (!type.contains("INDEX") && !type.contains("SEQUENCE") && !type.startsWith("SYSTEM")) {
          all.add(
              new Relation(
                  Optional.ofNullable(tables.getString("TABLE_SCHEM")),
                  tables.getString("TABLE_NAME"),
                  type.endsWith("TABLE")));
        }
      }
    }
    List<String> names = all.stream().flatMap(each -> each.names().stream()).distinct().toList();
    List<String> matching = Names.matching(wanted, names);
    List<Relation> found =
        matching.size() != 1
            ? List.of()
            : all.stream().filter(each -> each.names().contains(matching.get(0))).toList();
    if (found.size() != 1) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          found.isEmpty()
              ? "the database has no relation '%s'%s"
              : "the database has several relations '%s'; write schema.name%s",
          wanted,
          found.isEmpty() ? Names.hint(wanted, names) : "");
    }
    return found.get(0);
  }

  /** A table or a view. */
  private record Relation(Optional<String> schema, String name, boolean table) {
    List<String> names() {
      return schema.map(each -> List.of(name, each + "." + name)).orElse(List.of(name));
    }
  }
}
