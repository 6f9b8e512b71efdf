package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Verdict;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;

/**
 * What is said of one rate, for a reader who never saw a test. Differences are told in percentage
 * points, and where the null isn't rejected it says what the data can't exclude, never that there
 * is no difference.
 *
 * @param subject what is told of, such as {@code the rate}
 * @param observed the rate and where it is from, such as {@code 3.5% (14 of 400)}
 * @param value the rate
 * @param test the test that it rests on
 * @param interval the interval
 * @param hypothesis the null value and the direction
 * @param alpha the significance level
 */
public record RateSentence(
    String subject,
    String observed,
    double value,
    TestResult test,
    Interval interval,
    Hypothesis hypothesis,
    double alpha) {

  public Verdict verdict() {
    boolean rejects = test.rejects(alpha);
    return Verdict.of(rejects ? rejected() : notRejected()).rejecting(rejects);
  }

  private double against() {
    return hypothesis.against();
  }

  private String rejected() {
    String claim =
        switch (hypothesis.alternative()) {
          case LESS -> " is below ";
          case GREATER -> " is above ";
          case TWO_SIDED -> " differs from ";
        };
    return say(
        "%s%s%s: observed %s, %s; %s.%s",
        subject,
        claim,
        Figures.exactPercent(against()),
        observed,
        howFar(),
        Sentences.evidence(test, alpha),
        hypothesis.alternative() == Alternative.TWO_SIDED ? directionSeen() : "");
  }

  private String notRejected() {
    String claim =
        switch (hypothesis.alternative()) {
          case LESS -> " is not shown to be below ";
          case GREATER -> " is not shown to be above ";
          case TWO_SIDED -> " is not shown to differ from ";
        };
    return say(
        "%s%s%s: observed %s, and %s can't be excluded (%s); %s.",
        subject,
        claim,
        Figures.exactPercent(against()),
        observed,
        notExcluded(),
        Reach.name(interval),
        Sentences.evidence(test, alpha));
  }

  /** The interval turned into a distance from the null value, if it leaves that value out. */
  private String howFar() {
    if (interval.contains(against())) {
      return "though " + limits() + " (" + Reach.name(interval) + ") can't be excluded";
    }
    boolean below = interval.upper() < against();
    double near = Math.abs((below ? interval.upper() : interval.lower()) - against());
    double far = Math.abs((below ? interval.lower() : interval.upper()) - against());
    String size =
        hypothesis.alternative() == Alternative.TWO_SIDED
            ? String.join(" to ", Figures.pointsBetween(near, far))
            : "at least " + Figures.points(near);
    return say(
        "%s percentage points %s (%s %s)",
        size, below ? "below" : "above", Reach.name(interval), limits());
  }

  private String directionSeen() {
    return value < against()
        ? " It looks lower; the two-sided test asked only whether it differs."
        : " It looks higher; the two-sided test asked only whether it differs.";
  }

  private String notExcluded() {
    return switch (hypothesis.alternative()) {
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
              Figures.percentBeside(interval.lower(), interval.upper(), against()),
              Figures.percentBeside(interval.upper(), interval.lower(), against()));
      case UPPER -> limit(interval.upper());
      case LOWER -> limit(interval.lower());
    };
  }

  private String limit(double limit) {
    return Figures.percentBeside(limit, against());
  }
}
