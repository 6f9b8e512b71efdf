package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.phrase.Claims;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.Estimand;
import dev.tavik.result.Side;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.Observed;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of two groups or more, whatever their data are.
 *
 * @param question the question
 * @param label the analyst's name for it; empty for none
 * @param claim what is to be shown
 * @param options alpha and level
 * @param from where the data came from; null when counts were given
 */
record CompareAsked(
    Question question,
    String label,
    ComparisonClaim claim,
    InferenceSettings<?, ?, ?> options,
    @Nullable Provenance from) {

  double alpha() {
    return options.alpha();
  }

  double level() {
    return options.level();
  }

  /** The side of the interval that goes with the direction asked about. */
  Side matching() {
    return claim.alternative().matchingSide();
  }

  /** What is tested of two groups, for a heading. */
  String hypotheses(String one, String two) {
    return Claims.hypotheses(claim, one, two, alpha());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(String title, Value.Fields input) {
    Value.Fields hypothesis =
        Value.fields()
            .with("quantity", Estimand.DIFFERENCE.id())
            .with("against", claim.hypothesis().against())
            .with("alternative", claim.alternative().id())
            .with("alpha", alpha());
    Double margin = claim.largest();
    return Answer.to(question, AnswerKind.COMPARE, title)
        .add(Finding.fact("input", Observed.input(from).and(input)))
        .add(
            Finding.fact(
                "hypothesis",
                margin == null
                    ? hypothesis
                    : hypothesis.with("margin", margin).with("show", claim.goal().id())));
  }
}
