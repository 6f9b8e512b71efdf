package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.RateVerdicts;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.DataCautions;
import dev.tavik.study.parts.DecisionCautions;
import dev.tavik.study.parts.Holm;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

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
    this.groups = adjusted(found());
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

  private static List<RateFound> adjusted(List<RateFound> alone) {
    List<List<TestResult>> tests = Holm.adjust(alone.stream().map(RateFound::tests).toList());
    return IntStream.range(0, alone.size())
        .mapToObj(group -> alone.get(group).withTests(tests.get(group)))
        .toList();
  }

  Answer answer() {
    BayesianDetail extent = BayesianDetail.of(groups.size());
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < groups.size(); i++) {
      RateFound group = groups.get(i);
      answers.add(
          new RateFindings(group)
              .answer(RateBelief.of(group.question(), extent), cautions(group, i)));
    }
    return new RateByGroupFindings(question, groups, answers)
        .answer(cautions(), groups.get(0).preference().onEach(verdict(), "group"));
  }

  private List<Caution> cautions(RateFound group, int position) {
    List<Caution> cautions = new ArrayList<>(cautionsOfEach.get(position));
    cautions.removeAll(common);
    cautions.addAll(
        DecisionCautions.adjustedAway(
            group.preferredTest(),
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

  private Verdict verdict() {
    return RateVerdicts.several(
        question.label(),
        groups.stream().map(RateFound::rate).toList(),
        settings.hypothesis(),
        settings.alpha());
  }
}
