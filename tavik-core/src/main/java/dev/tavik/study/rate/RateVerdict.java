package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Reach;

/**
 * The verdict on one rate, for a reader who never saw a test. Differences are told in percentage
 * points, and where the null isn't rejected it says what the data can't exclude, never that there
 * is no difference.
 */
final class RateVerdict {
  private final RateFound answer;
  private final TestResult test;
  private final Interval interval;
  private final Alternative alternative;
  private final double against;

  private RateVerdict(RateFound answer) {
    this.answer = answer;
    this.test = answer.preferredTest();
    this.interval = answer.preferredInterval();
    this.alternative = answer.settings().hypothesis().alternative();
    this.against = answer.settings().hypothesis().against();
  }

  static Verdict of(RateFound answer) {
    RateVerdict verdict = new RateVerdict(answer);
    boolean rejects = verdict.test.rejects(answer.settings().alpha());
    return Verdict.of(rejects ? verdict.rejected() : verdict.notRejected()).rejecting(rejects);
  }

  private String rejected() {
    String claim =
        switch (alternative) {
          case LESS -> " is below ";
          case GREATER -> " is above ";
          case TWO_SIDED -> " differs from ";
        };
    return subject()
        + claim
        + Figures.exactPercent(against)
        + ": observed "
        + observed()
        + ", "
        + howFar()
        + "; "
        + evidence()
        + "."
        + (alternative == Alternative.TWO_SIDED ? directionSeen() : "");
  }

  private String notRejected() {
    String claim =
        switch (alternative) {
          case LESS -> " is not shown to be below ";
          case GREATER -> " is not shown to be above ";
          case TWO_SIDED -> " is not shown to differ from ";
        };
    return subject()
        + claim
        + Figures.exactPercent(against)
        + ": observed "
        + observed()
        + ", and "
        + notExcluded()
        + " can't be excluded ("
        + Reach.name(interval)
        + "); "
        + evidence()
        + ".";
  }

  private String subject() {
    String subject = answer.label().isEmpty() ? "The rate" : answer.label() + ": the rate";
    Long lot = answer.settings().lot();
    return lot == null ? subject : subject + " in the lot of " + Figures.count(lot);
  }

  private String observed() {
    return say(
        "%s (%s of %s)",
        Figures.percentBeside(answer.tally().proportion(), against),
        Figures.count(answer.tally().successes()),
        Figures.count(answer.tally().trials()));
  }

  /** The interval turned into a distance from the null value, if it leaves that value out. */
  private String howFar() {
    if (interval.contains(against)) {
      return "though " + limits() + " (" + Reach.name(interval) + ") can't be excluded";
    }
    boolean below = interval.upper() < against;
    double near = Math.abs((below ? interval.upper() : interval.lower()) - against);
    double far = Math.abs((below ? interval.lower() : interval.upper()) - against);
    String size =
        alternative == Alternative.TWO_SIDED
            ? String.join(" to ", Figures.pointsBetween(near, far))
            : "at least " + Figures.points(near);
    return say(
        "%s percentage points %s (%s %s)",
        size, below ? "below" : "above", Reach.name(interval), limits());
  }

  private String directionSeen() {
    return answer.tally().proportion() < against
        ? " It looks lower; the two-sided test asked only whether it differs."
        : " It looks higher; the two-sided test asked only whether it differs.";
  }

  private String notExcluded() {
    return switch (alternative) {
      case LESS -> "a rate as high as " + limit(interval.upper());
      case GREATER -> "a rate as low as " + limit(interval.lower());
      case TWO_SIDED -> "rates from " + limits();
    };
  }

  private String limits() {
    return switch (interval.side()) {
      case TWO_SIDED ->
          say(
              "%s to %s",
              Figures.percentBeside(interval.lower(), interval.upper(), against),
              Figures.percentBeside(interval.upper(), interval.lower(), against));
      case UPPER -> limit(interval.upper());
      case LOWER -> limit(interval.lower());
    };
  }

  private String limit(double value) {
    return Figures.percentBeside(value, against);
  }

  private String evidence() {
    return say(
        "%s, %s test at alpha %s",
        Figures.pEquals(test.log10PValue()),
        test.method().id(),
        Figures.plain(answer.settings().alpha()));
  }
}
