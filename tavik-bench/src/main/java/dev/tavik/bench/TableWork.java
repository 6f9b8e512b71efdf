package dev.tavik.bench;

import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.result.NotApplicableException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Fisher's test of tables beyond two by two: two that were published as hard, the others random,
 * ten to a shape, each with its own margins. What it took before stands in seconds.
 */
final class TableWork {
  private static final int TABLES = 10;

  private TableWork() {}

  private record Shape(int rows, int columns, int units, String before, String wanted) {}

  static List<Benchmark> all() {
    List<Benchmark> work = new ArrayList<>();
    CrossTable wide =
        table("1 2 2 1 1 0 1;2 0 0 2 3 0 0;0 1 1 1 2 7 3;1 1 2 0 0 0 1;0 1 1 1 1 0 0");
    CrossTable square = table("1 2 1 0;3 3 6 1;10 10 14 9;6 7 12 11");
    work.add(watched("exact, published 5 x 7", wide, "0.026 s", ""));
    work.add(watched("exact, published 4 x 4", square, "0.020 s", ""));
    List<Shape> shapes =
        List.of(
            new Shape(4, 4, 200, "0.29 s", "0.17 s"),
            new Shape(4, 4, 300, "2.0 s", "2.3 s"),
            new Shape(4, 4, 400, "refused", "3.9 s"),
            new Shape(4, 4, 500, "refused", "10 s"),
            new Shape(5, 7, 70, "", "keep"),
            new Shape(6, 6, 60, "0.2 s", "keep"),
            new Shape(8, 8, 64, "2.0 s", "keep"),
            new Shape(2, 20, 200, "0.3 s", "keep"),
            new Shape(3, 50, 1000, "8.6 s", "refused, 0.1 s"),
            new Shape(7, 7, 100, "4.3 s", "refused, 0.1 s"),
            new Shape(9, 9, 81, "2.7 s", "refused, 0.1 s"));
    for (Shape shape : shapes) {
      String name =
          String.format(
              Locale.ROOT, "exact, %d x %d, n = %d", shape.rows, shape.columns, shape.units);
      for (int i = 0; i < TABLES; i++) {
        work.add(
            watched(
                name + ", table " + (i + 1),
                random(shape.rows, shape.columns, shape.units, i),
                shape.before,
                shape.wanted));
      }
    }
    return work;
  }

  private static Benchmark watched(String name, CrossTable table, String before, String wanted) {
    return Benchmark.watched(name, i -> exact(table), before, wanted).once();
  }

  /** The p-value; -1 where the test declines. */
  private static double exact(CrossTable table) {
    try {
      return TableTest.FISHER.of(table).pValue();
    } catch (NotApplicableException e) {
      return -1;
    }
  }

  private static CrossTable table(String cells) {
    List<List<Long>> rows =
        Arrays.stream(cells.split(";"))
            .map(row -> Arrays.stream(row.split(" ")).map(Long::valueOf).toList())
            .toList();
    return new CrossTable(names(rows.size()), names(rows.get(0).size()), rows);
  }

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
