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
    Writer writer = new Writer(lines, whole);
    blocks.forEach(block -> block.writtenBy(writer));
    return lines.toString();
  }

  /**
   * Writes blocks into lines.
   *
   * @param whole how to see what is left out
   */
  private record Writer(Lines lines, String whole) implements Block.Writer<Lines> {
    @Override
    public Lines strong(Block.Strong strong) {
      return lines.strong(strong.text());
    }

    @Override
    public Lines heading(Block.Heading heading) {
      return lines.heading(heading.text());
    }

    @Override
    public Lines paragraph(Block.Paragraph paragraph) {
      Block.Style manner = paragraph.manner();
      return manner == Block.Style.UNBROKEN
          ? lines.line(manner.first() + paragraph.text())
          : lines.paragraph(manner.first(), manner.others(), paragraph.text());
    }

    @Override
    public Lines table(Block.Table table) {
      return lines.table(fitted(table, lines.width() - 2));
    }

    @Override
    public Lines grid(Block.Grid grid) {
      new CellBlocks(grid).write(lines);
      return lines;
    }

    @Override
    public Lines command(Block.Command command) {
      return lines.command(command.why(), command.line());
    }

    @Override
    public Lines commandLine(Block.CommandLine command) {
      return lines.line("    " + command.line());
    }

    @Override
    public Lines rest(Block.Rest rest) {
      return lines.paragraph("  ", "  ", rest.what() + ": " + whole + ".");
    }

    @Override
    public Lines steps(Block.Steps steps) {
      int number = 1;
      for (WorkingStep step : steps.steps()) {
        step(lines, number, step);
        number++;
      }
      return lines;
    }

    @Override
    public Lines gap(Block.Gap gap) {
      return lines.blank();
    }
  }

  private static TextTable fitted(Block.Table table, int room) {
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
