package dev.tavik.spark;

import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.simulation.Draws;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;

/**
 * How long counting takes on a cluster, beside the engine's own bare aggregation of the same table,
 * in turn: {@code tavik-bench/cluster.sh ROWS}. The table is the engine's own: fifty columns of
 * texts and a kiln that has nine rows of ten.
 */
final class Measure {
  private static final int COLUMNS = 50;
  private static final int TURNS = 3;

  /** Of larger tables one turn tells enough. */
  private static final long LARGE = 20_000_000;

  private static final int COPIES = 16;

  private Measure() {}

  /** Work, of which only the time is of interest. */
  private interface Work {
    Object done() throws Exception;
  }

  public static void main(String[] arguments) throws Exception {
    long rows = Long.parseLong(arguments[0]);
    Path folder = Path.of(arguments[1]);
    SparkSession session = Cluster.threads();
    Path file = folder.resolve("tiles-" + rows);
    if (!Files.exists(file.resolve("_SUCCESS"))) {
      make(session, rows, file);
    }
    Dataset<Row> table = session.read().parquet(file.toString());
    try (Stream<Path> parts = Files.list(file)) {
      long bytes = parts.mapToLong(part -> part.toFile().length()).sum();
      System.out.printf(
          Locale.ROOT,
          "%,d rows of %d columns, %.2f bytes a row%n",
          rows,
          COLUMNS + 1,
          1.0 * bytes / rows);
    }
    SparkCounts counts = SparkCounts.of(table);
    beside(
        "cross of two columns",
        TURNS,
        () -> table.groupBy("kiln", "c0").count().collectAsList(),
        () -> counts.count(CountRequest.of("kiln", "c0")));
    sweeps(session, table, rows, counts);
    for (long size : new long[] {10_000, 1_000_000, 100_000_000}) {
      inOneProcess(size);
    }
    session.stop();
  }

  private static void sweeps(
      SparkSession session, Dataset<Row> table, long rows, SparkCounts counts) throws Exception {
    beside(
        "sweep of fifty columns, the bare one by a row for each value",
        rows > LARGE ? 1 : TURNS,
        () -> stacked(table).groupBy("place", "value", "kiln").count().collectAsList(),
        () -> counts.countAgainst("kiln", CountRequest.of("*")));
    if (rows <= 100_000) {
      beside(
          "sweep of fifty columns, the bare one by grouping sets",
          TURNS,
          () -> sets(session, table).collectAsList(),
          () -> counts.countAgainst("kiln", CountRequest.of("*")));
    }
  }

  /**
   * What a question does once its rows are counted: exact tests and draws, whatever their number.
   */
  private static void inOneProcess(long rows) throws Exception {
    Tally first = Tally.of(rows / 50, rows / 2);
    Tally second = Tally.of(rows / 50 + 40, rows / 2);
    double exact =
        seconds(
            () -> TwoProportionTest.FISHER.of(first, second, Hypothesis.noDifference()).pValue());
    double drawn =
        seconds(
            () ->
                SimulatedQuestion.of(CompareQuestion.of(first, second), Draws.of(100_000, 7))
                    .ask()
                    .verdict());
    System.out.printf(
        Locale.ROOT,
        "in one process, %,d rows: exact test %.4f s, 100,000 draws %.3f s%n",
        rows,
        exact,
        drawn);
  }

  /** To make a row takes longer than to count it: a large table is a part of it, many times. */
  private static void make(SparkSession session, long rows, Path file) throws IOException {
    if (rows <= LARGE) {
      table(session, rows).write().mode("overwrite").parquet(file.toString());
      return;
    }
    Path once = file.resolveSibling(file.getFileName() + "-once");
    table(session, rows / COPIES).write().mode("overwrite").parquet(once.toString());
    Files.createDirectories(file);
    try (Stream<Path> parts = Files.list(once)) {
      for (Path part : parts.filter(each -> each.toString().endsWith(".parquet")).toList()) {
        for (int copy = 0; copy < COPIES; copy++) {
          Files.copy(part, file.resolve(copy + "-" + part.getFileName()));
        }
      }
    }
    Files.createFile(file.resolve("_SUCCESS"));
  }

  private static Dataset<Row> table(SparkSession session, long rows) {
    String[] columns =
        Stream.concat(
                Stream.of("if(h % 10 < 9, 'North', concat('Kiln ', h % 3)) as kiln"),
                IntStream.range(0, COLUMNS)
                    .mapToObj(
                        i ->
                            "element_at(array('sound', 'crazed', 'cracked', 'warped'), 1 + cast("
                                + "shiftright(h, "
                                + i
                                + ") & 3 as int)) as c"
                                + i))
            .toArray(String[]::new);
    return session
        .range(0, rows, 1, 16)
        .selectExpr("xxhash64(id) & 9223372036854775807 as h")
        .selectExpr(columns);
  }

  private static Dataset<Row> stacked(Dataset<Row> table) {
    String each =
        IntStream.range(0, COLUMNS).mapToObj(i -> i + ", c" + i).collect(Collectors.joining(", "));
    return table.selectExpr("kiln", "stack(" + COLUMNS + ", " + each + ") as (place, value)");
  }

  private static Dataset<Row> sets(SparkSession session, Dataset<Row> table) {
    table.createOrReplaceTempView("tiles");
    List<String> names = IntStream.range(0, COLUMNS).mapToObj(i -> "c" + i).toList();
    return session.sql(
        "SELECT kiln, "
            + String.join(", ", names)
            + ", count(*) FROM tiles GROUP BY GROUPING SETS ("
            + names.stream().map(each -> "(kiln, " + each + ")").collect(Collectors.joining(", "))
            + ")");
  }

  private static void beside(String what, int turns, Work bare, Work own) throws Exception {
    double[][] seconds = new double[4][turns];
    for (int turn = 0; turn < turns; turn++) {
      for (int which = 0; which < 2; which++) {
        long cpu = cpu();
        long clock = System.nanoTime();
        Object done = (which == 0 ? bare : own).done();
        seconds[2 * which][turn] = (System.nanoTime() - clock) / 1e9;
        seconds[2 * which + 1][turn] = (cpu() - cpu) / 1e9;
        if (done.toString().isEmpty()) {
          throw new IllegalStateException(what);
        }
      }
    }
    double[] medians = Arrays.stream(seconds).mapToDouble(Measure::median).toArray();
    System.out.printf(
        Locale.ROOT,
        "%s: bare %.2f s (CPU %.2f), Tavik %.2f s (CPU %.2f): %.2f x by the clock, %.2f x CPU%n",
        what,
        medians[0],
        medians[1],
        medians[2],
        medians[3],
        medians[2] / medians[0],
        medians[3] / medians[1]);
  }

  private static double seconds(Work work) throws Exception {
    double[] times = new double[TURNS];
    for (int turn = 0; turn < times.length; turn++) {
      long from = System.nanoTime();
      if (work.done().toString().isEmpty()) {
        throw new IllegalStateException("nothing was done");
      }
      times[turn] = (System.nanoTime() - from) / 1e9;
    }
    return median(times);
  }

  private static double median(double[] times) {
    double[] sorted = times.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  private static long cpu() {
    return ((com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
        .getProcessCpuTime();
  }
}
