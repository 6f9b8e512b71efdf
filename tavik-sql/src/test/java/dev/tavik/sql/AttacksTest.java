package dev.tavik.sql;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Database;
import dev.tavik.data.Sources;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.SocketTimeoutException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Queries and URLs that would write, run or fetch something. Whatever they do, files, tables,
 * sequences and the network are as before. PostgreSQL is asked as a superuser, whom nothing but
 * this program holds back.
 */
@Order(1)
class AttacksTest {
  @TempDir private static Path folder;

  private static EmbeddedPostgres postgres;
  private static ServerSocket network;

  /** A database, and what an attacker would like it to do. */
  private enum Engine {
    POSTGRESQL(
        "COPY (SELECT 'x') TO PROGRAM 'cat > LOOT'",
        "COMMIT; INSERT INTO log VALUES ('Z'); COMMIT"),
    SQLITE(
        "ATTACH 'LOOT' AS loot; CREATE TABLE loot.t (a)", "COMMIT; INSERT INTO log VALUES ('Z')"),
    DUCKDB("COPY (SELECT 1) TO 'LOOT'", "COMMIT; ATTACH 'LOOT'");

    private final List<String> payloads;

    Engine(String... payloads) {
      this.payloads = List.of(payloads);
    }

    String url() {
      return switch (this) {
        case POSTGRESQL -> postgres.getJdbcUrl("postgres", "postgres");
        case SQLITE -> "jdbc:sqlite:" + folder.resolve("log.db");
        case DUCKDB -> "jdbc:duckdb:" + folder.resolve("log.duckdb");
      };
    }
  }

  /** Ways to hide a second statement; {@code !} is what it does. */
  private static final List<String> HIDDEN =
      List.of(
          "SELECT kiln FROM log; !",
          "SELECT $$'$$ AS kiln) AS asked; !; SELECT ('x'",
          "SELECT $$'$$ AS kiln) AS asked; !; --",
          "SELECT E'\\'' AS kiln) AS asked; !; --",
          "SELECT $q$;'$q$ AS kiln; !",
          "SELECT 'a''b' AS kiln; !",
          "SELECT '\\' AS kiln) AS asked; !; --'",
          "SELECT /* /* ' */ */ kiln FROM log) AS asked; !; --",
          "SELECT kiln FROM log -- '\n; !",
          "SELECT 1 AS kiln) AS asked WHERE 1 = 0; !; --",
          "SELECT kiln FROM log WHERE kiln = ';' ; !",
          "; !",
          "!",
          "EXPLAIN SELECT 1; !",
          "SELECT \"kiln\"\"\" FROM log) AS asked; !; --",
          "SELECT kiln FROM log;\u0000!",
          "SELECT kiln FROM log\\; !");

  private static final List<String> EVERYWHERE =
      List.of(
          "INSERT INTO log VALUES ('Z') RETURNING kiln",
          "WITH x AS (INSERT INTO log VALUES ('Z') RETURNING kiln) SELECT kiln FROM x",
          "UPDATE log SET kiln = 'Z' RETURNING kiln",
          "DELETE FROM log",
          "DROP TABLE log",
          "CREATE TABLE loot AS SELECT 1 AS kiln",
          "ALTER TABLE log ADD COLUMN loot INT",
          "BEGIN; DELETE FROM log; COMMIT",
          "ROLLBACK");

  private static final Map<Engine, List<String>> OWN =
      Map.of(
          Engine.POSTGRESQL,
          List.of(
              "SELECT nextval('ids')::text AS kiln",
              "SELECT setval('ids', 99)::text AS kiln",
              "SELECT set_config('transaction_read_only', 'off', true) AS kiln",
              "SELECT set_config('default_transaction_read_only', 'off', false) || nextval('ids')"
                  + " AS kiln",
              "SELECT query_to_xml('INSERT INTO log VALUES (''Z'')', true, true, '')::text AS kiln",
              "SELECT query_to_xml('COPY log TO ''LOOT''', true, true, '')::text AS kiln",
              "DO $$ BEGIN INSERT INTO log VALUES ('Z'); END $$",
              "SELECT trap()::text AS kiln",
              "{call trap()}",
              "{fn trap()}",
              "CALL trap()",
              "TRUNCATE log",
              "SELECT kiln INTO loot FROM log",
              "EXPLAIN ANALYZE INSERT INTO log VALUES ('Z')",
              "PREPARE p AS INSERT INTO log VALUES ('Z')",
              "COPY log TO 'LOOT'",
              "COPY log FROM PROGRAM 'touch LOOT'",
              "SELECT kiln FROM log FOR UPDATE",
              "ALTER SYSTEM SET work_mem = '1MB'",
              "SET SESSION CHARACTERISTICS AS TRANSACTION READ WRITE",
              "CREATE ROLE loot SUPERUSER",
              "CREATE FUNCTION loot() RETURNS int LANGUAGE sql AS 'SELECT 1'",
              "SELECT pg_create_restore_point('loot')::text || nextval('ids') AS kiln",
              "SELECT kiln FROM log WHERE kiln = ?"),
          Engine.SQLITE,
          List.of(
              "SELECT load_extension('LOOT') AS kiln",
              "ATTACH 'LOOT' AS loot",
              "VACUUM INTO 'LOOT'",
              "PRAGMA query_only = 0",
              "PRAGMA journal_mode = wal",
              "PRAGMA user_version = 7",
              "PRAGMA writable_schema = 1",
              "backup to LOOT",
              "restore from LOOT",
              "SELECT writefile('LOOT', 'x') AS kiln",
              "SELECT edit('x') AS kiln",
              "REPLACE INTO log VALUES ('Z')",
              "CREATE VIRTUAL TABLE loot USING fts5(a)",
              "CREATE TRIGGER t AFTER INSERT ON log BEGIN SELECT 1; END",
              "REINDEX",
              "ANALYZE",
              "SELECT kiln FROM log WHERE kiln = ?"),
          Engine.DUCKDB,
          List.of(
              "SELECT nextval('ids') AS kiln",
              "SELECT * FROM read_csv('SECRET')",
              "SELECT * FROM read_text('SECRET')",
              "SELECT * FROM 'SECRET'",
              "SELECT * FROM glob('/etc/*')",
              "SELECT * FROM read_csv('http://127.0.0.1:PORT/x.csv')",
              "SELECT * FROM 'http://127.0.0.1:PORT/x.parquet'",
              "SELECT * FROM read_duckdb('LOOT')",
              "INSTALL httpfs",
              "LOAD 'LOOT'",
              "ATTACH 'LOOT'",
              "EXPORT DATABASE 'LOOT'",
              "SELECT * FROM import_database('LOOT')",
              "SELECT * FROM enable_logging(storage = 'file', storage_path = 'LOOT')",
              "SELECT * FROM enable_profiling(save_location = 'LOOT')",
              "SELECT * FROM query('COPY log TO ''LOOT''')",
              "SELECT * FROM json_execute_serialized_sql(json_serialize_sql('DELETE FROM log'))",
              "SELECT * FROM register_external_resource('LOOT')",
              "SET enable_external_access = true",
              "RESET lock_configuration",
              "PIVOT log ON kiln USING count(*)",
              "CREATE SECRET (TYPE http)",
              "SELECT ? AS kiln"));

  @BeforeAll
  static void fill() throws IOException, SQLException {
    postgres = EmbeddedPostgres.builder().start();
    network = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
    Files.writeString(folder.resolve("secret.csv"), "kiln\nhidden\n");
    for (Engine engine : Engine.values()) {
      try (Connection connection = DriverManager.getConnection(engine.url());
          Statement statement = connection.createStatement()) {
        statement.execute("CREATE TABLE log (kiln VARCHAR(10))");
        statement.execute("INSERT INTO log VALUES ('North'), ('South')");
        if (engine != Engine.SQLITE) {
          statement.execute("CREATE SEQUENCE ids");
        }
        if (engine == Engine.POSTGRESQL) {
          statement.execute(
              "CREATE FUNCTION trap() RETURNS int LANGUAGE plpgsql AS $$ BEGIN INSERT INTO log"
                  + " VALUES ('Z'); RETURN 1; END $$");
          statement.execute("CREATE ROLE analyst LOGIN; GRANT SELECT ON log TO analyst");
        }
      }
    }
  }

  @AfterAll
  static void stop() throws IOException {
    postgres.close();
    network.close();
  }

  static Stream<List<String>> attacks() {
    return Arrays.stream(Engine.values())
        .flatMap(
            engine ->
                Stream.of(
                        HIDDEN.stream()
                            .flatMap(
                                way ->
                                    engine.payloads.stream().map(each -> way.replace("!", each))),
                        EVERYWHERE.stream(),
                        OWN.getOrDefault(engine, List.of()).stream())
                    .flatMap(each -> each)
                    .map(query -> List.of(engine.name(), query)));
  }

  @Test
  void thereAreFortyForEachEngine() {
    for (Engine engine : Engine.values()) {
      assertThat(attacks().filter(attack -> attack.get(0).equals(engine.name())))
          .hasSizeGreaterThanOrEqualTo(40);
    }
  }

  @ParameterizedTest
  @MethodSource("attacks")
  void nothingIsTouched(List<String> attack) throws IOException, SQLException {
    Engine engine = Engine.valueOf(attack.get(0));
    String query =
        attack
            .get(1)
            .replace("LOOT", folder.resolve("loot").toString())
            .replace("SECRET", folder.resolve("secret.csv").toString())
            .replace("PORT", String.valueOf(network.getLocalPort()));
    List<Object> before = state(engine);
    CountSource source = Database.at(engine.url()).query(query).open();
    assertThatThrownBy(() -> source.count(CountRequest.of("kiln")))
        .isInstanceOfAny(DataException.class, IllegalArgumentException.class)
        .satisfies(refused -> assertThat(refused.getMessage()).doesNotContain("\n"));
    assertThatThrownBy(source::overview)
        .isInstanceOfAny(DataException.class, IllegalArgumentException.class);
    assertThat(state(engine)).isEqualTo(before);
  }

  /** Files with their bytes, what the server has, and whether anybody called. */
  private static List<Object> state(Engine engine) throws IOException, SQLException {
    Map<String, Integer> files = new TreeMap<>();
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path file : all.filter(Files::isRegularFile).toList()) {
        files.put(file.toString(), Arrays.hashCode(Files.readAllBytes(file)));
      }
    }
    List<Object> state = new ArrayList<>(List.of(files));
    if (engine == Engine.POSTGRESQL) {
      try (Connection connection = DriverManager.getConnection(engine.url());
          Statement statement = connection.createStatement();
          ResultSet found =
              statement.executeQuery(
                  "SELECT (SELECT string_agg(kiln, ',') FROM log), (SELECT last_value::text ||"
                      + " is_called FROM ids), (SELECT count(*) FROM pg_class), (SELECT count(*)"
                      + " FROM pg_proc), (SELECT count(*) FROM pg_roles), (SELECT count(*) FROM"
                      + " pg_largeobject_metadata), current_setting('work_mem')")) {
        found.next();
        for (int i = 1; i <= 7; i++) {
          state.add(found.getString(i));
        }
      }
    }
    network.setSoTimeout(1);
    assertThatThrownBy(network::accept).isInstanceOf(SocketTimeoutException.class);
    return state;
  }

  /** What is one SELECT is answered, with any marks in its texts. */
  @ParameterizedTest
  @EnumSource(Engine.class)
  void oneSelectIsAnswered(Engine engine) {
    for (String query :
        List.of(
            "SELECT kiln FROM log;",
            "SELECT kiln FROM log -- ; the end",
            "WITH x AS (SELECT kiln || ';''' AS kiln FROM log) SELECT kiln FROM x",
            "VALUES ('a'), ('b;')")) {
      assertThat(Database.at(engine.url()).query(query).open().overview().rows()).isEqualTo(2);
    }
  }

  /**
   * Large objects and settings aren't held back by a read-only transaction: its end undoes them.
   */
  @Test
  void whatATransactionAllowsIsUndone() throws IOException, SQLException {
    List<Object> before = state(Engine.POSTGRESQL);
    for (String query :
        List.of(
            "SELECT lo_from_bytea(0, 'x')::text AS kiln",
            "SELECT lo_import('/etc/hostname')::text AS kiln",
            "SELECT set_config('default_transaction_read_only', 'off', false) AS kiln",
            "SELECT set_config('work_mem', '1MB', false) AS kiln")) {
      Tabulation counted =
          Database.at(Engine.POSTGRESQL.url()).query(query).open().count(CountRequest.of("kiln"));
      assertThat(counted.rows()).isEqualTo(1);
      assertThat(state(Engine.POSTGRESQL)).isEqualTo(before);
    }
  }

  @Test
  void aRoleThatReachesBeyondTheDatabaseIsWarnedOf() {
    CountSource superuser = Database.at(Engine.POSTGRESQL.url()).relation("log").open();
    assertThat(superuser.overview().remarks()).anyMatch(each -> each.contains("connect as a role"));
    assertThat(superuser.count(CountRequest.of("kiln")).remarks()).isEmpty();
    CountSource analyst =
        Database.at(postgres.getJdbcUrl("analyst", "postgres")).relation("log").open();
    assertThat(analyst.overview().remarks()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "jdbc:postgresql://localhost/x?readOnlyMode=ignore",
        "jdbc:postgresql://localhost/x?user=a&socketFactory=dev.tavik.Evil",
        "jdbc:postgresql://localhost/x?sslfactory=dev.tavik.Evil",
        "jdbc:postgresql://localhost/x?loggerFile=/tmp/loot",
        "jdbc:postgresql://localhost/x?pass%77ord=geheim",
        "jdbc:postgresql://localhost/x?preferQueryMode=simple",
        "jdbc:postgresql://localhost/x?options=-c%20default_transaction_read_only=off",
        "jdbc:postgresql://localhost/x?service=loot",
        "jdbc:sqlite:log.db?enable_load_extension=true",
        "jdbc:sqlite:log.db?open_mode=6",
        "jdbc:sqlite:file:log.db?mode=rwc",
        "jdbc:sqlite:file:log.db?cache=shared",
        "jdbc:sqlite::resource:http://127.0.0.1/x.db",
        "jdbc:sqlite::resource:x.db",
        "jdbc:sqlite:file://127.0.0.1/x.db",
        "jdbc:duckdb:log.duckdb;duckdb.read_only=false",
        "jdbc:duckdb:log.duckdb;session_init_sql_file=loot.sql",
        "jdbc:duckdb:log.duckdb?enable_external_access=true",
        "jdbc:duckdb:md:log",
        "jdbc:duckdb:https://127.0.0.1/x.duckdb",
        "jdbc:duckdb:s3://loot/x.duckdb",
        "jdbc:duckdb:ducklake:x",
        "jdbc:duckdb:postgres:dbname=x",
        "jdbc:h2:mem:x;INIT=RUNSCRIPT FROM 'loot.sql'",
        "jdbc:mysql://localhost/x?autoDeserialize=true",
        "jdbc:mysql://(host=localhost,allowLoadLocalInfile=true)/x"
      })
  void aUrlHasNoOptionThatOpensADoor(String url) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Database.at(url).relation("log").open())
        .withMessageMatching(
            ".*(may have the options|must be a file on this machine|must be ro|without"
                + " brackets|TAVIK_DB_PASSWORD).*")
        .satisfies(refused -> assertThat(refused.getMessage()).doesNotContain("geheim"));
  }

  /** A name of a file is that file's, and the engine that reads it may read no other. */
  @ParameterizedTest
  @ValueSource(strings = {"log[1].parquet", "pq*.parquet", "q?.parquet", "a'b.parquet"})
  void aNameIsNoPattern(String name) throws SQLException {
    for (String each : List.of("log1.parquet", "pq1.parquet", "q1.parquet", name)) {
      try (Connection connection = DriverManager.getConnection("jdbc:duckdb:");
          Statement statement = connection.createStatement()) {
        statement.execute(
            "COPY (SELECT '"
                + each.replace("'", "''")
                + "' AS kiln) TO '"
                + folder.resolve(each).toString().replace("'", "''")
                + "' (FORMAT parquet)");
      }
    }
    assertThat(Sources.open(folder.resolve(name)).count(CountRequest.of("kiln")).counts())
        .isEqualTo(Map.of(List.of(name), 1L));
  }

  @ParameterizedTest
  @EnumSource(Engine.class)
  void anEndlessStatementEndsInTime(Engine engine) {
    for (String query :
        List.of(
            "WITH RECURSIVE x(i) AS (SELECT 1 UNION ALL SELECT 1 - i FROM x) SELECT max(i) AS kiln"
                + " FROM x",
            "WITH RECURSIVE x(kiln) AS (SELECT 1 UNION ALL SELECT 1 - kiln FROM x) SELECT kiln FROM"
                + " x")) {
      CountSource endless = Database.at(engine.url()).query(query).timeout(1).open();
      assertThatThrownBy(() -> endless.count(CountRequest.of("kiln")))
          .isInstanceOf(DataException.class)
          .hasMessage(
              "the query took longer than 1 second; allow more (--db-timeout), or ask about less");
    }
  }
}
