package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.phrase.Claims;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.Estimand;
import dev.tavik.result.Side;
import dev.tavik.study.parts.Observed;

/**
 * What is asked of two groups or more, for programs and in words.
 *
 * @param question the question
 */
record CompareAsked(CompareQuestion question) {
  String label() {
    return question.label();
  }

  CompareSettings settings() {
    return question.settings();
  }

  /** What is to be shown. */
  ComparisonClaim claim() {
    return settings().claim();
  }

  double alpha() {
    return settings().alpha();
  }

  double level() {
    return settings().level();
  }

  /** The side of the interval that goes with the direction asked about. */
  Side matching() {
    return claim().alternative().matchingSide();
  }

  /** What is tested of two groups, for a heading. */
  String hypotheses(String one, String two) {
    return Claims.hypotheses(claim(), one, two, alpha());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(String title, Value.Fields input) {
    Value.Fields hypothesis =
        Value.fields()
            .with("quantity", Estimand.DIFFERENCE.id())
            .with("against", claim().hypothesis().against())
            .with("alternative", claim().alternative().id())
            .with("alpha", alpha());
    Double margin = claim().largest();
    return Answer.to(question, AnswerKind.COMPARE, title)
        .add(Finding.fact("input", Observed.input(question.from()).and(input)))
        .add(
            Finding.fact(
                "hypothesis",
                margin == null
                    ? hypothesis
                    : hypothesis.with("margin", margin).with("show", claim().goal().id())));
  }
}
