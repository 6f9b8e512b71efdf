package dev.tavik.report;

import static j2html.TagCreator.article;
import static j2html.TagCreator.code;
import static j2html.TagCreator.dd;
import static j2html.TagCreator.details;
import static j2html.TagCreator.div;
import static j2html.TagCreator.dl;
import static j2html.TagCreator.dt;
import static j2html.TagCreator.each;
import static j2html.TagCreator.figcaption;
import static j2html.TagCreator.figure;
import static j2html.TagCreator.footer;
import static j2html.TagCreator.h1;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.header;
import static j2html.TagCreator.p;
import static j2html.TagCreator.pre;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.summary;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Origin;
import dev.tavik.answer.Value;
import dev.tavik.result.Method;
import j2html.tags.DomContent;
import j2html.tags.specialized.ArticleTag;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** One answer on a page: the verdict first, and folded at its end how it came about. */
final class HtmlChapter {
  private final Chapter chapter;
  private final int number;
  private final HtmlBlocks blocks;

  /**
   * A chapter.
   *
   * @param chapter the answer
   * @param number its number among several, from 1; 0 for the only one
   */
  HtmlChapter(Chapter chapter, int number) {
    this.chapter = chapter;
    this.number = number;
    this.blocks = new HtmlBlocks(number == 0 ? 2 : 3);
  }

  ArticleTag tag() {
    List<DomContent> parts = new ArrayList<>();
    parts.add(verdict());
    parts.add(blocks.of(withoutVerdict()));
    for (Illustration each : chapter.pictures()) {
      parts.add(picture(each));
    }
    parts.add(blocks.of(chapter.after()));
    Answer answer = chapter.answer();
    if (answer != null) {
      parts.add(working(answer));
      parts.add(methods(answer.methods()));
      parts.add(data(answer));
    }
    chapter.origin().ifPresent(origin -> parts.add(again(origin)));
    parts.add(made());
    return article(each(parts, part -> part)).withId("q" + Math.max(1, number));
  }

  private DomContent verdict() {
    Answer answer = chapter.answer();
    String heading = chapter.heading();
    String words =
        answer == null
            ? chapter.blocks().stream()
                .filter(Block.Strong.class::isInstance)
                .map(block -> ((Block.Strong) block).text())
                .findFirst()
                .orElse("")
            : answer.verdict().sentence();
    String kicker = heading.isEmpty() && answer != null ? kind(answer, words) : heading;
    return header(
        kicker.isEmpty() ? rawHtml("") : p(Visible.of(kicker)).withClass("kicker"),
        number == 0 ? h1(Visible.of(words)) : h2(Visible.of(words)));
  }

  /** The analyst's label, or where the verdict begins with it, the kind of question. */
  private static String kind(Answer answer, String verdict) {
    String kind =
        answer.kind().substring(0, 1).toUpperCase(Locale.ROOT) + answer.kind().substring(1);
    return answer.label().isEmpty() || verdict.startsWith(answer.label()) ? kind : answer.label();
  }

  private List<Block> withoutVerdict() {
    return chapter.before().stream()
        .filter(block -> !(block instanceof Block.Strong))
        .filter(
            block ->
                !(block instanceof Block.Paragraph paragraph
                    && paragraph.text().startsWith("Not answered: ")))
        .toList();
  }

  private DomContent picture(Illustration picture) {
    String prefix = "q" + number + picture.id() + "-";
    String svg =
        picture
            .svg()
            .replaceAll("(?<= )id=\"([^\"]+)\"", "id=\"" + prefix + "$1\"")
            .replaceAll("url\\(#", "url(#" + prefix)
            .replaceAll("(href|aria-labelledby|aria-describedby)=\"(#?)", "$1=\"$2" + prefix);
    return figure(
        div(rawHtml(svg)).withClass("paper"), figcaption(Visible.of(picture.description())));
  }

  private DomContent working(Answer answer) {
    List<Block> working = answer.workingReading();
    return working.isEmpty()
        ? rawHtml("")
        : folded("Working, every formula with its numbers", blocks.of(working));
  }

  private static DomContent methods(List<Method> methods) {
    return methods.isEmpty()
        ? rawHtml("")
        : folded(
            "Methods and papers",
            dl(
                each(
                    methods,
                    method ->
                        div(
                            dt(code(method.id())),
                            dd(
                                Visible.of(
                                    method.description()
                                        + ". "
                                        + method.reference()
                                        + (method.reference().endsWith(".") ? "" : ".")))))));
  }

  private DomContent data(Answer answer) {
    @Nullable Value input = answer.figures(Detail.FINDINGS).bare().get("input");
    List<DomContent> facts = new ArrayList<>();
    if (input instanceof Value.Fields fields) {
      for (Map.Entry<String, Value> each : fields.bare().entrySet()) {
        String shown = shown(each.getValue());
        if (!shown.isEmpty()) {
          facts.add(div(dt(words(each.getKey())), dd(Visible.of(shown))));
        }
      }
    }
    chapter
        .origin()
        .ifPresent(
            origin ->
                origin.data().forEach(each -> facts.add(div(dt("file"), dd(Visible.of(each))))));
    return facts.isEmpty()
        ? rawHtml("")
        : folded("Data: what was read, and what was left out", dl(each(facts, fact -> fact)));
  }

  private static String shown(Value value) {
    if (value instanceof Value.Fields fields) {
      List<String> parts = new ArrayList<>();
      fields.bare().forEach((key, each) -> parts.add(key + " " + each.text()));
      return String.join("; ", parts);
    }
    return value.text();
  }

  private static String words(String key) {
    return key.replaceAll("(?<=[a-z])([A-Z])", " $1").toLowerCase(Locale.ROOT);
  }

  private static DomContent again(Origin origin) {
    List<DomContent> ways = new ArrayList<>();
    if (!origin.command().isEmpty()) {
      ways.add(p("On the command line:"));
      ways.add(HtmlBlocks.scrolling(pre(code(Visible.of(origin.command()))), "command"));
    }
    if (!origin.java().isEmpty()) {
      ways.add(p("In Java:"));
      ways.add(
          HtmlBlocks.scrolling(
              pre(each(origin.java().lines().toList(), line -> code(Visible.of(line) + "\n"))),
              "Java"));
    }
    return ways.isEmpty() ? rawHtml("") : folded("To make it again", each(ways, way -> way));
  }

  /** Printed pages leave out what is folded, but not this. */
  private DomContent made() {
    String command =
        chapter.origin().map(Origin::command).filter(line -> !line.isEmpty()).orElse("");
    String data = chapter.origin().map(each -> String.join("; ", each.data())).orElse("");
    String words =
        "Tavik "
            + Mark.VERSION
            + (command.isEmpty() ? "" : ": " + command)
            + (data.isEmpty() ? "" : " (" + data + ")");
    return footer(Visible.of(words));
  }

  private static DomContent folded(String title, DomContent content) {
    return div(details(summary(title), content)).withClass("folded");
  }
}
