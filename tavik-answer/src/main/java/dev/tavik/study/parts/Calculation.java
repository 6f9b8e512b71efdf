package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A calculation by hand, line by line, to ten digits, so that each line can be redone. A formula is
 * written once: its numbers are put in for its symbols, so that the two can't part.
 */
public final class Calculation {
  private static final int DIGITS = 10;
  private static final Pattern SYMBOL = Pattern.compile("[A-Za-z][A-Za-z0-9]*['*]?");

  /** Two adjacent numbers are multiplied. */
  private static final Pattern PRODUCT = Pattern.compile("(?<=\\d) (?=\\d)");

  private final Map<String, String> values = new HashMap<>();
  private final List<WorkingStep> steps = new ArrayList<>();

  public static String number(double value) {
    return Figures.upTo(value, DIGITS);
  }

  public static String brief(double value) {
    return Figures.upTo(value, 4);
  }

  public List<WorkingStep> steps() {
    return steps;
  }

  /** Says what a symbol stands for. */
  public Calculation let(String symbol, String value) {
    values.put(symbol, value);
    return this;
  }

  public Calculation let(String symbol, long value) {
    return let(symbol, String.valueOf(value));
  }

  public Calculation let(String symbol, double value) {
    return let(symbol, number(value));
  }

  /** Says what x and n stand for, of a group with its number behind them. */
  public Calculation let(Tally tally, String group) {
    return let("x" + group, tally.successes())
        .let("n" + group, tally.trials())
        .let("f" + group, tally.failures());
  }

  /** A formula with its numbers. */
  public String filled(String formula) {
    String numbers =
        SYMBOL
            .matcher(formula.replace(", at least 0", ""))
            .replaceAll(
                found ->
                    Matcher.quoteReplacement(values.getOrDefault(found.group(), found.group())));
    return PRODUCT.matcher(numbers).replaceAll(" x ");
  }

  /** A line; its symbol stands for its value from there on. */
  public Calculation line(String name, String symbol, String formula, double value, String reason) {
    return told(name, symbol, formula, filled(formula), number(value), reason).let(symbol, value);
  }

  public Calculation line(String name, String symbol, String formula, double value) {
    return line(name, symbol, formula, value, "");
  }

  /** Adds a line whose parts are given as text. */
  public Calculation told(
      String name, String symbol, String formula, String filled, String value, String reason) {
    steps.add(new WorkingStep(name, symbol, formula, filled, value, reason));
    return this;
  }

  public Calculation observed(Tally tally) {
    return let(tally, "").line("observed proportion", "p", "x / n", tally.proportion());
  }

  /** The deviate of a two-sided interval. */
  public Calculation deviateOf(double level) {
    double tail = DecimalFraction.complement(level) / 2;
    return deviate("(1 - level) / 2", tail, Normal.upperQuantile(tail));
  }

  private Calculation deviate(String what, double tail, double z) {
    String words = "normal deviate with %s above it";
    return told(
            "critical value",
            "z*",
            words.replace("%s", what),
            words.replace("%s", Figures.plain(tail)),
            number(z),
            "")
        .let("z*", z);
  }

  /** Both proportions and their difference. */
  public Calculation twoProportions(Tally first, Tally second) {
    let(first, "1").let(second, "2");
    String formula = "x1 / n1, x2 / n2";
    let("p1", first.proportion()).let("p2", second.proportion());
    told("proportions", "p1, p2", formula, filled(formula), filled("p1, p2"), "");
    return line("difference", "d", "p1 - p2", difference(first, second).value());
  }

  public static Estimate difference(Tally first, Tally second) {
    return ComparisonEstimate.DIFFERENCE.of(first, second);
  }

  public Calculation separateError(Tally first, Tally second, String reason) {
    return line(
        "separate standard error",
        "SE",
        "sqrt(p1 (1 - p1) / n1 + p2 (1 - p2) / n2)",
        difference(first, second).standardError(),
        reason);
  }

  /** From a normal deviate to the p-value, the critical value and the decision. */
  public Calculation normalDecision(
      double z, TestResult result, Alternative alternative, double alpha) {
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    double tail = twoSided ? alpha / 2 : alpha;
    double critical = Normal.upperQuantile(tail);
    return pValue(z, result, alternative)
        .deviate(twoSided ? "alpha / 2" : "alpha", tail, critical)
        .decision(z, critical, result, alternative, alpha);
  }

  private Calculation pValue(double z, TestResult result, Alternative alternative) {
    String formula =
        switch (alternative) {
          case LESS -> "P(Z <= z)";
          case GREATER -> "P(Z >= z)";
          case TWO_SIDED -> "2 P(Z >= |z|)";
        };
    String reason =
        switch (alternative) {
          case LESS -> "Less: the area to the left of z.";
          case GREATER -> "Greater: the area to the right of z.";
          case TWO_SIDED -> "Two-sided: the area beyond |z| on both sides.";
        };
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    return told(
        "p-value",
        "P",
        formula,
        formula.replaceAll("\\|?z\\|?", number(twoSided ? Math.abs(z) : z)),
        result.log10PValue() < -300
            ? Figures.pValue(result.log10PValue())
            : number(result.pValue()),
        reason);
  }

  private Calculation decision(
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
    return told(
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
