package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.EvidenceChances;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Asks before there are data: what is the chance that a number of observations of a rate will give
 * a Bayes factor beyond a threshold?
 *
 * @param label the analyst's name for the rate, empty for none
 * @param planned how many observations; one line of the answer each, at least one
 * @param hypothesis the null value and the alternative
 * @param prior what is believed of the rate under the alternative
 * @param threshold how many times likelier one hypothesis is to be made, above 1
 * @param expected a value at which the chances are wanted too; null for none
 */
public record EvidenceForecastQuestion(
    String label,
    List<Long> planned,
    Hypothesis hypothesis,
    BetaPrior prior,
    double threshold,
    @Nullable Double expected)
    implements Question {
  /** The threshold unless another is given: where evidence is called strong. */
  public static final double USUAL_THRESHOLD = 20;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there is no number of observations, or a value is out of
   *     its range
   */
  public EvidenceForecastQuestion {
    planned = List.copyOf(planned);
    require(!planned.isEmpty(), "planned must name a number of observations, got none");
    Proportion.require("against", hypothesis.against());
    if (expected != null) {
      Proportion.require("expect", expected);
    }
  }

  /**
   * Asks under the uniform prior and for a factor of 20.
   *
   * @param hypothesis the null value and the alternative
   * @param planned how many observations; one or more
   * @return the question
   * @throws IllegalArgumentException if a number is out of its range
   */
  public static EvidenceForecastQuestion of(Hypothesis hypothesis, Long... planned) {
    return new EvidenceForecastQuestion(
        "", List.of(planned), hypothesis, BetaPrior.UNIFORM, USUAL_THRESHOLD, null);
  }

  /**
   * {@return the same question under another prior}
   *
   * @param belief what is believed
   */
  public EvidenceForecastQuestion prior(BetaPrior belief) {
    return new EvidenceForecastQuestion(label, planned, hypothesis, belief, threshold, expected);
  }

  /**
   * {@return the same question about a factor so many times likelier, above 1}
   *
   * @param times how many times likelier, above 1
   */
  public EvidenceForecastQuestion threshold(double times) {
    return new EvidenceForecastQuestion(label, planned, hypothesis, prior, times, expected);
  }

  /**
   * {@return the same question, which also tells the chances if the rate is this one}
   *
   * @param rate strictly between 0 and 1
   */
  public EvidenceForecastQuestion expecting(double rate) {
    return new EvidenceForecastQuestion(label, planned, hypothesis, prior, threshold, rate);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public EvidenceForecastQuestion named(String name) {
    return new EvidenceForecastQuestion(name, planned, hypothesis, prior, threshold, expected);
  }

  @Override
  public Answer ask() {
    List<Forecast> lines =
        planned.stream()
            .map(
                observations -> {
                  var chances = EvidenceChances.planned(observations, hypothesis, prior, threshold);
                  return new Forecast(
                      observations,
                      chances.underNull(),
                      chances.underAlternative(),
                      expected == null ? null : chances.under(expected));
                })
            .toList();
    return Answer.to(this, AnswerKind.FORECAST, label)
        .add(
            Finding.fact(
                "hypothesis",
                Value.fields()
                    .with("quantity", Estimand.PROPORTION.id())
                    .with("against", hypothesis.against())
                    .with("alternative", hypothesis.alternative().id())))
        .add(Finding.fact("prior", Value.numbers(List.of(prior.a(), prior.b()))))
        .add(Finding.fact("threshold", Value.number(threshold)))
        .add(Finding.fact("expect", expected == null ? Value.none() : Value.number(expected)))
        .add(Finding.fact("lines", Value.list(lines, EvidenceForecastQuestion::figures)))
        .add(chances(lines))
        .add(
            Finding.sentence(
                "Summed over all outcomes. Where the alternative is true, the rate is drawn from the"
                    + " prior; rates near the null value are among them."))
        .concluded(Verdict.of(conclusion(lines.get(lines.size() - 1))));
  }

  /** The chances of one number of observations. */
  private record Forecast(
      long observations,
      EvidenceChances underNull,
      EvidenceChances underAlternative,
      @Nullable EvidenceChances underExpected) {}

  private static Value figures(Forecast line) {
    Value.Fields fields =
        Value.fields()
            .with("n", line.observations())
            .with("underNull", figures(line.underNull()))
            .with("underAlternative", figures(line.underAlternative()));
    EvidenceChances expected = line.underExpected();
    return expected == null ? fields : fields.with("underExpected", figures(expected));
  }

  private static Value figures(EvidenceChances chances) {
    return Value.fields()
        .with("forNull", chances.forNull())
        .with("neither", chances.neither())
        .with("forAlternative", chances.forAlternative());
  }

  private Sheet chances(List<Forecast> lines) {
    Sheet sheet =
        Sheet.read(
            "Chance that the Bayes factor reaches " + Figures.plain(threshold) + ", prior " + prior,
            Column.counts("observations"),
            Column.words("if this is true"),
            Column.numbers("for the null"),
            Column.numbers("neither"),
            Column.numbers("for the alternative"));
    for (Forecast line : lines) {
      row(sheet, Figures.count(line.observations()), RateBelief.none(hypothesis), line.underNull());
      row(sheet, "", RateBelief.alternative(hypothesis), line.underAlternative());
      EvidenceChances chances = line.underExpected();
      if (chances != null && expected != null) {
        row(sheet, "", "a rate of " + Figures.exactPercent(expected), chances);
      }
    }
    return sheet;
  }

  private static void row(Sheet sheet, String observations, String truth, EvidenceChances chances) {
    sheet.row(
        observations,
        truth,
        Value.Share.PLAIN.of(chances.forNull()),
        Value.Share.PLAIN.of(chances.neither()),
        Value.Share.PLAIN.of(chances.forAlternative()));
  }

  private String conclusion(Forecast line) {
    EvidenceChances alternative = line.underExpected();
    String truth =
        expected == null ? "the alternative" : "a rate of " + Figures.exactPercent(expected);
    if (alternative == null) {
      alternative = line.underAlternative();
    }
    return PlanVerdicts.forecast(
        line.observations(),
        threshold,
        truth,
        alternative.forAlternative(),
        line.underNull().forNull(),
        alternative.forNull(),
        line.underNull().forAlternative());
  }
}
