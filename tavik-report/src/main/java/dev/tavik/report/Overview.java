package dev.tavik.report;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What is in a file of data, and what could be asked of it. */
record Overview(DataOverview overview, List<String> suggestions) {
  private static final int MOST_LEVELS = 12;

  /** Commands are laid out the same in every form of report. */
  private static final int COMMAND_WIDTH = 80;

  List<Block> blocks() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(
        new Block.Strong(
            say(
                "%s: %s %s, %d %s, %s",
                overview.source(),
                Figures.count(overview.rows()),
                overview.rows() == 1 ? "row" : "rows",
                overview.columns().size(),
                overview.columns().size() == 1 ? "column" : "columns",
                overview.layout())));
    if (!overview.remarks().isEmpty()) {
      String remarks = String.join("; ", overview.remarks());
      blocks.add(
          Block.paragraph(
              remarks.substring(0, 1).toUpperCase(Locale.ROOT) + remarks.substring(1) + "."));
    }
    overview.columns().forEach(column -> column(blocks, column));
    if (!suggestions.isEmpty()) {
      blocks.add(Block.heading("What could be asked"));
      suggestions.forEach(suggestion -> command(blocks, suggestion));
      if (suggestions.stream().anyMatch(each -> each.contains("%"))) {
        blocks.add(
            Block.paragraph(
                "Put your own value in place of the percentage, and the success you mean."));
      }
    }
    return blocks;
  }

  /** Breaks a long command where the shell continues it. */
  private static void command(List<Block> blocks, String command) {
    String[] parts = command.split(" (?=--)");
    StringBuilder line = new StringBuilder(parts[0]);
    for (int i = 1; i < parts.length; i++) {
      if (line.length() + 2 + parts[i].length() + 3 > COMMAND_WIDTH) {
        blocks.add(Block.paragraph(line + " \\", Block.Style.UNBROKEN));
        line = new StringBuilder("    " + parts[i]);
      } else {
        line.append(' ').append(parts[i]);
      }
    }
    blocks.add(Block.paragraph(line.toString(), Block.Style.UNBROKEN));
  }

  private static void column(List<Block> blocks, DataOverview.Column column) {
    blocks.add(Block.heading(column.name().isEmpty() ? "(no name)" : column.name()));
    blocks.add(Block.paragraph(kind(column)));
    boolean shows =
        column.kind().classifies()
            || column.kind() == Kind.CONSTANT
            || column.kind() == Kind.MANY_VALUES;
    if (!shows || column.levels().isEmpty()) {
      return;
    }
    long present = column.levels().values().stream().mapToLong(Long::longValue).sum();
    Sheet sheet = Sheet.read("", Column.words(), Column.counts(""), Column.numbers(""));
    column.levels().entrySet().stream()
        .limit(MOST_LEVELS)
        .forEach(
            level ->
                sheet.row(
                    level.getKey(),
                    new Value.Count(level.getValue()),
                    Value.Share.PLAIN.of((double) level.getValue() / present)));
    blocks.addAll(sheet.reading());
    int more = column.levels().size() - MOST_LEVELS;
    if (more > 0) {
      blocks.add(Block.paragraph("and " + more + " more levels", Block.Style.UNBROKEN));
    }
  }

  private static String kind(DataOverview.Column column) {
    StringBuilder text = new StringBuilder(column.kind().id());
    switch (column.kind()) {
      case CATEGORY -> text.append(", ").append(column.distinct()).append(" levels");
      case MANY_VALUES -> text.append(howMany(column));
      case WHOLE_NUMBERS, NUMBERS, DATES ->
          text.append(", ").append(String.join(" to ", column.range()));
      default -> {
        // The kind needs no further words.
      }
    }
    if (column.kind() == Kind.WHOLE_NUMBERS) {
      text.append(", in all ").append(Figures.count(column.sum()));
    }
    return text.append(column.missing() == 0 ? "" : "; " + missing(column)).toString();
  }

  private static String howMany(DataOverview.Column column) {
    if (column.distinct() == 0) {
      return ", long texts";
    }
    return say(
        "%s different ones",
        column.distinct() >= 1000 ? ", 1,000 or more" : ", " + column.distinct());
  }

  private static String missing(DataOverview.Column column) {
    return Figures.count(column.missing())
        + (column.missing() == 1 ? " row lacks" : " rows lack")
        + " a value";
  }

  Value.Fields figures() {
    Value.Fields fields =
        Value.fields()
            .with("data", overview.source())
            .with("layout", overview.layout())
            .with("rows", overview.rows());
    if (!overview.remarks().isEmpty()) {
      fields.with("remarks", Value.words(overview.remarks()));
    }
    return fields
        .with("columns", Value.list(overview.columns(), Overview::figures))
        .with("suggestions", Value.words(suggestions));
  }

  private static Value figures(DataOverview.Column column) {
    Value.Fields levels = Value.fields();
    if (column.kind().classifies() || column.kind() == Kind.CONSTANT) {
      for (Map.Entry<String, Long> level : column.levels().entrySet()) {
        levels.with(level.getKey(), level.getValue());
      }
    }
    return Value.fields()
        .with("name", column.name())
        .with("kind", column.kind().id())
        .with("distinct", column.distinct())
        .with("missing", column.missing())
        .with("levels", levels)
        .with("range", Value.words(column.range()));
  }
}
