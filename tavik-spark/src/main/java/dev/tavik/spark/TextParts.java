package dev.tavik.spark;

import dev.tavik.count.DataOverview.Column;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.Sources;
import java.io.IOException;
import java.io.InputStream;
import java.io.Serializable;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.input.PortableDataStream;
import org.apache.spark.sql.SparkSession;
import org.jspecify.annotations.Nullable;
import scala.Tuple2;

/**
 * Holds the parts of delimited text to the rules of a single file. The cluster reads the fields of
 * every part by their position, fills short rows and drops what is too much; so each part is read
 * once before, where it lies, by the reader of files, which refuses that with its line and column.
 */
final class TextParts {
  private TextParts() {}

  /** What is found of a part; only this comes back from the cluster. */
  private record Found(String name, List<String> columns, @Nullable String wrong)
      implements Serializable {}

  /**
   * Refuses parts that aren't alike, or one that a single file couldn't be.
   *
   * @throws DataException naming the part, and the line and column where there are some
   */
  static void requireAlike(SparkSession session, String path) {
    List<Found> parts =
        new JavaSparkContext(session.sparkContext())
            .binaryFiles(path).map(TextParts::found).collect().stream()
                .filter(each -> each.wrong() != null || !each.columns().isEmpty())
                .sorted(Comparator.comparing(Found::name))
                .toList();
    for (Found each : parts) {
      if (each.wrong() != null) {
        throw new DataException(DataException.Code.MALFORMED, each.wrong());
      }
      List<String> first = parts.get(0).columns();
      if (!each.columns().equals(first)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s, line 1 has the columns %s, but the first part, %s, has %s; all parts must have the"
                + " same columns in the same order",
            each.name(),
            String.join(", ", each.columns()),
            parts.get(0).name(),
            String.join(", ", first));
      }
    }
  }

  private static Found found(Tuple2<String, PortableDataStream> part) {
    String path = part._1();
    String name = path.substring(path.lastIndexOf('/') + 1);
    SourceOpener opening =
        new SourceOpener() {
          @Override
          public InputStream open(String wanted) throws IOException {
            return part._2().open();
          }

          @Override
          public Optional<Path> path(String wanted) {
            return Optional.empty();
          }
        };
    try {
      List<String> columns =
          Sources.open(name, opening).overview().columns().stream().map(Column::name).toList();
      return new Found(name, new ArrayList<>(columns), null);
    } catch (DataException e) {
      boolean empty = e.code() == DataException.Code.EMPTY;
      return new Found(name, new ArrayList<>(), empty ? null : String.valueOf(e.getMessage()));
    }
  }
}
