package dev.tavik.report;

import static j2html.TagCreator.code;
import static j2html.TagCreator.div;
import static j2html.TagCreator.each;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.h3;
import static j2html.TagCreator.li;
import static j2html.TagCreator.ol;
import static j2html.TagCreator.p;
import static j2html.TagCreator.pre;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.section;
import static j2html.TagCreator.span;
import static j2html.TagCreator.ul;

import dev.tavik.answer.Block;
import dev.tavik.result.WorkingStep;
import j2html.TagCreator;
import j2html.tags.DomContent;
import java.util.ArrayList;
import java.util.List;

/**
 * What readers see as parts of a page: a section for each heading, lists for what is listed.
 *
 * @param level how deep a heading stands
 */
record HtmlBlocks(int level) implements Block.Writer<List<DomContent>> {

  DomContent of(List<Block> blocks) {
    List<DomContent> sections = new ArrayList<>();
    List<Block> section = new ArrayList<>();
    for (Block block : blocks) {
      if (block instanceof Block.Heading || block instanceof Block.Gap) {
        add(sections, section);
        section.clear();
      }
      section.add(block);
    }
    add(sections, section);
    return each(sections, content -> content);
  }

  private void add(List<DomContent> sections, List<Block> blocks) {
    List<DomContent> parts = new ArrayList<>();
    List<DomContent> list = new ArrayList<>();
    int from = 0;
    if (blocks.size() > 1
        && blocks.get(0) instanceof Block.Heading heading
        && new HtmlTable(blocks.get(1)).exists()) {
      parts.add(heading(heading.text()));
      parts.add(new HtmlTable(blocks.get(1)).named(heading.text()));
      from = 2;
    }
    for (Block block : blocks.subList(from, blocks.size())) {
      if (block instanceof Block.Paragraph paragraph && listed(paragraph)) {
        list.add(item(paragraph));
      } else {
        flush(list, parts);
        parts.addAll(block.writtenBy(this));
      }
    }
    flush(list, parts);
    if (!parts.isEmpty()) {
      boolean headed = blocks.get(0) instanceof Block.Heading;
      DomContent all = each(parts, part -> part);
      sections.add(headed ? section(all) : div(all).withClass("block"));
    }
  }

  private static void flush(List<DomContent> list, List<DomContent> parts) {
    if (!list.isEmpty()) {
      parts.add(ul(each(List.copyOf(list), item -> item)));
      list.clear();
    }
  }

  private DomContent heading(String text) {
    return level == 2 ? h2(Visible.of(text)) : h3(Visible.of(text));
  }

  private static boolean listed(Block.Paragraph paragraph) {
    return switch (paragraph.manner()) {
      case ITEM, WARNING, MET, NOT_MET, NOT_TESTABLE -> true;
      case PLAIN, INDENTED, HANGING, UNBROKEN -> false;
    };
  }

  private static DomContent item(Block.Paragraph paragraph) {
    String text = Visible.of(paragraph.text());
    return switch (paragraph.manner()) {
      case MET -> li(state("met"), rawHtml(" "), span(text)).withClass("state");
      case NOT_MET -> li(state("not met"), rawHtml(" "), span(text)).withClass("state failed");
      case NOT_TESTABLE ->
          li(state("not testable from these data"), rawHtml(" "), span(text)).withClass("state");
      default -> li(text);
    };
  }

  private static DomContent state(String word) {
    return TagCreator.strong(word);
  }

  @Override
  public List<DomContent> strong(Block.Strong strong) {
    return List.of(p(TagCreator.strong(Visible.of(strong.text()))));
  }

  @Override
  public List<DomContent> heading(Block.Heading heading) {
    return List.of(heading(heading.text()));
  }

  @Override
  public List<DomContent> paragraph(Block.Paragraph paragraph) {
    return List.of(
        paragraph.manner() == Block.Style.UNBROKEN
            ? line(paragraph.text())
            : p(Visible.of(paragraph.text())));
  }

  @Override
  public List<DomContent> table(Block.Table table) {
    return named(new HtmlTable(table));
  }

  @Override
  public List<DomContent> grid(Block.Grid grid) {
    return named(new HtmlTable(grid));
  }

  private static List<DomContent> named(HtmlTable table) {
    return table.exists() ? List.of(table.named("")) : List.of();
  }

  @Override
  public List<DomContent> command(Block.Command command) {
    return List.of(p(Visible.of(command.why()) + ":"), line(command.line()));
  }

  @Override
  public List<DomContent> commandLine(Block.CommandLine command) {
    return List.of(line(command.line()));
  }

  @Override
  public List<DomContent> steps(Block.Steps steps) {
    return List.of(ol(each(steps.steps(), HtmlBlocks::step)));
  }

  @Override
  public List<DomContent> rest(Block.Rest rest) {
    return List.of();
  }

  @Override
  public List<DomContent> gap(Block.Gap gap) {
    return List.of();
  }

  private static DomContent line(String line) {
    return scrolling(pre(code(Visible.of(line))), "text");
  }

  /** Content that may be wider than the page; it scrolls by itself, also by keyboard. */
  static DomContent scrolling(DomContent wide, String name) {
    return div(wide)
        .withClass("wide")
        .attr("tabindex", "0")
        .attr("role", "group")
        .attr("aria-label", Visible.of(name));
  }

  private static DomContent step(WorkingStep step) {
    String symbol = step.symbol().isEmpty() ? "" : step.symbol() + " ";
    List<DomContent> lines = new ArrayList<>();
    lines.add(div(TagCreator.strong(Visible.of(step.name()))));
    lines.add(div(Visible.of(symbol + "= " + step.formula())));
    lines.add(div(Visible.of("= " + step.substituted())));
    lines.add(div(Visible.of("= " + step.value())));
    if (!step.reason().isEmpty()) {
      lines.add(div(Visible.of(step.reason())));
    }
    return li(each(lines, line -> line));
  }
}
