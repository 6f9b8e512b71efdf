package dev.tavik.report;

import static j2html.TagCreator.a;
import static j2html.TagCreator.caption;
import static j2html.TagCreator.each;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.p;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.section;
import static j2html.TagCreator.strong;
import static j2html.TagCreator.table;
import static j2html.TagCreator.tbody;
import static j2html.TagCreator.td;
import static j2html.TagCreator.th;
import static j2html.TagCreator.thead;
import static j2html.TagCreator.tr;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.TestDecision;
import dev.tavik.answer.Value;
import dev.tavik.result.TestResult;
import dev.tavik.study.StudyAnswer;
import j2html.tags.DomContent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.Collectors;

/** The first page of a study: every verdict, with its p-values and a link to its answer. */
record HtmlSummary(StudyAnswer study, IntFunction<String> links) {
  DomContent tag() {
    List<Block> opening = study.summary();
    Map<Integer, List<TestDecision>> decisions =
        study.decisions().stream().collect(Collectors.groupingBy(TestDecision::number));
    StringBuilder rows = new StringBuilder();
    int number = 0;
    for (Answer answer : study.answers()) {
      number++;
      List<DomContent> made = new ArrayList<>();
      add(made, number, answer, decisions.getOrDefault(number, List.of()));
      made.forEach(row -> rows.append(row.render()));
    }
    List<DomContent> rule =
        opening.stream()
            .filter(Block.Paragraph.class::isInstance)
            .<DomContent>map(each -> p(Visible.of(((Block.Paragraph) each).text())))
            .toList();
    return section(
            h2("Verdicts"),
            HtmlBlocks.scrolling(
                table(
                    caption(heading(opening)).withClass(opening.isEmpty() ? "heard" : "w"),
                    thead(
                        tr(
                            th("question").attr("scope", "col").withClass("w"),
                            th("verdict").attr("scope", "col").withClass("w"),
                            th("p").attr("scope", "col").withClass("n"),
                            th("adjusted p").attr("scope", "col").withClass("n"),
                            th("the null").attr("scope", "col").withClass("w"))),
                    tbody(rawHtml(rows.toString()))),
                "Verdicts"),
            each(rule, words -> words))
        .withClass("summary");
  }

  private static String heading(List<Block> opening) {
    return opening.stream()
        .filter(Block.Heading.class::isInstance)
        .map(each -> Visible.of(((Block.Heading) each).text()))
        .findFirst()
        .orElse("");
  }

  private void add(List<DomContent> rows, int number, Answer answer, List<TestDecision> decisions) {
    String label = Chapter.heading(answer, number);
    String verdict = answer.verdict().text();
    String bare = label.replaceFirst("^\\d+\\. ", "") + ": ";
    List<DomContent> cells = new ArrayList<>();
    cells.add(
        th(a(Visible.of(label)).withHref(links.apply(number))).attr("scope", "row").withClass("w"));
    cells.add(
        td(Visible.of(verdict.startsWith(bare) ? verdict.substring(bare.length()) : verdict))
            .withClass("w"));
    boolean alone = decisions.size() == 1 && decisions.get(0).part().isEmpty();
    cells.addAll(alone ? figures(decisions.get(0)) : List.of(td(), td(), td()));
    rows.add(tr(each(cells, cell -> cell)));
    if (!alone) {
      for (TestDecision part : decisions) {
        List<DomContent> more = new ArrayList<>();
        more.add(td());
        more.add(th(Visible.of(part.part())).attr("scope", "row").withClass("w part"));
        more.addAll(figures(part));
        rows.add(tr(each(more, cell -> cell)).withClass("part"));
      }
    }
  }

  private static List<DomContent> figures(TestDecision decision) {
    TestResult.AdjustedP adjusted = decision.test().adjusted();
    DomContent outcome =
        decision.survives()
            ? strong("rejected")
            : p(decision.rejects() ? "rejected by itself only" : "not rejected");
    return List.of(
        td(Value.p(decision.test().log10PValue()).text()).withClass("n"),
        td(adjusted == null ? "" : Value.p(adjusted.log10PValue()).text()).withClass("n"),
        td(outcome).withClass("w"));
  }
}
