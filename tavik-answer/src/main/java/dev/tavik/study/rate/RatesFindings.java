package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Column;
import dev.tavik.answer.Depth;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.ShownMembers;
import dev.tavik.answer.SubAnswers;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.RateVerdicts;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts the answer about the rates of several groups together.
 *
 * @param asked what is asked of each
 * @param data what it is asked of
 * @param groups what was found of each, tests adjusted
 * @param answers the answer about each
 */
record RatesFindings(RateAsked asked, Rates data, List<RateFound> groups, List<Answer> answers) {

  Answer answer(String label, List<Caution> cautions) {
    List<Finding> context = new ArrayList<>(Observed.source(asked.question().from()));
    context.addAll(data.context());
    AnswerBuilder answer =
        asked
            .begin(label, Value.fields())
            .addAll(data.about())
            .add(Finding.fact("adjustment", new Value.Words("holm")))
            .add(new SubAnswers("groups", groups.stream().map(RateFound::name).toList(), answers));
    Depth whole = Depth.ALWAYS;
    if (ShownMembers.needed(groups.size())) {
      whole = Depth.WHOLE;
      answer.add(data.ends(groups).at(Depth.CUT));
      context.forEach(each -> answer.add(each.at(Depth.CUT)));
      answer.add(Finding.say(new Block.Rest(data.rest(groups.size()))).at(Depth.CUT));
    }
    List<Finding> all = new ArrayList<>(List.of(data.observed(groups)));
    all.addAll(context);
    all.add(tests());
    all.add(intervals());
    all.addAll(data.after(groups, answers));
    for (Finding each : all) {
      answer.add(each.at(whole));
    }
    return answer.conditions(data.conditions(groups)).cautions(cautions).concluded(verdict(label));
  }

  private Sheet tests() {
    Sheet sheet =
        Sheet.read(
            asked.tests(),
            Column.words(),
            Column.words(),
            data.statistic(),
            Column.numbers("p"),
            Column.numbers("Holm p"),
            Column.words("after adjustment"));
    for (RateFound group : groups) {
      for (TestResult test : group.made().tests()) {
        sheet.row(
            group.name(),
            test.method().id(),
            data.statistic(test),
            Value.p(test.log10PValue()),
            Holm.shown(test),
            test.rejectsAdjusted(asked.alpha()) ? "rejects" : "does not reject");
      }
    }
    return sheet;
  }

  private Intervals intervals() {
    Intervals intervals =
        Intervals.read(
            "Intervals, level " + Figures.exactPercent(asked.level()) + ", each for itself");
    for (RateFound group : groups) {
      intervals.pairs(
          group.made().intervals(),
          interval -> new String[] {group.name(), interval.method().id()});
      data.beside(group, intervals);
    }
    return intervals;
  }

  private Verdict verdict(String label) {
    return groups
        .get(0)
        .basis()
        .onEach(
            RateVerdicts.several(
                label,
                groups.stream().map(RateFound::phrase).toList(),
                asked.hypothesis(),
                asked.alpha()),
            "group");
  }
}
