package dev.tavik.report;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Align;
import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Origin;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.StudyAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Markdown with tables, as most readers of it show; pictures are files beside it.
 *
 * @param below how a heading within an answer begins
 */
record MarkdownFormat(String below) implements ReadersFormat, Block.Writer<String> {
  private static final Pattern SPECIAL = Pattern.compile("[\\\\`*_{}\\[\\]<>#|~&$!]");
  private static final Pattern MARKS_A_LIST = Pattern.compile("^(\\d+)?([-+.)])(?= )");

  private static final String FIRST_LINE = "<!-- Tavik " + Mark.VERSION + " -->\n";

  MarkdownFormat() {
    this("## ");
  }

  @Override
  public String write(Document document) {
    StringBuilder text = new StringBuilder(FIRST_LINE);
    document.chapters().forEach(chapter -> add(text, chapter));
    return text.toString();
  }

  @Override
  public String opening(StudyAnswer decided) {
    StringBuilder text = new StringBuilder(FIRST_LINE);
    text.append("\n# ").append(plain(decided.title().isEmpty() ? "Study" : decided.title()));
    text.append('\n');
    add(text, decided.summary());
    return text.toString();
  }

  @Override
  public String chapter(Chapter chapter, int number) {
    StringBuilder text = new StringBuilder();
    text.append("\n## ").append(plain(chapter.heading())).append('\n');
    new MarkdownFormat("### ").add(text, chapter);
    return text.toString();
  }

  @Override
  public String closing(StudyAnswer decided) {
    StringBuilder text = new StringBuilder();
    add(text, Document.careful(decided.cautions()));
    return text.toString();
  }

  private void add(StringBuilder text, Chapter chapter) {
    add(text, chapter.before());
    for (Illustration each : chapter.pictures()) {
      text.append(
          say("\n![%s: %s](<%s>)\n", plain(each.title()), plain(each.description()), each.file()));
    }
    add(text, chapter.after());
    chapter.origin().ifPresent(each -> add(text, origin(each)));
  }

  private static List<Block> origin(Origin origin) {
    List<Block> blocks = new ArrayList<>();
    if (!origin.command().isEmpty()) {
      blocks.add(Block.heading("To make it again"));
      blocks.add(new Block.CommandLine(origin.command()));
    }
    origin.data().forEach(each -> blocks.add(Block.paragraph(each + ".")));
    return blocks;
  }

  private void add(StringBuilder text, List<Block> blocks) {
    boolean list = false;
    for (Block block : blocks) {
      String written = block.writtenBy(this);
      boolean item = written.startsWith("- ");
      if (!written.isEmpty()) {
        text.append(item && list ? "" : "\n").append(written).append('\n');
        list = item;
      }
    }
  }

  @Override
  public String strong(Block.Strong strong) {
    return "**" + plain(strong.text()) + "**";
  }

  @Override
  public String heading(Block.Heading heading) {
    return below + plain(heading.text());
  }

  @Override
  public String command(Block.Command command) {
    return plain(command.why()) + ":\n\n" + code(command.line());
  }

  @Override
  public String commandLine(Block.CommandLine command) {
    return code(command.line());
  }

  @Override
  public String rest(Block.Rest rest) {
    return "";
  }

  @Override
  public String gap(Block.Gap gap) {
    return "";
  }

  @Override
  public String paragraph(Block.Paragraph paragraph) {
    String text = plain(paragraph.text());
    return switch (paragraph.manner()) {
      case ITEM, WARNING -> "- " + text;
      case MET -> "- met: " + text;
      case NOT_MET -> "- **not met**: " + text;
      case NOT_TESTABLE -> "- not testable from these data: " + text;
      case UNBROKEN -> code(paragraph.text());
      case PLAIN, INDENTED, HANGING -> text;
    };
  }

  private static String code(String line) {
    return "```\n" + Visible.of(line).replace("```", "`\u200b``") + "\n```";
  }

  @Override
  public String table(Block.Table table) {
    List<String> headings =
        table.columns().stream().map(column -> plain(column.heading())).toList();
    List<Align> aligns = table.columns().stream().map(Column::align).toList();
    List<List<String>> rows =
        table.rows().stream()
            .map(row -> row.stream().map(value -> plain(value.text())).toList())
            .toList();
    return rows(headings, aligns, rows);
  }

  @Override
  public String grid(Block.Grid grid) {
    List<String> headings = new ArrayList<>(List.of(""));
    List<Align> aligns = new ArrayList<>(List.of(Align.LEFT));
    for (String column : grid.columns()) {
      headings.add(plain(column));
      aligns.add(Align.RIGHT);
    }
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < grid.rows().size(); i++) {
      List<String> row = new ArrayList<>(List.of(plain(grid.rows().get(i))));
      grid.cells().get(i).forEach(value -> row.add(plain(value.text())));
      rows.add(row);
    }
    return rows(headings, aligns, rows);
  }

  private static String rows(List<String> headings, List<Align> aligns, List<List<String>> rows) {
    List<String> lines = new ArrayList<>();
    lines.add(line(headings));
    lines.add(line(aligns.stream().map(each -> each == Align.LEFT ? "---" : "---:").toList()));
    rows.forEach(row -> lines.add(line(row)));
    return String.join("\n", lines);
  }

  private static String line(List<String> cells) {
    return "| " + String.join(" | ", cells) + " |";
  }

  @Override
  public String steps(Block.Steps steps) {
    List<String> lines = new ArrayList<>();
    int number = 1;
    for (WorkingStep step : steps.steps()) {
      String symbol = step.symbol().isEmpty() ? "" : plain(step.symbol()) + " = ";
      lines.add(
          say(
              "%s. %s: %s%s = %s = %s%s",
              number,
              plain(step.name()),
              symbol,
              plain(step.formula()),
              plain(step.substituted()),
              plain(step.value()),
              step.reason().isEmpty() ? "" : ". " + plain(step.reason())));
      number++;
    }
    return String.join("\n", lines);
  }

  /** Text in which nothing is taken for markup. */
  private static String plain(String text) {
    String escaped = SPECIAL.matcher(Visible.of(text.strip())).replaceAll("\\\\$0");
    return MARKS_A_LIST.matcher(escaped).replaceFirst("$1\\\\$2");
  }
}
