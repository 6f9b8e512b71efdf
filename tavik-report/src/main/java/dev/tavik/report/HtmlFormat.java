package dev.tavik.report;

import static dev.tavik.result.Figures.say;
import static j2html.TagCreator.a;
import static j2html.TagCreator.div;
import static j2html.TagCreator.each;
import static j2html.TagCreator.h1;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.head;
import static j2html.TagCreator.header;
import static j2html.TagCreator.li;
import static j2html.TagCreator.main;
import static j2html.TagCreator.meta;
import static j2html.TagCreator.nav;
import static j2html.TagCreator.ol;
import static j2html.TagCreator.p;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.style;
import static j2html.TagCreator.text;
import static j2html.TagCreator.title;
import static j2html.TagCreator.ul;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.study.StudyAnswer;
import j2html.tags.DomContent;
import j2html.tags.specialized.HeadTag;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.IntFunction;

/** A whole page of HTML that needs no other file, no network and no script. */
final class HtmlFormat implements ReadersFormat {
  /** A page of more answers than these is slow to open. */
  private static final int MOST_ON_ONE_PAGE = 500;

  /** How many each page has where there are several. */
  private static final int A_PAGE = 200;

  private static final String STYLE = resource("page.css");

  /**
   * The content security policy: the page's own style sheet, no script, no other file, no network.
   */
  private static final String POLICY =
      "default-src 'none'; style-src 'sha256-"
          + digest(STYLE)
          + "'; base-uri 'none'; form-action 'none'";

  private static String digest(String text) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
      return Base64.getEncoder().encodeToString(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String resource(String name) {
    try (InputStream file = HtmlFormat.class.getResourceAsStream(name)) {
      return new String(Objects.requireNonNull(file, name).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public String write(Document document) {
    return begun(document.title())
        + main(each(document.chapters(), chapter -> new HtmlChapter(chapter, 0).tag())).render()
        + ENDED;
  }

  @Override
  public String opening(StudyAnswer decided) {
    return opening(decided, number -> "#q" + number, contents(decided.answers()));
  }

  @Override
  public String chapter(Chapter chapter, int number) {
    return new HtmlChapter(chapter, number).tag().render();
  }

  @Override
  public String closing(StudyAnswer decided) {
    return "</main>" + ENDED;
  }

  @Override
  public StudyAnswer write(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    return study.questions() <= MOST_ON_ONE_PAGE || pages.folder().isEmpty()
        ? ReadersFormat.super.write(study, detail, pictures, pages)
        : several(study, detail, pictures, pages);
  }

  /** An index of verdicts, with the answers on pages beside it. */
  private StudyAnswer several(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    Numbering numbering = new Numbering(study.questions(), pages.index());
    StringBuilder page = new StringBuilder();
    StudyAnswer decided =
        chapters(
            study,
            detail,
            pictures,
            (chapter, number) -> {
              if (page.isEmpty()) {
                page.append(begun(study.title())).append("<main>").append(numbering.ways(number));
              }
              page.append(chapter);
              if (numbering.last(number)) {
                page.append(numbering.ways(number)).append("</main>").append(ENDED);
                try (Writer to = pages.page(numbering.page(number))) {
                  to.append(page);
                }
                page.setLength(0);
              }
            });
    Writer to = pages.report();
    to.write(
        opening(
            decided,
            number -> pages.folder() + numbering.page(number) + "#q" + number,
            rawHtml("")));
    to.write(closing(decided));
    return decided;
  }

  /**
   * Which answer is on which page.
   *
   * @param questions how many there are
   * @param index the page of all verdicts, as these pages link to it
   */
  private record Numbering(int questions, String index) {
    private int pages() {
      return (questions + A_PAGE - 1) / A_PAGE;
    }

    /** The name of the page with this answer; all are equally long, so that they are in order. */
    String page(int number) {
      return named((number - 1) / A_PAGE + 1);
    }

    private String named(int page) {
      String digits = String.valueOf(page);
      return "page-"
          + "0".repeat(String.valueOf(pages()).length() - digits.length())
          + digits
          + ".html";
    }

    boolean last(int number) {
      return number % A_PAGE == 0 || number == questions;
    }

    /** Ways to all verdicts, the page before and the one behind, by the number of an answer. */
    String ways(int number) {
      int page = (number - 1) / A_PAGE + 1;
      List<DomContent> ways = new ArrayList<>();
      ways.add(li(a("All verdicts").withHref(index)));
      if (page > 1) {
        ways.add(li(a("Page before").withHref(named(page - 1))));
      }
      ways.add(li(text(say("Page %d of %d", page, pages()))));
      if (page < pages()) {
        ways.add(li(a("Next page").withHref(named(page + 1))));
      }
      return nav(ul(each(ways, way -> way)))
          .attr("aria-label", "Pages")
          .withClass("pages")
          .render();
    }
  }

  private static final String ENDED = "</body></html>\n";

  private static String begun(String title) {
    return "<!DOCTYPE html>\n<html lang=\"en\">" + headOf(title).render() + "<body>";
  }

  private static HeadTag headOf(String about) {
    return head(
        meta().withCharset("utf-8"),
        meta().attr("http-equiv", "Content-Security-Policy").withContent(POLICY),
        meta().withName("viewport").withContent("width=device-width, initial-scale=1"),
        meta().withName("color-scheme").withContent("light dark"),
        meta().withName("generator").withContent("Tavik " + Mark.VERSION),
        title(Visible.of(about.isEmpty() ? "Tavik" : about)),
        style(rawHtml(STYLE)));
  }

  private static String opening(
      StudyAnswer decided, IntFunction<String> links, DomContent contents) {
    String top =
        header(
                h1(Visible.of(decided.title().isEmpty() ? "Study" : decided.title())),
                p(say("%d questions, answered by Tavik %s", decided.answers().size(), Mark.VERSION))
                    .withClass("kicker"))
            .render();
    return begun(decided.title())
        + "<main>"
        + top
        + new HtmlSummary(decided, links).tag().render()
        + contents.render()
        + div(new HtmlBlocks(2).of(Document.careful(decided.cautions()))).render();
  }

  private static DomContent contents(List<Answer> answers) {
    List<DomContent> entries = new ArrayList<>();
    for (Answer answer : answers) {
      String label = answer.label().isEmpty() ? answer.kind() : answer.label();
      entries.add(li(a(Visible.of(label)).withHref("#q" + (entries.size() + 1))));
    }
    return nav(h2("Contents"), ol(each(entries, entry -> entry)))
        .attr("aria-label", "Contents")
        .withClass("contents");
  }
}
