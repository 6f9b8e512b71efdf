package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.answer.Value;
import dev.tavik.association.Shares;
import dev.tavik.result.Estimand;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.Observed;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of shares, whatever their data are.
 *
 * @param question the question
 * @param label the analyst's name for it; empty for none
 * @param levels the categories
 * @param claimed the share that is claimed of each
 * @param options alpha and level
 * @param from where the data came from; null when counts were given
 */
record SharesAsked(
    Question question,
    String label,
    List<String> levels,
    Shares claimed,
    InferenceSettings<?, ?, ?> options,
    @Nullable Provenance from) {

  double alpha() {
    return options.alpha();
  }

  double level() {
    return options.level();
  }

  IntStream categories() {
    return IntStream.range(0, levels.size());
  }

  /** Begins an answer with its input and hypothesis. */
  AnswerBuilder begin(SharesData data) {
    Value.Fields counts = Value.fields();
    categories().forEach(i -> counts.with(levels.get(i), data.figures(i)));
    return Answer.to(question, AnswerKind.SHARES, label)
        .add(Finding.fact("input", Observed.input(from).with("counts", counts)))
        .add(
            Finding.fact(
                "hypothesis",
                Value.fields()
                    .with("quantity", Estimand.SHARE.id())
                    .with("against", Value.numbers(categories().mapToObj(claimed::share).toList()))
                    .with("alternative", "two-sided")
                    .with("alpha", alpha())));
  }
}
