package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import java.nio.file.Path;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Says which rows of which database are meant. Passwords are no part of it: they come from the
 * environment ({@code TAVIK_DB_USER}, {@code TAVIK_DB_PASSWORD}), from a file of properties that
 * only its owner may read, or from the driver's own means.
 *
 * <pre>{@code
 * CountSource log = Database.at("jdbc:sqlite:harrowmere.db").relation("firing_log").open();
 * }</pre>
 */
public final class Database {
  /** Default time limit of a statement, in seconds. */
  public static final int USUAL_TIMEOUT = 60;

  private static final Pattern SECRET =
      Pattern.compile("(?i)(password|passwd|pwd|secret|token)\\s*=|//[^/?;@]*:[^/?;@]*@");

  private final String url;
  private final @Nullable String relation;
  private final @Nullable String query;
  private final @Nullable String order;
  private final @Nullable Path credentials;
  private final @Nullable Path drivers;
  private final int timeout;
  private final boolean shown;

  private Database(Builder parts) {
    this.url = parts.url;
    this.relation = parts.relation;
    this.query = parts.query;
    this.order = parts.order;
    this.credentials = parts.credentials;
    this.drivers = parts.drivers;
    this.timeout = parts.timeout;
    this.shown = parts.shown;
  }

  /** Opens databases; the module tavik-sql has one, found as a service. */
  public interface Connector {
    /**
     * Opens the rows of a relation or query.
     *
     * @param database which
     * @return the source; it connects when it is asked
     */
    CountSource open(Database database);
  }

  /**
   * Begins the description of a database.
   *
   * @param url a JDBC URL without a password
   * @return the parts to say
   * @throws IllegalArgumentException if it is none, or holds a password
   */
  public static Builder at(String url) {
    require(
        !SECRET.matcher(url).find(),
        "the URL of a database must not hold a password; put it into TAVIK_DB_PASSWORD, or into a"
            + " file of properties that only you may read");
    require(
        url.startsWith("jdbc:") && url.indexOf(':', 5) > 5,
        "a database must be a JDBC URL such as jdbc:postgresql://localhost/harrowmere or"
            + " jdbc:sqlite:harrowmere.db, got '%s'",
        url);
    return new Builder(url);
  }

  /** What is said of a database, part by part. */
  public static final class Builder {
    private final String url;
    private @Nullable String relation;
    private @Nullable String query;
    private @Nullable String order;
    private @Nullable Path credentials;
    private @Nullable Path drivers;
    private int timeout = USUAL_TIMEOUT;
    private boolean shown;

    private Builder(String url) {
      this.url = url;
    }

    /**
     * {@return the rows of a table or view, {@code name} or {@code schema.name}}
     *
     * @param name the name
     */
    public Builder relation(String name) {
      this.relation = name;
      return this;
    }

    /**
     * {@return the rows that a query selects}
     *
     * @param sql a SELECT
     */
    public Builder query(String sql) {
      this.query = sql;
      return this;
    }

    /**
     * {@return the column by which rows have an order, for what follows them}
     *
     * @param column the name of the column
     */
    public Builder orderBy(String column) {
      this.order = column;
      return this;
    }

    /**
     * Sets where user and password are read from.
     *
     * @param file properties {@code user} and {@code password}; only its owner may read it, mode
     *     600, or opening refuses it with a {@link DataException}
     * @return the parts to say
     */
    public Builder credentials(Path file) {
      this.credentials = file;
      return this;
    }

    /**
     * {@return a jar with a driver, or a folder of such}
     *
     * @param jarOrFolder a jar, or a folder of jars
     */
    public Builder drivers(Path jarOrFolder) {
      this.drivers = jarOrFolder;
      return this;
    }

    /**
     * Sets the time limit of a statement.
     *
     * @param seconds at least 1; {@value Database#USUAL_TIMEOUT} unless said
     * @return the parts to say
     * @throws IllegalArgumentException if it is less
     */
    public Builder timeout(int seconds) {
      require(seconds > 0, "a time-out must be a number of seconds from 1, got %s", seconds);
      this.timeout = seconds;
      return this;
    }

    /** {@return the statement that counts stands in what is said of the data} */
    public Builder showSql() {
      this.shown = true;
      return this;
    }

    /**
     * Ends.
     *
     * @return the database
     * @throws IllegalArgumentException if it has neither a relation nor a query, or both
     */
    public Database build() {
      require(
          (relation == null) != (query == null),
          "a database needs a relation or a query, one of them");
      return new Database(this);
    }

    /**
     * Opens the rows.
     *
     * @return the source; it connects when it is asked
     * @throws DataException if the module tavik-sql isn't there
     */
    public CountSource open() {
      Database database = build();
      return ServiceLoader.load(Connector.class)
          .findFirst()
          .orElseThrow(
              () ->
                  new DataException(
                      DataException.Code.UNREADABLE,
                      "databases are read by the module tavik-sql, which isn't there"))
          .open(database);
    }
  }

  /** {@return the JDBC URL} */
  public String url() {
    return url;
  }

  /** {@return the table or view, where one is meant} */
  public Optional<String> relation() {
    return Optional.ofNullable(relation);
  }

  /** {@return the query, where one is meant} */
  public Optional<String> query() {
    return Optional.ofNullable(query);
  }

  /** {@return the column by which rows have an order} */
  public Optional<String> order() {
    return Optional.ofNullable(order);
  }

  /** {@return the file with user and password} */
  public Optional<Path> credentials() {
    return Optional.ofNullable(credentials);
  }

  /** {@return where drivers are} */
  public Optional<Path> drivers() {
    return Optional.ofNullable(drivers);
  }

  /** {@return how many seconds a statement may take} */
  public int timeout() {
    return timeout;
  }

  /** {@return whether the statement that counts is to be told} */
  public boolean showsSql() {
    return shown;
  }
}
