package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.count.NamedTally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Reach;

/**
 * The verdict on a comparison, for a reader who never saw a test: who is lower or higher, by how
 * many percentage points, how sure. Where nothing is shown it says what the data can't exclude.
 */
final class CompareVerdict {
  private final String label;
  private final CompareSettings settings;
  private final String observed;
  private final double away;
  private final TestResult test;
  private final Interval interval;
  private final String one;
  private final String two;
  private final boolean rejects;

  private CompareVerdict(
      String label, CompareSettings settings, Compared compared, String observed, double away) {
    this.label = label;
    this.settings = settings;
    this.observed = observed;
    this.away = away;
    this.test = compared.test();
    this.interval = compared.interval();
    this.one = compared.one();
    this.two = compared.two();
    this.rejects = test.rejects(settings.alpha());
  }

  static Verdict of(CompareFound found) {
    NamedTally first = found.first();
    NamedTally second = found.second();
    return of(
        found.label(),
        found.settings(),
        Compared.of(found),
        rate(first, second) + ", " + rate(second, first),
        first.tally().proportion() - second.tally().proportion());
  }

  /**
   * A verdict.
   *
   * @param label the analyst's name for the question; empty for none
   * @param settings what was to be shown
   * @param compared the groups, and what it rests on
   * @param observed both rates, in words
   * @param difference the first less the second
   */
  static Verdict of(
      String label,
      CompareSettings settings,
      Compared compared,
      String observed,
      double difference) {
    return new CompareVerdict(
            label, settings, compared, observed, difference - settings.hypothesis().against())
        .verdict();
  }

  private Verdict verdict() {
    Verdict said =
        Verdict.of(
                say(
                    "%s%s: %s, %s; %s.%s",
                    label.isEmpty() ? "" : label + ": ",
                    claim(),
                    observed,
                    extent(),
                    evidence(),
                    directionSeen()))
            .rejecting(rejects);
    return settings.show() == Show.DIFFERENCE ? said : said.wantingRejection();
  }

  private String claim() {
    return claim(settings, one, two, rejects);
  }

  /** What is shown, or not shown, about two groups. */
  static String claim(CompareSettings settings, String one, String two, boolean rejects) {
    Double margin = settings.margin();
    if (settings.show() == Show.EQUIVALENT && margin != null) {
      return say(
          "%s and %s are %s to be equivalent within %s",
          one, two, rejects ? "shown" : "not shown", Figures.percentagePoints(margin));
    }
    if (settings.show() == Show.NONINFERIOR && margin != null) {
      return say(
          "%s is %s to be non-inferior to %s (%s by less than %s)",
          one,
          rejects ? "shown" : "not shown",
          two,
          settings.hypothesis().alternative() == Alternative.GREATER ? "lower" : "higher",
          Figures.percentagePoints(margin));
    }
    double against = settings.hypothesis().against();
    if (against != 0) {
      return say(
          "%s is %s %s %s",
          one + " minus " + two,
          rejects ? "shown" : "not shown",
          switch (settings.hypothesis().alternative()) {
            case TWO_SIDED -> "to differ from";
            case LESS -> "to be below";
            case GREATER -> "to be above";
          },
          Figures.percentagePoints(against));
    }
    return switch (settings.hypothesis().alternative()) {
      case TWO_SIDED ->
          rejects
              ? one + " and " + two + " differ"
              : one + " and " + two + " are not shown to differ";
      case LESS -> one + (rejects ? " is lower than " : " is not shown to be lower than ") + two;
      case GREATER ->
          one + (rejects ? " is higher than " : " is not shown to be higher than ") + two;
    };
  }

  private static String rate(NamedTally group, NamedTally other) {
    return say(
        "%s %s (%s of %s)",
        group.name(),
        Figures.percentBeside(group.tally().proportion(), other.tally().proportion()),
        Figures.count(group.tally().successes()),
        Figures.count(group.tally().trials()));
  }

  /** The interval in words; where it still includes what the test rejects, that is said. */
  private String extent() {
    String range = Reach.range(one, two, interval);
    if (interval.quantity() != Estimand.DIFFERENCE) {
      return range + " (" + Reach.name(interval) + ")";
    }
    boolean clear =
        settings.show() == Show.DIFFERENCE
            ? rejects && !interval.contains(settings.hypothesis().against())
            : rejects;
    return clear
        ? range + " (" + Reach.name(interval) + ")"
        : range + " can't be excluded (" + Reach.name(interval) + ")";
  }

  private String evidence() {
    String tests =
        settings.show() == Show.EQUIVALENT
            ? "the larger of two one-sided " + test.method().id() + " tests at alpha "
            : test.method().id() + " test at alpha ";
    return Figures.pEquals(test.log10PValue(), settings.alpha())
        + ", "
        + tests
        + Figures.plain(settings.alpha());
  }

  private String directionSeen() {
    boolean asked =
        settings.show() != Show.DIFFERENCE
            || settings.hypothesis().alternative() != Alternative.TWO_SIDED;
    if (asked || !rejects) {
      return "";
    }
    return say(
        " %s looks %s; the two-sided test asked only whether %s.",
        settings.plain() ? one : "The difference",
        away < 0 ? "lower" : "higher",
        settings.plain() ? "they differ" : "it is another");
  }
}
