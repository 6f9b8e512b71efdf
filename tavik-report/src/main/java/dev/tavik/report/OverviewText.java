package dev.tavik.report;

import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What a source of data holds, column by column. */
final class OverviewText {
  private static final int MOST_LEVELS = 12;

  private final Lines lines;

  OverviewText(Lines lines) {
    this.lines = lines;
  }

  void write(DataOverview overview, List<String> suggestions) {
    lines.strong(
        String.format(
            Locale.ROOT,
            "%s: %s %s, %d %s, %s",
            overview.source(),
            Figures.count(overview.rows()),
            overview.rows() == 1 ? "row" : "rows",
            overview.columns().size(),
            overview.columns().size() == 1 ? "column" : "columns",
            overview.layout()));
    overview.columns().forEach(this::column);
    if (!suggestions.isEmpty()) {
      lines.heading("What could be asked");
      suggestions.forEach(this::command);
      if (suggestions.stream().anyMatch(each -> each.contains("%"))) {
        lines.paragraph(
            "  ", "  ", "Put your own value in place of the percentage, and the success you mean.");
      }
    }
  }

  /** A command over several lines, as a shell takes it. */
  private void command(String command) {
    String[] parts = command.split(" (?=--)");
    StringBuilder line = new StringBuilder("  " + parts[0]);
    for (int i = 1; i < parts.length; i++) {
      if (line.length() + parts[i].length() + 3 > Lines.WIDTH) {
        lines.line(line + " \\");
        line = new StringBuilder("      " + parts[i]);
      } else {
        line.append(' ').append(parts[i]);
      }
    }
    lines.line(line.toString());
  }

  private void column(Column column) {
    lines.heading(column.name().isEmpty() ? "(no name)" : column.name());
    lines.paragraph("  ", "  ", kind(column));
    boolean shows =
        column.kind().classifies()
            || column.kind() == Kind.CONSTANT
            || column.kind() == Kind.MANY_VALUES;
    if (!shows || column.levels().isEmpty()) {
      return;
    }
    long present = column.levels().values().stream().mapToLong(Long::longValue).sum();
    TextTable table = new TextTable(Align.LEFT, Align.RIGHT, Align.POINT);
    int shown = 0;
    for (Map.Entry<String, Long> level : column.levels().entrySet()) {
      if (shown == MOST_LEVELS) {
        break;
      }
      table.row(
          level.getKey(),
          Figures.count(level.getValue()),
          Figures.percent((double) level.getValue() / present));
      shown++;
    }
    lines.table(table);
    if (column.levels().size() > shown) {
      lines.line("  and " + (column.levels().size() - shown) + " more levels");
    }
  }

  private static String kind(Column column) {
    StringBuilder text = new StringBuilder(column.kind().id());
    switch (column.kind()) {
      case CATEGORY -> text.append(", ").append(column.distinct()).append(" levels");
      case MANY_VALUES -> text.append(howMany(column));
      case WHOLE_NUMBERS, NUMBERS, DATES ->
          text.append(", ").append(String.join(" to ", column.range()));
      default -> {}
    }
    if (column.kind() == Kind.WHOLE_NUMBERS) {
      text.append(", in all ").append(Figures.count(column.sum()));
    }
    return text.append(column.missing() == 0 ? "" : "; " + missing(column)).toString();
  }

  private static String howMany(Column column) {
    if (column.distinct() == 0) {
      return ", long texts";
    }
    return (column.distinct() >= 1000 ? ", 1,000 or more" : ", " + column.distinct())
        + " different ones";
  }

  private static String missing(Column column) {
    return Figures.count(column.missing())
        + (column.missing() == 1 ? " row lacks" : " rows lack")
        + " a value";
  }
}
