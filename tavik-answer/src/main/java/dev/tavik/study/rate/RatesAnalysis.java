package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;

/**
 * Answers a question about one rate, or puts the answers of several groups together with one
 * verdict after adjustment.
 *
 * @param question the question
 * @param rates what it is asked of
 */
record RatesAnalysis(RateQuestion question, Rates rates) {
  Answer answer() {
    return rates.alone() ? one(rates.found().get(0)) : several(RateFound.adjusted(rates.found()));
  }

  private Answer one(RateFound found) {
    return Answer.to(question, AnswerKind.RATE, question.label())
        .worded(
            found.made().tests(),
            found.made().intervals(),
            () -> {
              List<Caution> cautions = new ArrayList<>(found.data().cautions(found));
              cautions.addAll(rates.cautions(List.of(found)));
              return new RateFindings(rates.believed(found)).answer(cautions);
            });
  }

  private Answer several(List<RateFound> groups) {
    List<List<Caution>> cautions =
        groups.stream().map(group -> group.data().cautions(group)).toList();
    List<Caution> common = new ArrayList<>(DataCautions.common(cautions));
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < groups.size(); i++) {
      List<Caution> own = new ArrayList<>(cautions.get(i));
      own.removeAll(common);
      own.addAll(
          DecisionCautions.adjustedAway(
              groups.get(i).test(),
              question.settings().alpha(),
              "the " + groups.size() + " groups looked at together"));
      answers.add(new RateFindings(rates.believed(groups.get(i))).answer(own));
    }
    common.addAll(rates.cautions(groups));
    return new RatesFindings(new RateAsked(question), rates, groups, answers)
        .answer(question.label(), common);
  }
}
