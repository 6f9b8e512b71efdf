package dev.tavik.report;

import static j2html.TagCreator.caption;
import static j2html.TagCreator.each;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.table;
import static j2html.TagCreator.tbody;
import static j2html.TagCreator.td;
import static j2html.TagCreator.th;
import static j2html.TagCreator.thead;
import static j2html.TagCreator.tr;

import dev.tavik.answer.Align;
import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Value;
import j2html.tags.DomContent;
import java.util.ArrayList;
import java.util.List;

/** A table of a page, with header cells for its columns and rows. */
final class HtmlTable {
  /** As wide as a digit, and as a point. */
  private static final String DIGIT = "\u2007";

  private static final String POINT = "\u2008";

  private final List<String> headings = new ArrayList<>();
  private final List<Align> aligns = new ArrayList<>();
  private final List<List<String>> rows = new ArrayList<>();

  HtmlTable(Block block) {
    if (block instanceof Block.Table table) {
      table.columns().stream().map(Column::heading).forEach(headings::add);
      table.columns().stream().map(Column::align).forEach(aligns::add);
      table.rows().forEach(row -> rows.add(row.stream().map(Value::text).toList()));
    } else if (block instanceof Block.Grid grid) {
      headings.add("");
      headings.addAll(grid.columns());
      aligns.add(Align.LEFT);
      grid.columns().forEach(column -> aligns.add(Align.POINT));
      for (int i = 0; i < grid.rows().size(); i++) {
        List<String> row = new ArrayList<>(List.of(grid.rows().get(i)));
        grid.cells().get(i).forEach(value -> row.add(value.text()));
        rows.add(row);
      }
    }
  }

  /** Whether the block is a table. */
  boolean exists() {
    return !aligns.isEmpty();
  }

  /** The table; its name is that of the heading above it, which only those hear who can't see. */
  DomContent named(String name) {
    List<List<String>> columns = new ArrayList<>();
    for (int column = 0; column < aligns.size(); column++) {
      columns.add(aligned(column));
    }
    List<DomContent> lines = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      List<DomContent> cells = new ArrayList<>();
      for (int column = 0; column < aligns.size(); column++) {
        cells.add(cell(columns.get(column).get(row), column));
      }
      lines.add(tr(each(cells, cell -> cell)));
    }
    boolean headed = headings.stream().anyMatch(heading -> !heading.isEmpty());
    DomContent body = tbody(each(lines, line -> line));
    DomContent caption =
        name.isEmpty() ? rawHtml("") : caption(Visible.of(name)).withClass("heard");
    return HtmlBlocks.scrolling(
        headed ? table(caption, head(), body) : table(caption, body),
        name.isEmpty() ? "table" : name);
  }

  private DomContent head() {
    List<DomContent> cells = new ArrayList<>();
    for (int column = 0; column < headings.size(); column++) {
      String heading = Visible.of(headings.get(column));
      String side = side(column);
      cells.add(
          heading.isBlank()
              ? td().withClass(side)
              : th(heading).attr("scope", "col").withClass(side));
    }
    return thead(tr(each(cells, cell -> cell)));
  }

  private DomContent cell(String text, int column) {
    return column == 0 && !text.isBlank()
        ? th(text).attr("scope", "row").withClass(side(column))
        : td(text).withClass(side(column));
  }

  private String side(int column) {
    return aligns.get(column) == Align.LEFT ? "w" : "n";
  }

  /** Numbers with as many places after the point, in figures as wide as one another. */
  private List<String> aligned(int column) {
    List<String> cells = new ArrayList<>();
    rows.forEach(row -> cells.add(Visible.of(row.get(column))));
    if (aligns.get(column) == Align.POINT) {
      int after = cells.stream().mapToInt(TextTable::afterPoint).max().orElse(0);
      cells.replaceAll(cell -> cell + blanks(cell, after));
    }
    return cells;
  }

  private static String blanks(String cell, int after) {
    int missing = after - TextTable.afterPoint(cell);
    if (missing <= 0 || !TextTable.isNumber(cell)) {
      return "";
    }
    boolean pointless = cell.indexOf('.') < 0;
    return (pointless ? POINT : "") + DIGIT.repeat(missing - (pointless ? 1 : 0));
  }
}
