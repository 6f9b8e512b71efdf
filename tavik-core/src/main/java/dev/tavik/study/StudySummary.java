package dev.tavik.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.List;

/** All tests of a study in one table, with what became of each once all are looked at together. */
record StudySummary(List<Decision> decisions, Adjustment adjustment) {
  private static final String RULE =
      "Each group and each pair of a question counts as a test of its own, any other question as"
          + " one: the test that its verdict rests on.";

  List<Block> blocks() {
    Sheet sheet = Sheet.read(heading(), columns());
    int last = 0;
    for (Decision each : decisions) {
      boolean part = !each.part().isEmpty();
      if (part && each.number() != last) {
        sheet.row(row(new Value.Count(each.number()), each.label()));
      }
      Value number = part ? Value.none() : new Value.Count(each.number());
      sheet.row(row(number, part ? "  " + each.part() : each.label(), figures(each)));
      last = each.number();
    }
    List<Block> blocks = new ArrayList<>(sheet.reading());
    blocks.add(Block.paragraph(RULE));
    return blocks;
  }

  private boolean adjusted() {
    return adjustment != Adjustment.NONE;
  }

  private boolean families() {
    return decisions.stream().map(Decision::family).distinct().count() > 1;
  }

  private String heading() {
    return adjusted()
        ? say(
            "The %d tests, p-values adjusted by %s over %s",
            decisions.size(), adjustment.title(), families() ? "each family" : "all of them")
        : say("The %d tests, p-values as they are", decisions.size());
  }

  private List<Column> columns() {
    List<Column> columns = new ArrayList<>(List.of(Column.counts(""), Column.words("question")));
    columns.add(Column.numbers("p"));
    if (adjusted()) {
      columns.add(Column.numbers("adjusted p"));
    }
    columns.add(Column.words(""));
    if (families()) {
      columns.add(Column.words("family"));
    }
    return columns;
  }

  private List<Value> figures(Decision decision) {
    List<Value> figures = new ArrayList<>(List.of(Value.p(decision.test().log10PValue())));
    AdjustedP after = decision.test().adjusted();
    if (adjusted()) {
      figures.add(after == null ? Value.none() : Value.p(after.log10PValue()));
    }
    figures.add(new Value.Words(decision.outcome()));
    if (families()) {
      figures.add(new Value.Words(decision.family().isEmpty() ? "the others" : decision.family()));
    }
    return figures;
  }

  private List<Value> row(Value number, String name, List<Value> figures) {
    List<Value> row = new ArrayList<>(List.of(number, new Value.Words(name)));
    row.addAll(figures);
    return row;
  }

  /** The name of a question whose parts follow. */
  private List<Value> row(Value number, String name) {
    List<Value> row = row(number, name, List.of());
    columns().stream().skip(2).forEach(column -> row.add(Value.none()));
    return row;
  }
}
