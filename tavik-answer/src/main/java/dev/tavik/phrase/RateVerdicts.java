package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Verdicts on rates held against a value, for a reader who never saw a test. Differences are told
 * in percentage points; where the null isn't rejected the sentence says what the data can't
 * exclude.
 */
public final class RateVerdicts {
  private static final int ALL_NAMED = 10;
  private static final int CLEAREST = 5;

  private RateVerdicts() {}

  /**
   * A rate and what was found of it.
   *
   * @param name whose rate it is; empty for the only one
   * @param value the rate
   * @param counts where it is from, such as {@code 14 of 400}
   * @param test the test that the verdict rests on
   * @param interval the interval of the side that goes with the direction
   */
  public record Rate(
      String name, double value, String counts, TestResult test, Interval interval) {}

  /** Concludes about one rate; a lot is named with its units, null stands for none. */
  public static Verdict one(Rate rate, @Nullable Long lot, Hypothesis hypothesis, double alpha) {
    boolean rejects = rate.test().rejects(alpha);
    String subject = rate.name().isEmpty() ? "The rate" : rate.name() + ": the rate";
    String claim =
        say(
            "%s%s %s %s: observed %s (%s)",
            subject,
            lot == null ? "" : " in the lot of " + Figures.count(lot),
            Claims.rate(hypothesis.alternative(), rejects),
            Figures.exactPercent(hypothesis.against()),
            Figures.percentBeside(rate.value(), hypothesis.against()),
            rate.counts());
    String evidence = Sentences.evidence(rate.test(), alpha);
    Interval interval = rate.interval();
    if (!rejects) {
      return Verdict.of(
              say(
                  "%s, and %s; %s.",
                  claim,
                  IntervalPhrases.range(
                      notExcluded(interval, hypothesis), interval, /* excluded= */ false),
                  evidence))
          .rejecting(false);
    }
    String direction =
        hypothesis.alternative() == Alternative.TWO_SIDED
            ? Sentences.directionSeen("It", rate.value() < hypothesis.against(), "it differs")
            : "";
    return Verdict.of(
            say("%s, %s; %s.%s", claim, distance(interval, hypothesis), evidence, direction))
        .rejecting(true);
  }

  /** The interval turned into a distance from the null value, if it leaves that value out. */
  private static String distance(Interval interval, Hypothesis hypothesis) {
    double against = hypothesis.against();
    String limits = limits(interval, against);
    if (interval.contains(against)) {
      return say(
          "though %s (%s) %s",
          limits, IntervalPhrases.name(interval), IntervalPhrases.NOT_EXCLUDED);
    }
    boolean below = interval.upper() < against;
    double near = Math.abs((below ? interval.upper() : interval.lower()) - against);
    double far = Math.abs((below ? interval.lower() : interval.upper()) - against);
    String size =
        hypothesis.alternative() == Alternative.TWO_SIDED
            ? String.join(" to ", Figures.pointsBetween(near, far))
            : "at least " + Figures.points(near);
    return say(
        "%s percentage points %s (%s %s)",
        size, Sentences.position(below), IntervalPhrases.name(interval), limits);
  }

  private static String notExcluded(Interval interval, Hypothesis hypothesis) {
    double against = hypothesis.against();
    return switch (hypothesis.alternative()) {
      case LESS -> "a rate as high as " + Figures.percentBeside(interval.upper(), against);
      case GREATER -> "a rate as low as " + Figures.percentBeside(interval.lower(), against);
      case TWO_SIDED -> "rates from " + limits(interval, against);
    };
  }

  private static String limits(Interval interval, double against) {
    return switch (interval.side()) {
      case TWO_SIDED ->
          say(
              "%s to %s",
              Figures.percentBeside(interval.lower(), interval.upper(), against),
              Figures.percentBeside(interval.upper(), interval.lower(), against));
      case UPPER -> Figures.percentBeside(interval.upper(), against);
      case LOWER -> Figures.percentBeside(interval.lower(), against);
    };
  }

  /** Concludes about the rates of several groups, after adjustment. */
  public static Verdict several(
      String label, List<Rate> rates, Hypothesis hypothesis, double alpha) {
    List<Rate> rejected =
        rates.stream().filter(rate -> rate.test().rejectsAdjusted(alpha)).toList();
    boolean many = rates.size() > ALL_NAMED;
    List<String> parts = new ArrayList<>();
    for (boolean below : new boolean[] {false, true}) {
      List<Rate> found =
          rejected.stream().filter(rate -> rate.value() < hypothesis.against() == below).toList();
      if (!found.isEmpty()) {
        String names = many ? clearest(found, hypothesis) : named(found, hypothesis);
        parts.add(Sentences.position(below) + ": " + names);
      }
    }
    List<Rate> others = rates.stream().filter(rate -> !rejected.contains(rate)).toList();
    if (!others.isEmpty()) {
      String names = many ? groups(others.size()) : named(others, hypothesis);
      parts.add(notShown(hypothesis.alternative()) + ": " + names);
    }
    return Verdict.of(
        say(
            "%s against %s. %s. %s test at alpha %s, p-values adjusted by Holm's method for %s.",
            label.isEmpty() ? "Each group's rate" : label + ": each group's rate",
            Figures.exactPercent(hypothesis.against()),
            Sentences.capitalised(String.join("; ", parts)),
            Sentences.capitalised(rates.get(0).test().method().id()),
            Figures.plain(alpha),
            groups(rates.size())));
  }

  private static String notShown(Alternative alternative) {
    return Claims.shown(false)
        + (alternative == Alternative.TWO_SIDED
            ? " differ"
            : " be " + Sentences.position(alternative == Alternative.LESS));
  }

  private static String groups(int number) {
    return Figures.counted(number, "group", "groups");
  }

  private static String clearest(List<Rate> found, Hypothesis hypothesis) {
    String clearest =
        named(
            found.stream()
                .sorted(Comparator.comparingDouble(rate -> rate.test().log10PValue()))
                .limit(CLEAREST)
                .toList(),
            hypothesis);
    int more = found.size() - CLEAREST;
    return more <= 0 ? clearest : clearest + " and " + Figures.count(more) + " more";
  }

  private static String named(List<Rate> rates, Hypothesis hypothesis) {
    return rates.stream()
        .map(
            rate ->
                say(
                    "%s (%s, %s)",
                    rate.name(),
                    Figures.percentBeside(rate.value(), hypothesis.against()),
                    Sentences.adjustedP(rate.test())))
        .collect(Collectors.joining(", "));
  }
}
