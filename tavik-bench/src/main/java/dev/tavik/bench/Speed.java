package dev.tavik.bench;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Times Tavik's methods beside plain kernels that do the same, and prints one table. */
public final class Speed {
  private static final String FORM = "%-40s %10s %10s %7s %10s %16s %10s%n";

  private Speed() {}

  /**
   * Times every line, then how whole questions grow, processes and files; or only those lines whose
   * name contains a word.
   *
   * @param arguments a word; none for all
   * @throws Exception if a process can't be started or a file not be made
   */
  public static void main(String[] arguments) throws Exception {
    System.out.printf(FORM, "work", "anchor", "Tavik", "x", "before", "wanted", "bytes");
    Stream.of(
            QuestionWork.all(),
            MethodWork.all(),
            TableWork.all(),
            DrawWork.all(),
            PlanWork.all(),
            BayesWork.all())
        .flatMap(List::stream)
        .filter(work -> arguments.length == 0 || work.name().contains(arguments[0]))
        .forEach(Speed::line);
    if (arguments.length == 0) {
      Growth.print();
      Processes.print();
      ReadFiles.main(arguments);
    }
    System.out.println("(results together: " + SideBySide.kept() + ")");
  }

  private static void line(Benchmark work) {
    SideBySide.Times times =
        work.threads() == Benchmark.Threads.ONE_CALL
            ? SideBySide.once(work.tavik())
            : SideBySide.of(work.anchor(), work.tavik(), work.threads() == Benchmark.Threads.ALL);
    System.out.printf(
        FORM,
        work.name(),
        time(times.anchor()),
        time(times.tavik()),
        Double.isNaN(times.ratio()) ? "" : String.format(Locale.ROOT, "%.2f", times.ratio()),
        work.before(),
        work.wanted(),
        work.threads() == Benchmark.Threads.ALL ? "" : bytes(times.bytes()));
  }

  static String time(double nanos) {
    if (Double.isNaN(nanos)) {
      return "";
    }
    String[] units = {"ns", "µs", "ms", "s"};
    double value = nanos;
    int unit = 0;
    while (value >= 1000 && unit < units.length - 1) {
      value /= 1000;
      unit++;
    }
    return String.format(Locale.ROOT, value < 10 ? "%.2f %s" : "%.0f %s", value, units[unit]);
  }

  private static String bytes(double bytes) {
    return bytes < 10_000
        ? String.format(Locale.ROOT, "%.0f B", bytes)
        : String.format(Locale.ROOT, "%.0f kB", bytes / 1000);
  }
}
