package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NextQuestion;
import dev.tavik.answer.Sheet;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.parts.GroupEstimates;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A table of two rows and two columns as two rates. */
final class TableAsRates {
  private TableAsRates() {}

  static Sheet sheet(CompareQuestion rates, List<Interval> intervals) {
    Sheet sheet =
        Sheet.read(
            say(
                "As rates of %s: %s against %s",
                rates.label(), rates.tallies().get(0).name(), rates.tallies().get(1).name()),
            Column.words(),
            Column.numbers(""),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    for (Estimate estimate : GroupEstimates.of(rates.tallies().get(0), rates.tallies().get(1))) {
      String name =
          switch (estimate.quantity()) {
            case DIFFERENCE -> "difference of rates";
            case RATIO -> "ratio of rates";
            case ODDS_RATIO -> "odds ratio";
            default -> "";
          };
      if (!name.isEmpty()) {
        CrossFindings.strength(sheet, name, estimate.value(), of(intervals, estimate.quantity()));
      }
    }
    return sheet;
  }

  private static @Nullable Interval of(List<Interval> intervals, Estimand quantity) {
    return intervals.stream().filter(each -> each.quantity() == quantity).findFirst().orElse(null);
  }

  static Finding withDirection(CompareQuestion rates) {
    return Finding.say(
        new Block.Command(
            "With a direction",
            NextQuestion.of(
                AnswerKind.COMPARE,
                rates.tallies().get(0).name() + "=" + rates.tallies().get(0).tally(),
                rates.tallies().get(1).name() + "=" + rates.tallies().get(1).tally())));
  }
}
