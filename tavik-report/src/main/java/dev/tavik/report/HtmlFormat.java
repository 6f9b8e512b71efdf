package dev.tavik.report;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Align;
import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Value;
import dev.tavik.result.WorkingStep;
import java.util.ArrayList;
import java.util.List;

/** A whole page of HTML that needs no other file. */
final class HtmlFormat implements Format {
  private static final String STYLE =
      "body{max-width:60rem;margin:2rem auto;padding:0 1rem;font:1rem/1.5 sans-serif}"
          + "h2{font-size:1.1rem;margin:1.6rem 0 .4rem}"
          + ".verdict{font-weight:bold}"
          + "table{border-collapse:collapse}td,th{padding:.15rem .7rem;text-align:left}"
          + "tr{border-bottom:1px solid #ddd}.n{text-align:right;font-variant-numeric:tabular-nums}"
          + "ul{padding-left:1.2rem}pre{overflow:auto}";

  @Override
  public String write(String title, List<Block> blocks, Value.Fields figures) {
    StringBuilder body = new StringBuilder();
    boolean list = false;
    for (Block block : blocks) {
      String written = written(block);
      boolean item = written.startsWith("<li>");
      if (item != list) {
        body.append(item ? "<ul>\n" : "</ul>\n");
        list = item;
      }
      body.append(written).append(written.isEmpty() ? "" : "\n");
    }
    body.append(list ? "</ul>\n" : "");
    return say(
        "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta"
            + " charset=\"utf-8\">\n<title>%s</title>\n<style>%s</style>\n</head>\n<body>\n%s</body>\n</html>\n",
        plain(title.isEmpty() ? "Tavik" : title), STYLE, body);
  }

  private static String written(Block block) {
    if (block instanceof Block.Strong strong) {
      return "<p class=\"verdict\">" + plain(strong.text()) + "</p>";
    }
    if (block instanceof Block.Heading heading) {
      return "<h2>" + plain(heading.text()) + "</h2>";
    }
    if (block instanceof Block.Paragraph paragraph) {
      return paragraph(paragraph);
    }
    if (block instanceof Block.Table table) {
      return table(table);
    }
    if (block instanceof Block.Grid grid) {
      return grid(grid);
    }
    if (block instanceof Block.Command command) {
      return "<p>" + plain(command.why()) + ":</p>\n" + code(command.line());
    }
    if (block instanceof Block.CommandLine command) {
      return code(command.line());
    }
    return block instanceof Block.Steps steps ? steps(steps) : "";
  }

  private static String paragraph(Block.Paragraph paragraph) {
    String text = plain(paragraph.text());
    return switch (paragraph.manner()) {
      case ITEM, WARNING -> "<li>" + text + "</li>";
      case MET -> "<li>met: " + text + "</li>";
      case NOT_MET -> "<li><strong>not met</strong>: " + text + "</li>";
      case YOUR_CALL -> "<li>your call: " + text + "</li>";
      case UNBROKEN -> code(paragraph.text());
      case PLAIN, INDENTED, HANGING -> "<p>" + text + "</p>";
    };
  }

  private static String code(String line) {
    return "<pre><code>" + plain(line) + "</code></pre>";
  }

  private static String table(Block.Table table) {
    List<Align> aligns = table.columns().stream().map(Column::align).toList();
    List<String> headings = table.columns().stream().map(Column::heading).toList();
    List<List<String>> rows =
        table.rows().stream().map(row -> row.stream().map(Value::text).toList()).toList();
    return rows(headings, aligns, rows);
  }

  private static String grid(Block.Grid grid) {
    List<String> headings = new ArrayList<>(List.of(""));
    headings.addAll(grid.columns());
    List<Align> aligns = new ArrayList<>(List.of(Align.LEFT));
    grid.columns().forEach(column -> aligns.add(Align.RIGHT));
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < grid.rows().size(); i++) {
      List<String> row = new ArrayList<>(List.of(grid.rows().get(i)));
      grid.cells().get(i).forEach(value -> row.add(value.text()));
      rows.add(row);
    }
    return rows(headings, aligns, rows);
  }

  private static String rows(List<String> headings, List<Align> aligns, List<List<String>> rows) {
    StringBuilder html = new StringBuilder("<table>\n");
    if (headings.stream().anyMatch(heading -> !heading.isEmpty())) {
      html.append("<thead>").append(row("th", headings, aligns)).append("</thead>\n");
    }
    html.append("<tbody>\n");
    rows.forEach(row -> html.append(row("td", row, aligns)).append('\n'));
    return html.append("</tbody>\n</table>").toString();
  }

  private static String row(String cell, List<String> values, List<Align> aligns) {
    StringBuilder html = new StringBuilder("<tr>");
    for (int i = 0; i < values.size(); i++) {
      html.append('<')
          .append(cell)
          .append(aligns.get(i) == Align.LEFT ? ">" : " class=\"n\">")
          .append(plain(values.get(i)))
          .append("</")
          .append(cell)
          .append('>');
    }
    return html.append("</tr>").toString();
  }

  private static String steps(Block.Steps steps) {
    StringBuilder html = new StringBuilder("<ol>\n");
    for (WorkingStep step : steps.steps()) {
      String symbol = step.symbol().isEmpty() ? "" : step.symbol() + " = ";
      html.append("<li>")
          .append(plain(step.name()))
          .append("<br>")
          .append(plain(symbol + step.formula()))
          .append("<br>= ")
          .append(plain(step.substituted()))
          .append("<br>= ")
          .append(plain(step.value()))
          .append(step.reason().isEmpty() ? "" : "<br>" + plain(step.reason()))
          .append("</li>\n");
    }
    return html.append("</ol>").toString();
  }

  private static String plain(String text) {
    return Visible.of(text)
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;")
        .replace("'", "&#39;");
  }
}
