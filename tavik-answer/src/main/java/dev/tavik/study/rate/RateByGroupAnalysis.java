package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;

/** Puts the answers of several groups together, with one verdict after adjustment. */
final class RateByGroupAnalysis {
  private final RateByGroupQuestion question;
  private final RateSettings settings;
  private final List<RateFound> groups;
  private final List<List<Caution>> cautionsOfEach;
  private final List<Caution> common;

  RateByGroupAnalysis(RateByGroupQuestion question) {
    this.question = question;
    this.settings = question.settings();
    this.groups = RateFound.adjusted(found());
    this.cautionsOfEach = groups.stream().map(RateCautions::of).toList();
    this.common = DataCautions.common(cautionsOfEach);
  }

  private List<RateFound> found() {
    SizedTest chosen =
        SizedTest.of(
            question.groups().values().stream()
                .map(tally -> RateMethods.of(tally, settings))
                .toList(),
            settings);
    return question.groups().entrySet().stream()
        .map(group -> RateQuestion.of(group.getValue(), settings).named(group.getKey()))
        .map(group -> new RateAnalysis(group, chosen).found())
        .toList();
  }

  Answer answer() {
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < groups.size(); i++) {
      answers.add(new RateFindings(believed(groups.get(i))).answer(cautions(groups.get(i), i)));
    }
    RateAsked asked = new RateAsked(question, settings.hypothesis(), settings, question.from());
    return new RateByGroupFindings(asked, new TallyGroups(settings), groups, answers)
        .answer(question.label(), cautions());
  }

  private RateFound believed(RateFound group) {
    return ((TallyRate) group.data()).believed(group, BayesianDetail.of(groups.size()));
  }

  private List<Caution> cautions(RateFound group, int position) {
    List<Caution> cautions = new ArrayList<>(cautionsOfEach.get(position));
    cautions.removeAll(common);
    cautions.addAll(
        DecisionCautions.adjustedAway(
            group.test(),
            settings.alpha(),
            "the " + question.groups().size() + " groups looked at together"));
    return cautions;
  }

  private List<Caution> cautions() {
    List<Caution> cautions = new ArrayList<>(common);
    Provenance from = question.from();
    if (from != null) {
      // Where every level is a group of its own, each has all units.
      boolean everyLevel = from.success().isEmpty();
      long used =
          everyLevel
              ? question.groups().values().iterator().next().trials()
              : question.groups().values().stream().mapToLong(tally -> tally.trials()).sum();
      cautions.addAll(DataCautions.of(from, used));
    }
    cautions.addAll(DataCautions.empty(question.emptyGroups()));
    if (settings.bayes() != null) {
      cautions.addAll(DataCautions.brief(groups.size(), /* pairs= */ false));
    }
    return cautions;
  }
}
