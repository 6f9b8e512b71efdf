package dev.tavik.study.parts;

import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.study.Provenance;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was counted, and where it came from, as findings. */
public final class Observed {
  private Observed() {}

  /** Says which file or table the counts are from, if they are. */
  public static List<Finding> source(@Nullable Provenance from) {
    return from == null ? List.of() : List.of(Finding.sentence(from.inWords() + "."));
  }

  public static Value.Fields input(@Nullable Provenance from) {
    return from == null ? Value.fields() : from.figures();
  }

  public static Value.Fields figures(Tally tally) {
    return Value.fields()
        .with("tally", tally.toString())
        .with("successes", tally.successes())
        .with("trials", tally.trials());
  }

  public static Value.Fields figures(NamedTally group) {
    return Value.fields().with("label", group.name()).and(figures(group.tally()));
  }

  public static Estimate proportion(String name, Tally tally) {
    double value = tally.proportion();
    return new Estimate(
        Estimand.PROPORTION,
        name,
        value,
        Math.sqrt(value * ((double) tally.failures() / tally.trials()) / tally.trials()));
  }

  public static Sheet groups(String heading, List<NamedTally> groups) {
    Sheet sheet =
        Sheet.read(
            heading,
            Column.words(),
            Column.counts("successes"),
            Column.counts("of"),
            Column.numbers("proportion"));
    groups.forEach(
        group ->
            sheet.row(
                group.name(),
                new Value.Count(group.tally().successes()),
                new Value.Count(group.tally().trials()),
                Value.Share.FINE.of(group.tally().proportion())));
    return sheet;
  }
}
