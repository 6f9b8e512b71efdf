package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.parts.Observed;

/**
 * What is asked of two classifications, for programs and in words.
 *
 * @param question the question
 * @param label the analyst's name for it, or that of a layer; empty for none
 * @param quantity what the null is about, such as independence
 */
record CrossAsked(
    InferenceQuestion<?, CrossSettings, ?, ?> question, String label, String quantity) {
  double alpha() {
    return question.settings().alpha();
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(Value.Fields input) {
    return Answer.to(question, AnswerKind.CROSS, label)
        .add(Finding.fact("input", Observed.input(question.from()).and(input)))
        .add(
            Finding.fact(
                "hypothesis",
                Value.fields()
                    .with("quantity", quantity)
                    .with("alternative", "two-sided")
                    .with("alpha", alpha())));
  }
}
