package dev.tavik.spark;

import static org.apache.spark.sql.functions.col;
import static org.apache.spark.sql.functions.lit;
import static org.apache.spark.sql.functions.udf;
import static org.apache.spark.sql.functions.when;

import dev.tavik.data.Recoding;
import dev.tavik.data.RequiredLevel;
import java.io.Serializable;
import java.util.List;
import org.apache.spark.sql.Column;
import org.apache.spark.sql.api.java.UDF1;
import org.apache.spark.sql.types.DataType;
import org.apache.spark.sql.types.DataTypes;
import org.jspecify.annotations.Nullable;

/**
 * The part of the rows that one request needs: the frequencies of the combinations of some columns.
 *
 * @param places the columns
 * @param summed the columns of which sums are needed, a weight first; rows of one group are alike
 *     in its sign
 * @param required what rows must have for the columns to matter that matter only there
 */
record Slice(List<Place> places, List<Integer> summed, List<Required> required)
    implements Serializable {
  /**
   * A column of the combination.
   *
   * @param column where it stands in the data
   * @param type its type
   * @param most how many different values are accepted
   * @param classes what its numbers are read as, where classes are made of them: one number of each
   *     class stands for all
   * @param onlyOfThose whether its values matter only in rows that have what is required
   */
  record Place(int column, DataType type, int most, @Nullable Recoding classes, boolean onlyOfThose)
      implements Serializable {
    /** A key that is equal for values that are read alike; null for a missing one. */
    static String alike(Recoding classes, String written) {
      try {
        String read = classes.of(written);
        return read == null ? "m" : "c" + read;
      } catch (IllegalArgumentException e) {
        // The value lies in no class; one such value is reported.
        return "n";
      }
    }
  }

  /**
   * A level that a row must have.
   *
   * @param column of which column
   * @param type its type
   * @param text whether its values are texts as they stand in a file, without quotes
   * @param level the level
   */
  record Required(int column, DataType type, boolean text, RequiredLevel level)
      implements Serializable {
    private Column met() {
      Column written = Written.grouped(col(SparkRows.column(column)), type);
      UDF1<@Nullable Object, Boolean> has = value -> has(Written.of(value));
      return udf(has, DataTypes.BooleanType).apply(written);
    }

    private boolean has(@Nullable String value) {
      try {
        return value != null && level.has(value, !text);
      } catch (IllegalArgumentException e) {
        // It lies in no class, which is told of the value itself.
        return false;
      }
    }
  }

  /** Values of a place, missing in rows where they don't matter. */
  Column only(Place place, Column values) {
    return required.isEmpty() || !place.onlyOfThose()
        ? values
        : when(required.stream().map(Required::met).reduce(lit(true), Column::and), values);
  }
}
