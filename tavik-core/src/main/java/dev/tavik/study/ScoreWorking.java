package dev.tavik.study;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import java.util.List;
import java.util.Objects;

/** The score test as it is done by hand, line by line. Values are shown to ten digits. */
final class ScoreWorking {
  private static final int DIGITS = 10;

  private final Tally tally;
  private final RateSettings settings;
  private final TestResult score;
  private final double against;
  private final double standardError;

  private ScoreWorking(Tally tally, RateSettings settings, TestResult score) {
    this.tally = tally;
    this.settings = settings;
    this.score = score;
    this.against = settings.hypothesis().against();
    this.standardError = Math.sqrt(against * DecimalFraction.complement(against) / tally.trials());
  }

  static List<WorkingStep> of(Tally tally, RateSettings settings, TestResult score) {
    ScoreWorking working = new ScoreWorking(tally, settings, score);
    return List.of(
        working.estimate(),
        working.standardError(),
        working.statistic(),
        working.pValue(),
        working.criticalValue(),
        working.decision());
  }

  private WorkingStep estimate() {
    return new WorkingStep(
        "observed proportion",
        "p",
        "x / n",
        tally.successes() + " / " + tally.trials(),
        number(tally.proportion()),
        "");
  }

  private WorkingStep standardError() {
    String null0 = Figures.plain(against);
    return new WorkingStep(
        "standard error under the null",
        "SE0",
        "sqrt(p0 (1 - p0) / n)",
        String.format("sqrt(%s (1 - %s) / %d)", null0, null0, tally.trials()),
        number(standardError),
        "The null's "
            + null0
            + " stands here and not the observed "
            + short4(tally.proportion())
            + ": the p-value asks what would happen if the null were true. The standard error"
            + " beside the estimate is another one, with p in place of p0.");
  }

  private WorkingStep statistic() {
    return new WorkingStep(
        "test statistic",
        "z",
        "(p - p0) / SE0",
        String.format(
            "(%s - %s) / %s",
            number(tally.proportion()), Figures.plain(against), number(standardError)),
        number(z()),
        "");
  }

  private WorkingStep pValue() {
    String z = number(z());
    String size = number(Math.abs(z()));
    String p =
        score.log10PValue() < -300 ? Figures.pValue(score.log10PValue()) : number(score.pValue());
    return switch (settings.hypothesis().alternative()) {
      case LESS ->
          new WorkingStep(
              "p-value",
              "P",
              "P(Z <= z)",
              "P(Z <= " + z + ")",
              p,
              "Less: the area to the left of z.");
      case GREATER ->
          new WorkingStep(
              "p-value",
              "P",
              "P(Z >= z)",
              "P(Z >= " + z + ")",
              p,
              "Greater: the area to the right of z.");
      case TWO_SIDED ->
          new WorkingStep(
              "p-value",
              "P",
              "2 P(Z >= |z|)",
              "2 P(Z >= " + size + ")",
              p,
              "Two-sided: the area beyond |z| on both sides.");
    };
  }

  private WorkingStep criticalValue() {
    String alpha = Figures.plain(settings.alpha());
    boolean twoSided = settings.hypothesis().alternative() == Alternative.TWO_SIDED;
    return new WorkingStep(
        "critical value",
        "z*",
        twoSided ? "normal deviate with alpha / 2 above it" : "normal deviate with alpha above it",
        "normal deviate with " + alpha + (twoSided ? " / 2 above it" : " above it"),
        number(critical()),
        "");
  }

  private WorkingStep decision() {
    boolean rejects = score.rejects(settings.alpha());
    String rule =
        switch (settings.hypothesis().alternative()) {
          case LESS -> "reject if z <= -z*";
          case GREATER -> "reject if z >= z*";
          case TWO_SIDED -> "reject if |z| >= z*";
        };
    double side =
        switch (settings.hypothesis().alternative()) {
          case LESS, GREATER -> z();
          case TWO_SIDED -> Math.abs(z());
        };
    boolean less = settings.hypothesis().alternative() == Alternative.LESS;
    String relation = rejects ? (less ? " <= " : " >= ") : (less ? " > " : " < ");
    return new WorkingStep(
        "decision",
        "",
        rule,
        short4(side) + relation + (less ? "-" : "") + short4(critical()),
        rejects ? "reject the null" : "do not reject the null",
        String.format(
            "The same as P %s alpha: %s %s %s.",
            rejects ? "<=" : ">",
            Figures.pValue(score.log10PValue()),
            rejects ? "<=" : ">",
            Figures.plain(settings.alpha())));
  }

  private double z() {
    return Objects.requireNonNull(score.statistic()).value();
  }

  private double critical() {
    double alpha = settings.alpha();
    return Normal.upperQuantile(
        settings.hypothesis().alternative() == Alternative.TWO_SIDED ? alpha / 2 : alpha);
  }

  private static String number(double value) {
    return Figures.upTo(value, DIGITS);
  }

  private static String short4(double value) {
    return Figures.upTo(value, 4);
  }
}
