package dev.tavik.study;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.EvidenceChances;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Before data: what is the chance that so many observations of a rate will give a Bayes factor past
 * a threshold?
 *
 * @param label the analyst's name for the rate, empty for none
 * @param planned how many observations; one line of the answer each, at least one
 * @param hypothesis the null value and the alternative
 * @param prior what is believed of the rate under the alternative
 * @param threshold how many times likelier one hypothesis is to be made, above 1
 * @param expected a value at which the chances are wanted too; null for none
 */
public record OutlookQuestion(
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
  public OutlookQuestion {
    planned = List.copyOf(planned);
    if (planned.isEmpty()) {
      throw new IllegalArgumentException("planned must name a number of observations, got none");
    }
    Proportion.require("against", hypothesis.against());
    if (expected != null) {
      Proportion.require("expect", expected);
    }
  }

  @Override
  public OutlookAnswer ask() {
    List<OutlookAnswer.Line> lines =
        planned.stream()
            .map(
                observations -> {
                  var chances = EvidenceChances.planned(observations, hypothesis, prior, threshold);
                  return new OutlookAnswer.Line(
                      observations,
                      chances.underNull(),
                      chances.underAlternative(),
                      expected == null ? null : chances.under(expected));
                })
            .toList();
    return new OutlookAnswer(this, lines, conclusion(lines.get(lines.size() - 1)));
  }

  private String conclusion(OutlookAnswer.Line line) {
    EvidenceChances alternative = line.underExpected();
    String truth =
        expected == null ? "the alternative" : "a rate of " + Figures.exactPercent(expected);
    if (alternative == null) {
      alternative = line.underAlternative();
    }
    return String.format(
        Locale.ROOT,
        "With %s observations the Bayes factor will reach %s for the alternative with a chance of %s"
            + " if %s is true, and for the null with a chance of %s if that is; the chance of being"
            + " misled so strongly is %s and %s.",
        Figures.count(line.observations()),
        Figures.plain(threshold),
        Figures.percent(alternative.forAlternative()),
        truth,
        Figures.percent(line.underNull().forNull()),
        Figures.percent(alternative.forNull()),
        Figures.percent(line.underNull().forAlternative()));
  }
}
