package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.study.TailAnswer;

/** What a tail answer says, in a table or for programs. */
final class TailText {
  private static final double FEW = 1e-4;
  private static final int DIGITS = 10;

  private final Lines lines;

  TailText(Lines lines) {
    this.lines = lines;
  }

  void write(TailAnswer answer) {
    lines.strong(answer.conclusion());
    boolean counts = answer.asked().tail().counts();
    Double area = answer.asked().area();
    lines.heading(
        area == null
            ? "Areas"
            : "Values for an area of "
                + Figures.exactPercent(area)
                + (counts ? ", with the area that is attained" : ""));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT);
    for (TailAnswer.Line line : answer.lines()) {
      table.row(line.side(), TailAnswer.words(counts, line), area(line));
    }
    lines.table(table);
    lines.paragraph("  ", "  ", both(answer));
  }

  private static String area(TailAnswer.Line line) {
    double area = Math.exp(line.logArea());
    return area < FEW || line.logArea() == 0
        ? Figures.pValue(line.log10Area())
        : Figures.upTo(area, DIGITS);
  }

  /** How both tails are joined. */
  private static String both(TailAnswer answer) {
    if (answer.asked().area() != null) {
      return answer.asked().tail().counts()
          ? "Of each tail first the last count within the area, then the next, which goes beyond;"
              + " both has at most half the area in each tail."
          : "Both has half the area in each tail.";
    }
    return answer.asked().to() != null
        ? answer.asked().tail().counts()
            ? "Both ends are counted in."
            : "What lies outside is one minus that."
        : answer.asked().tail().counts()
            ? "Both tails hold the value itself; both is twice the smaller, at most 1."
            : "Both is twice the smaller tail, at most 1.";
  }

  static ObjectNode json(TailAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    node.put("distribution", answer.asked().tail().name());
    ArrayNode lines = node.putArray("lines");
    for (TailAnswer.Line line : answer.lines()) {
      lines
          .addObject()
          .put("side", line.side())
          .put("from", line.from())
          .put("to", line.to())
          .put("area", Math.exp(line.logArea()))
          .set("log10Area", JsonParts.finite(line.log10Area()));
    }
    return node.put("conclusion", answer.conclusion());
  }
}
