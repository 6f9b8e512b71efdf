package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.phrase.Claims;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.Observed;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of a rate, whatever its data are.
 *
 * @param question the question
 * @param hypothesis the null value and the direction
 * @param options alpha and level
 * @param from where the data came from; null when counts were given
 */
record RateAsked(
    Question question,
    Hypothesis hypothesis,
    InferenceSettings<?, ?, ?> options,
    @Nullable Provenance from) {

  double alpha() {
    return options.alpha();
  }

  double level() {
    return options.level();
  }

  /** The heading of tests. */
  String tests() {
    return "Tests: " + Claims.hypotheses(hypothesis, alpha());
  }

  Value figures() {
    return Value.fields()
        .with("quantity", Estimand.PROPORTION.id())
        .with("against", hypothesis.against())
        .with("alternative", hypothesis.alternative().id())
        .with("alpha", alpha());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(String label, Value.Fields input) {
    return Answer.to(question, AnswerKind.RATE, label)
        .add(Finding.fact("input", Observed.input(from).and(input)))
        .add(Finding.fact("hypothesis", figures()));
  }
}
