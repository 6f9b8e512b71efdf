package dev.tavik.study;

import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import dev.tavik.simulation.Performance.Coverage;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * The answer to a {@link WeighQuestion}.
 *
 * @param asked the question
 * @param lines one for each rate, or each two
 */
public record WeighAnswer(WeighQuestion asked, List<Line> lines) implements Answer {
  /** Copies the list. */
  public WeighAnswer {
    lines = List.copyOf(lines);
  }

  /**
   * How methods behave at one truth.
   *
   * @param rates the true rate, or both
   * @param intervals the intervals
   * @param tests the tests
   * @param drawn how many pairs of outcomes were drawn; 0 where all were gone through
   */
  public record Line(
      List<Double> rates, List<Covered> intervals, List<Rejecting> tests, int drawn) {
    /** Copies the lists. */
    public Line {
      rates = List.copyOf(rates);
      intervals = List.copyOf(intervals);
      tests = List.copyOf(tests);
    }

    /**
     * Whether tests that reject are wrong here.
     *
     * @return whether there is one rate, the null value, or two that are equal
     */
    public boolean underNull() {
      return rates.size() == 1 || rates.get(0).equals(rates.get(1));
    }
  }

  /**
   * How an interval behaves.
   *
   * @param quantity what it is of
   * @param method its id
   * @param coverage its true coverage and mean length
   */
  public record Covered(String quantity, Method method, Coverage coverage) {}

  /**
   * How a test behaves.
   *
   * @param method its id
   * @param rejects the chance that it rejects
   */
  public record Rejecting(Method method, double rejects) {}

  @Override
  public String question() {
    return "weigh";
  }

  @Override
  public String label() {
    return asked.label();
  }

  @Override
  public String conclusion() {
    List<Covered> all = lines.stream().flatMap(line -> line.intervals().stream()).toList();
    String sizes = String.join(" and ", asked.sizes().stream().map(Figures::count).toList());
    if (all.isEmpty()) {
      return "Tests with " + sizes + " trials.";
    }
    Comparator<Covered> far =
        Comparator.comparingDouble(each -> Math.abs(each.coverage().coverage() - asked.level()));
    Covered nearest = all.stream().min(far).orElseThrow();
    Covered lowest =
        all.stream()
            .min(Comparator.comparingDouble(each -> each.coverage().coverage()))
            .orElseThrow();
    return String.format(
        Locale.ROOT,
        "With %s trials, %s intervals: nearest to their level is %s (true coverage %s), lowest covers %s"
            + " (%s).",
        sizes,
        Figures.exactPercent(asked.level()),
        nearest.method().id(),
        Figures.finePercent(nearest.coverage().coverage()),
        lowest.method().id(),
        Figures.finePercent(lowest.coverage().coverage()));
  }
}
