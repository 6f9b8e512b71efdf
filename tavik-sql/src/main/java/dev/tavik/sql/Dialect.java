package dev.tavik.sql;

import java.util.Locale;
import java.util.Properties;

/** What databases do differently, all of it. */
enum Dialect {
  /** PostgreSQL. */
  POSTGRESQL("ctid"),
  /** SQLite. */
  SQLITE("rowid"),
  /** DuckDB. */
  DUCKDB("rowid"),
  /** Any other, of which nothing is known. */
  OTHER("");

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

  String place() {
    return place;
  }

  /** What opens a connection that can't write, beside the standard's own request for it. */
  static Properties readOnly(String url) {
    Properties properties = new Properties();
    if (url.startsWith("jdbc:sqlite:")) {
      // SQLITE_OPEN_READONLY: neither makes a file that isn't there nor writes one that is.
      properties.setProperty("open_mode", "1");
    } else if (url.startsWith("jdbc:duckdb:") && !url.equals("jdbc:duckdb:")) {
      properties.setProperty("duckdb.read_only", "true");
    } else if (url.startsWith("jdbc:postgresql:")) {
      properties.setProperty("readOnly", "true");
      properties.setProperty("readOnlyMode", "always");
      properties.setProperty("ApplicationName", "tavik");
    }
    return properties;
  }
}
