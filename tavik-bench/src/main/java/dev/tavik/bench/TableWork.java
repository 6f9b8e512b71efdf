package dev.tavik.bench;

import dev.tavik.count.CrossTable;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/** Tables beyond two by two. */
final class TableWork {
  private TableWork() {}

  /** Units that fall into all cells alike. */
  static CrossTable random(int rows, int columns, int units, int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    long[][] cells = new long[rows][columns];
    for (int unit = 0; unit < units; unit++) {
      cells[random.nextInt(rows)][random.nextInt(columns)]++;
    }
    return new CrossTable(
        names(rows),
        names(columns),
        Arrays.stream(cells).map(row -> Arrays.stream(row).boxed().toList()).toList());
  }

  static List<String> names(int size) {
    return IntStream.range(0, size).mapToObj(Integer::toString).toList();
  }
}
