package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import java.util.List;

/** How numbers stand in a calculation by hand: to ten digits, so that each line can be redone. */
public final class HandFigures {
  private static final int DIGITS = 10;

  private HandFigures() {}

  public static String number(double value) {
    return Figures.upTo(value, DIGITS);
  }

  public static String brief(double value) {
    return Figures.upTo(value, 4);
  }

  public static WorkingStep observed(Tally tally) {
    return new WorkingStep(
        "observed proportion",
        "p",
        "x / n",
        tally.successes() + " / " + tally.trials(),
        number(tally.proportion()),
        "");
  }

  public static WorkingStep deviate(String what, double tail, double z) {
    return new WorkingStep(
        "critical value",
        "z*",
        "normal deviate with " + what + " above it",
        "normal deviate with " + Figures.plain(tail) + " above it",
        number(z),
        "");
  }

  public static double difference(Tally first, Tally second) {
    return ComparisonEstimate.DIFFERENCE.of(first, second).value();
  }

  public static double separateError(Tally first, Tally second) {
    return ComparisonEstimate.DIFFERENCE.of(first, second).standardError();
  }

  /** Both proportions and their difference. */
  public static List<WorkingStep> twoProportions(Tally first, Tally second) {
    return List.of(
        new WorkingStep(
            "proportions",
            "p1, p2",
            "x1 / n1, x2 / n2",
            say(
                "%s / %s, %s / %s",
                first.successes(), first.trials(), second.successes(), second.trials()),
            number(first.proportion()) + ", " + number(second.proportion()),
            ""),
        new WorkingStep(
            "difference",
            "d",
            "p1 - p2",
            number(first.proportion()) + " - " + number(second.proportion()),
            number(difference(first, second)),
            ""));
  }

  public static WorkingStep separateErrorStep(Tally first, Tally second, String reason) {
    String p1 = number(first.proportion());
    String p2 = number(second.proportion());
    return new WorkingStep(
        "separate standard error",
        "SE",
        "sqrt(p1 (1 - p1) / n1 + p2 (1 - p2) / n2)",
        say(
            "sqrt(%s (1 - %s) / %d + %s (1 - %s) / %d)",
            p1, p1, first.trials(), p2, p2, second.trials()),
        number(separateError(first, second)),
        reason);
  }

  /** From a normal deviate to the p-value, the critical value and the decision. */
  public static List<WorkingStep> normalDecision(
      double z, TestResult result, Alternative alternative, double alpha) {
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    double tail = twoSided ? alpha / 2 : alpha;
    double critical = Normal.upperQuantile(tail);
    return List.of(
        pValue(z, result, alternative),
        deviate(twoSided ? "alpha / 2" : "alpha", tail, critical),
        decision(z, critical, result, alternative, alpha));
  }

  private static WorkingStep pValue(double z, TestResult result, Alternative alternative) {
    String p =
        result.log10PValue() < -300
            ? Figures.pValue(result.log10PValue())
            : number(result.pValue());
    return switch (alternative) {
      case LESS ->
          new WorkingStep(
              "p-value",
              "P",
              "P(Z <= z)",
              "P(Z <= " + number(z) + ")",
              p,
              "Less: the area to the left of z.");
      case GREATER ->
          new WorkingStep(
              "p-value",
              "P",
              "P(Z >= z)",
              "P(Z >= " + number(z) + ")",
              p,
              "Greater: the area to the right of z.");
      case TWO_SIDED ->
          new WorkingStep(
              "p-value",
              "P",
              "2 P(Z >= |z|)",
              "2 P(Z >= " + number(Math.abs(z)) + ")",
              p,
              "Two-sided: the area beyond |z| on both sides.");
    };
  }

  private static WorkingStep decision(
      double z, double critical, TestResult result, Alternative alternative, double alpha) {
    boolean rejects = result.rejects(alpha);
    boolean less = alternative == Alternative.LESS;
    String rule =
        switch (alternative) {
          case LESS -> "reject if z <= -z*";
          case GREATER -> "reject if z >= z*";
          case TWO_SIDED -> "reject if |z| >= z*";
        };
    String relation = rejects ? (less ? " <= " : " >= ") : (less ? " > " : " < ");
    double side = alternative == Alternative.TWO_SIDED ? Math.abs(z) : z;
    return new WorkingStep(
        "decision",
        "",
        rule,
        brief(side) + relation + (less ? "-" : "") + brief(critical),
        rejects ? "reject the null" : "do not reject the null",
        say(
            "The same as P %s alpha: %s %s %s.",
            rejects ? "<=" : ">",
            Figures.pValue(result.log10PValue()),
            rejects ? "<=" : ">",
            Figures.plain(alpha)));
  }
}
