package dev.tavik.data.study;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Question;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.result.Alternative;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Proportion;
import dev.tavik.study.Unanswered;
import dev.tavik.study.plan.PlanQuestion;
import dev.tavik.study.plan.PlanWords;
import dev.tavik.study.rate.EvidenceForecastQuestion;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes a plan from its words. What is left out of {@code n}, {@code power} and the effect is
 * solved for; {@code half-width} asks for an interval instead of a test.
 */
record PlanSpec(QuestionArguments spec, SourceOpener opening) {
  private static final Set<String> SHARED = Set.of("label", "for", "n", "units", "response");
  private static final Set<String> OF_TESTS =
      Set.of("alpha", "power", "sides", "alternative", "tests", "method", "working");
  private static final Set<String> EFFECTS = Set.of("expect", "difference", "ratio", "odds-ratio");
  private static final Set<String> OF_INTERVALS =
      Set.of("alpha", "level", "intervals", "half-width", "lot", "design-effect");

  /** The words of each kind of plan. */
  private enum Kind {
    COMPARED_EVIDENCE(
        "plan compare with a Bayes factor",
        SHARED,
        EFFECTS,
        Set.of("base", "allocation", "group", "power", "bayes", "prior", "threshold", "working")),
    RATE("plan rate", SHARED, OF_TESTS, EFFECTS, Set.of("against", "lot")),
    EVIDENCE(
        "plan rate with a Bayes factor",
        SHARED,
        EFFECTS,
        Set.of(
            "against", "alternative", "sides", "power", "bayes", "prior", "threshold", "working")),
    RATE_INTERVAL("a plan for an interval of a rate", SHARED, OF_INTERVALS, Set.of("expect")),
    COMPARE(
        "plan compare",
        SHARED,
        OF_TESTS,
        EFFECTS,
        Set.of("base", "allocation", "group", "show", "margin")),
    COMPARE_INTERVAL(
        "a plan for an interval of a difference",
        SHARED,
        OF_INTERVALS,
        EFFECTS,
        Set.of("base", "allocation", "group")),
    PAIRS("a plan for pairs", SHARED, OF_TESTS, Set.of("paired", "first-only", "second-only")),
    TABLE(
        "plan table",
        SHARED,
        Set.of("alpha", "power", "method", "working"),
        Set.of("df", "shape", "categories", "w", "conventional", "cramers-v", "cells"),
        Set.of("expect", "against", "table", "data", "rows", "columns", "count", "where"),
        Set.of("missing")),
    SHARES(
        "plan shares",
        SHARED,
        Set.of("alpha", "power", "method", "working"),
        Set.of("df", "categories", "w", "conventional", "expect", "against")),
    TREND("a plan for a trend", SHARED, OF_TESTS, Set.of("trend", "scores", "group"));

    private final String title;
    private final Set<String> words;

    @SafeVarargs
    Kind(String title, Set<String>... words) {
      this.title = title;
      Set<String> all = new LinkedHashSet<>();
      for (Set<String> some : words) {
        all.addAll(some);
      }
      this.words = all;
    }
  }

  /**
   * Makes the question.
   *
   * @param spec the words
   * @param opening how a pilot's file is opened
   * @return the question
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if a pilot's file can't be read or lacks what is asked for
   */
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    try {
      return new PlanSpec(spec, opening).question();
    } catch (NotApplicableException e) {
      // A chosen test that doesn't support another chosen parameter.
      throw new SpecException(Unanswered.message(e));
    }
  }

  private Question question() {
    @Nullable String wanted = spec.text("for");
    if (wanted == null) {
      throw new SpecException("what is planned must be said: rate, compare, shares or table");
    }
    Kind kind =
        switch (wanted) {
          case "rate" -> rate();
          case "compare" -> compare();
          case "shares" -> Kind.SHARES;
          case "table" -> spec.has("trend") || spec.has("scores") ? Kind.TREND : Kind.TABLE;
          default ->
              throw new SpecException(
                  "a plan is for rate, compare, shares or table, got '" + wanted + "'");
        };
    boolean interval = kind == Kind.RATE_INTERVAL || kind == Kind.COMPARE_INTERVAL;
    spec.check(
        !(interval && any("power") && any("design-effect")),
        "{design-effect} goes with a plan for an interval ({half-width}), not with {power}: a test"
            + " takes that many times the observations of a plan without it");
    for (String word : spec.values().keySet()) {
      // A study gives its alpha to every question.
      boolean ofStudy = word.equals("alpha") && spec.name(word).equals(word);
      if (spec.has(word) && !kind.words.contains(word) && !ofStudy) {
        throw new SpecException(
            "%s doesn't go with %s%s",
            spec.name(word),
            kind.title,
            Names.hint(
                spec.name(word),
                kind.words.stream()
                    .filter(each -> !each.equals("for"))
                    .map(spec::name)
                    .sorted()
                    .toList()));
      }
    }
    return switch (kind) {
      case RATE -> new RatePlanSpec(this).power();
      case EVIDENCE -> new RatePlanSpec(this).evidence();
      case RATE_INTERVAL -> new RatePlanSpec(this).interval();
      case COMPARED_EVIDENCE -> new ComparePlanSpec(this).evidence();
      case COMPARE -> new ComparePlanSpec(this).power();
      case COMPARE_INTERVAL -> new ComparePlanSpec(this).interval();
      case PAIRS -> new ComparePlanSpec(this).pairs();
      case TABLE, SHARES -> new TablePlanSpec(this, opening).table();
      case TREND -> new TablePlanSpec(this, opening).trend();
    };
  }

  private boolean any(String... words) {
    return List.of(words).stream().anyMatch(spec::has);
  }

  private Kind rate() {
    if (any("half-width", "intervals", "level", "design-effect")
        || (!spec.has("against") && !spec.has("power") && spec.has("n"))) {
      return Kind.RATE_INTERVAL;
    }
    return any("bayes", "prior", "threshold") ? Kind.EVIDENCE : Kind.RATE;
  }

  private Kind compare() {
    if (any("paired", "first-only", "second-only")) {
      return Kind.PAIRS;
    }
    if (any("half-width", "intervals", "level", "design-effect")) {
      return Kind.COMPARE_INTERVAL;
    }
    return any("bayes", "prior", "threshold") ? Kind.COMPARED_EVIDENCE : Kind.COMPARE;
  }

  String label() {
    @Nullable String label = spec.text("label");
    return label == null ? "" : label;
  }

  PlanWords words(String units) {
    @Nullable String named = spec.text("units");
    @Nullable String group = spec.text("group");
    @Nullable String response = spec.text("response");
    return new PlanWords(
        named == null ? units : named,
        group == null ? "" : group,
        response == null ? null : Proportion.parse(spec.name("response"), response));
  }

  List<Double> alphas() {
    return spec.has("alpha") ? Ranges.proportions(spec, "alpha") : List.of(0.05);
  }

  List<Double> powers() {
    return Ranges.proportions(spec, "power");
  }

  List<Long> sizes() {
    return Ranges.counts(spec, "n");
  }

  /** The one confidence level of 1 - alpha, or those given. */
  List<Double> levels() {
    if (spec.has("level")) {
      return Ranges.proportions(spec, "level");
    }
    return alphas().stream()
        .map(alpha -> BigDecimal.ONE.subtract(BigDecimal.valueOf(alpha)).doubleValue())
        .toList();
  }

  BetaPrior prior() {
    return spec.has("prior")
        ? BetaPrior.parse(spec.name("prior"), String.join(",", spec.all("prior")))
        : BetaPrior.UNIFORM;
  }

  List<Double> thresholds() {
    return spec.has("threshold")
        ? Ranges.positive(spec, "threshold", "10,20")
        : List.of(EvidenceForecastQuestion.USUAL_THRESHOLD);
  }

  double number(String word, double otherwise) {
    List<Double> values = Ranges.positive(spec, word, "1.5");
    if (values.size() > 1) {
      throw new SpecException(spec.name(word) + " must be one number, got " + values.size());
    }
    return values.isEmpty() ? otherwise : values.get(0);
  }

  @Nullable Long lot() {
    List<Long> values = Ranges.counts(spec, "lot");
    spec.check(values.size() <= 1, "{lot} must be one number, got %s", values.size());
    return values.isEmpty() ? null : values.get(0);
  }

  /** The expected effects in the one measure that was used; none if it is left out. */
  List<Effect> effects() {
    List<String> used =
        List.of("expect", "difference", "ratio", "odds-ratio").stream().filter(spec::has).toList();
    if (used.size() > 1) {
      throw new SpecException(
          "what is expected is said once, not by %s",
          String.join(" and ", used.stream().map(spec::name).toList()));
    }
    List<Effect> effects = new ArrayList<>();
    if (spec.has("expect")) {
      Ranges.proportions(spec, "expect").forEach(rate -> effects.add(Effect.rate(rate)));
    } else if (spec.has("difference")) {
      add(Effect.Measure.DIFFERENCE, Ranges.differences(spec, "difference"), effects);
    } else if (spec.has("ratio")) {
      add(Effect.Measure.RATIO, Ranges.positive(spec, "ratio", "0.5,0.75"), effects);
    } else if (spec.has("odds-ratio")) {
      add(Effect.Measure.ODDS_RATIO, Ranges.positive(spec, "odds-ratio", "0.5,0.75"), effects);
    }
    return effects;
  }

  private static void add(Effect.Measure measure, List<Double> values, List<Effect> effects) {
    values.forEach(value -> effects.add(new Effect(measure, value)));
  }

  /** How power is computed, if that was said. */
  @Nullable PowerMethod theory() {
    @Nullable String method = spec.text("method");
    return method == null ? null : PowerMethod.of(method);
  }

  /** The alternative; for a one-sided plan without one, the direction of the expected effect. */
  Alternative alternative(List<Double> bases, List<Effect> effects) {
    @Nullable String alternative = spec.text("alternative");
    @Nullable String sides = spec.text("sides");
    if (sides != null && !List.of("two-sided", "one-sided").contains(sides)) {
      throw new SpecException(
          spec.name("sides") + " must be two-sided or one-sided, got '" + sides + "'");
    }
    if (alternative != null) {
      Alternative named = Alternative.of(alternative);
      if (sides != null && (named == Alternative.TWO_SIDED) != sides.equals("two-sided")) {
        throw spec.refusal(
            "{sides} %s and {alternative} %s contradict one another", sides, alternative);
      }
      return named;
    }
    if (sides == null || sides.equals("two-sided")) {
      return Alternative.TWO_SIDED;
    }
    Set<Integer> directions = new LinkedHashSet<>();
    for (double base : bases) {
      effects.forEach(effect -> directions.add(Double.compare(effect.from(base), base)));
    }
    directions.remove(0);
    spec.check(
        directions.size() == 1,
        "{sides} one-sided: %s; say {alternative} less or greater",
        directions.isEmpty()
            ? "nothing expected says which side"
            : "what is expected lies on both sides");
    return directions.contains(1) ? Alternative.GREATER : Alternative.LESS;
  }

  PlanQuestion plan(
      String kind,
      List<PowerDesign> designs,
      List<Effect> effects,
      String units,
      List<Caution> cautions) {
    return new PlanQuestion(
        label(), kind, designs, effects, powers(), sizes(), words(units), cautions);
  }
}
