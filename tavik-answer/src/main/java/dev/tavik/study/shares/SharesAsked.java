package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.association.Shares;
import dev.tavik.result.Estimand;
import dev.tavik.study.parts.Observed;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What is asked of shares, for programs and in words.
 *
 * @param question the question
 */
record SharesAsked(SharesQuestion question) {
  String label() {
    return question.label();
  }

  List<String> levels() {
    return question.levels();
  }

  /** The share that is claimed of each category. */
  Shares claimed() {
    return question.claimed();
  }

  double alpha() {
    return question.settings().alpha();
  }

  double level() {
    return question.settings().level();
  }

  IntStream categories() {
    return IntStream.range(0, levels().size());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(SharesData data) {
    Value.Fields counts = Value.fields();
    categories().forEach(i -> counts.with(levels().get(i), data.figures(i)));
    return Answer.to(question, AnswerKind.SHARES, label())
        .add(Finding.fact("input", Observed.input(question.from()).with("counts", counts)))
        .add(
            Finding.fact(
                "hypothesis",
                Value.fields()
                    .with("quantity", Estimand.SHARE.id())
                    .with(
                        "against", Value.numbers(categories().mapToObj(claimed()::share).toList()))
                    .with("alternative", "two-sided")
                    .with("alpha", alpha())));
  }
}
