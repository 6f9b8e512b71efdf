package dev.tavik.spark;

import dev.tavik.data.Recoding;
import java.io.Serializable;
import java.util.List;
import org.apache.spark.sql.types.DataType;
import org.jspecify.annotations.Nullable;

/**
 * What one request needs of the rows: how often combinations of some columns occur.
 *
 * @param places the columns
 * @param summed the columns of which sums are needed, a weight first; rows of one group are alike
 *     in its sign
 */
record Slice(List<Place> places, List<Integer> summed) implements Serializable {
  /**
   * A column of the combination.
   *
   * @param column where it stands in the data
   * @param type its type
   * @param most how many different values are accepted
   * @param classes what its numbers are read as, where classes are made of them: one number of each
   *     class stands for all
   */
  record Place(int column, DataType type, int most, @Nullable Recoding classes)
      implements Serializable {
    /** What is alike of values that are read alike; null of a missing one. */
    static String alike(Recoding classes, String written) {
      try {
        String read = classes.of(written);
        return read == null ? "m" : "c" + read;
      } catch (IllegalArgumentException e) {
        // It lies in no class. One of such is enough to be told.
        return "n";
      }
    }
  }
}
