package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.Observed;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of two classifications, whatever their data are.
 *
 * @param question the question
 * @param label the analyst's name for it, or that of a layer; empty for none
 * @param quantity what the null is about, such as independence
 * @param alpha the significance level
 * @param from where the data came from; null when counts were given
 */
record CrossAsked(
    Question question, String label, String quantity, double alpha, @Nullable Provenance from) {

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(Value.Fields input) {
    return Answer.to(question, AnswerKind.CROSS, label)
        .add(Finding.fact("input", Observed.input(from).and(input)))
        .add(
            Finding.fact(
                "hypothesis",
                Value.fields()
                    .with("quantity", quantity)
                    .with("alternative", "two-sided")
                    .with("alpha", alpha)));
  }
}
