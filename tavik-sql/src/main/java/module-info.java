/**
 * Counts pushed down: of databases through JDBC, of Parquet files through an embedded column
 * engine.
 *
 * <p>Begin with {@code Database} of {@code dev.tavik.data}, or, where a program has a data source
 * already, with {@code SqlSource}. Drivers are no part of the module.
 */
module dev.tavik.sql {
  requires transitive dev.tavik.data;
  requires transitive java.sql;
  requires static org.jspecify;

  exports dev.tavik.sql;

  provides dev.tavik.data.Database.Connector with
      dev.tavik.sql.SqlConnector;
  provides dev.tavik.data.ColumnEngine with
      dev.tavik.sql.DuckEngine;

  uses java.sql.Driver;
}
