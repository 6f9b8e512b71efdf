package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.phrase.Claims;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.parts.Observed;

/**
 * What is asked of a rate, for programs and in words.
 *
 * @param question the question
 */
record RateAsked(RateQuestion question) {
  Hypothesis hypothesis() {
    return question.settings().hypothesis();
  }

  double alpha() {
    return question.settings().alpha();
  }

  double level() {
    return question.settings().level();
  }

  /** The heading of tests. */
  String tests() {
    return "Tests: " + Claims.hypotheses(hypothesis(), alpha());
  }

  Value figures() {
    return Value.fields()
        .with("quantity", Estimand.PROPORTION.id())
        .with("against", hypothesis().against())
        .with("alternative", hypothesis().alternative().id())
        .with("alpha", alpha());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(String label, Value.Fields input) {
    return Answer.to(question, AnswerKind.RATE, label)
        .add(Finding.fact("input", Observed.input(question.from()).and(input)))
        .add(Finding.fact("hypothesis", figures()));
  }
}
