package dev.tavik.sql;

import java.sql.Types;
import java.util.Set;

/**
 * A column of what is selected.
 *
 * @param name its name
 * @param type what the driver says that it holds, one of {@link Types}
 * @param typeName the database's own name of that type
 */
record Column(String name, int type, String typeName) {
  private static final Set<Integer> NUMBERS =
      Set.of(
          Types.TINYINT,
          Types.SMALLINT,
          Types.INTEGER,
          Types.BIGINT,
          Types.NUMERIC,
          Types.DECIMAL,
          Types.REAL,
          Types.FLOAT,
          Types.DOUBLE);

  boolean number() {
    return NUMBERS.contains(type);
  }

  /** Whether it holds dates or times, by what the database calls it. */
  boolean moment() {
    return typeName.startsWith("date") || typeName.startsWith("time");
  }

  /** Whether it holds true and false; drivers call it a bit, which strings of bits are too. */
  boolean truth() {
    return type == Types.BOOLEAN || (type == Types.BIT && typeName.startsWith("bool"));
  }
}
