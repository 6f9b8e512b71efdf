package dev.tavik.report;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Value;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.StudyAnswer;
import java.util.ArrayList;
import java.util.List;

/** Plain text, for terminals and for files. */
record TextFormat(Screen screen, String whole, String lastLine) implements ReadersFormat {
  TextFormat(Screen screen) {
    this(screen, "Detail.EVERY_ROW", "");
  }

  @Override
  public String write(Document document) {
    return written(document.blocks()) + lastLine;
  }

  @Override
  public String opening(StudyAnswer decided) {
    List<Block> blocks = new ArrayList<>();
    if (!decided.title().isEmpty()) {
      blocks.add(new Block.Strong(decided.title()));
    }
    blocks.addAll(decided.summary());
    return written(blocks);
  }

  @Override
  public String chapter(Chapter chapter, int number) {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Block.Gap());
    blocks.add(new Block.Strong(chapter.heading()));
    blocks.add(new Block.Gap());
    blocks.addAll(chapter.blocks());
    return written(blocks);
  }

  @Override
  public String closing(StudyAnswer decided) {
    return written(Document.careful(decided.cautions())) + lastLine;
  }

  private String written(List<Block> blocks) {
    Lines lines = new Lines(screen);
    blocks.forEach(block -> write(lines, block));
    return lines.toString();
  }

  private void write(Lines lines, Block block) {
    if (block instanceof Block.Strong strong) {
      lines.strong(strong.text());
    } else if (block instanceof Block.Heading heading) {
      lines.heading(heading.text());
    } else if (block instanceof Block.Paragraph paragraph) {
      paragraph(lines, paragraph);
    } else if (block instanceof Block.Table table) {
      lines.table(table(table, lines.width() - 2));
    } else if (block instanceof Block.Grid grid) {
      new CellBlocks(grid).write(lines);
    } else if (block instanceof Block.Command command) {
      lines.command(command.why(), command.line());
    } else if (block instanceof Block.CommandLine command) {
      lines.line("    " + command.line());
    } else if (block instanceof Block.Steps steps) {
      int number = 1;
      for (WorkingStep step : steps.steps()) {
        step(lines, number, step);
        number++;
      }
    } else if (block instanceof Block.Rest rest) {
      lines.paragraph("  ", "  ", rest.what() + ": " + whole + ".");
    } else if (block instanceof Block.Gap) {
      lines.blank();
    }
  }

  private static void paragraph(Lines lines, Block.Paragraph paragraph) {
    Block.Manner manner = paragraph.manner();
    if (manner == Block.Manner.UNBROKEN) {
      lines.line(manner.first() + paragraph.text());
    } else {
      lines.paragraph(manner.first(), manner.others(), paragraph.text());
    }
  }

  private static TextTable table(Block.Table table, int room) {
    TextTable whole = table(table, true);
    return whole.fits(room) ? whole : table(table, false);
  }

  private static TextTable table(Block.Table table, boolean everyColumn) {
    List<Integer> shown = new ArrayList<>();
    for (int i = 0; i < table.columns().size(); i++) {
      if (everyColumn || table.columns().get(i).show() == Column.Show.YES) {
        shown.add(i);
      }
    }
    TextTable text =
        new TextTable(shown.stream().map(i -> table.columns().get(i).align()).toList());
    List<String> headings = shown.stream().map(i -> table.columns().get(i).heading()).toList();
    if (headings.stream().anyMatch(heading -> !heading.isEmpty())) {
      text.header(headings);
    }
    for (List<Value> row : table.rows()) {
      text.row(shown.stream().map(i -> row.get(i).text()).toList());
    }
    return text;
  }

  private static void step(Lines lines, int number, WorkingStep step) {
    String first = step.symbol().isEmpty() ? "" : step.symbol() + " = ";
    String others = step.symbol().isEmpty() ? "" : " ".repeat(step.symbol().length()) + " = ";
    lines.blank();
    lines.line("  " + number + ". " + step.name());
    lines.paragraph("       " + first, " ".repeat(11), step.formula());
    lines.paragraph("       " + others, " ".repeat(11), step.substituted());
    lines.line("       " + others + step.value());
    if (!step.reason().isEmpty()) {
      lines.paragraph("       ", "       ", step.reason());
    }
  }
}
