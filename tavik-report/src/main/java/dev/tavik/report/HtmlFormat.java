package dev.tavik.report;

import static dev.tavik.result.Figures.say;
import static j2html.TagCreator.a;
import static j2html.TagCreator.body;
import static j2html.TagCreator.div;
import static j2html.TagCreator.each;
import static j2html.TagCreator.h1;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.head;
import static j2html.TagCreator.header;
import static j2html.TagCreator.html;
import static j2html.TagCreator.li;
import static j2html.TagCreator.main;
import static j2html.TagCreator.meta;
import static j2html.TagCreator.nav;
import static j2html.TagCreator.ol;
import static j2html.TagCreator.p;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.style;
import static j2html.TagCreator.title;

import j2html.tags.DomContent;
import j2html.tags.specialized.HeadTag;
import j2html.tags.specialized.MainTag;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Objects;

/** A whole page of HTML that needs no other file, no network and no script. */
final class HtmlFormat implements Format {
  private static final String STYLE = resource("page.css");

  /**
   * What a browser lets the page use: its own style sheet, no script, no other file, no network.
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
    boolean several = document.chapters().stream().anyMatch(each -> !each.heading().isEmpty());
    return "<!DOCTYPE html>\n"
        + html(headOf(document), body(several ? study(document) : one(document)))
            .withLang("en")
            .render()
        + "\n";
  }

  private static HeadTag headOf(Document document) {
    return head(
        meta().withCharset("utf-8"),
        meta().attr("http-equiv", "Content-Security-Policy").withContent(POLICY),
        meta().withName("viewport").withContent("width=device-width, initial-scale=1"),
        meta().withName("color-scheme").withContent("light dark"),
        meta().withName("generator").withContent("Tavik " + Mark.VERSION),
        title(Visible.of(document.title().isEmpty() ? "Tavik" : document.title())),
        style(rawHtml(STYLE)));
  }

  private static MainTag one(Document document) {
    return main(each(document.chapters(), chapter -> new HtmlChapter(chapter, 0).tag()));
  }

  private static MainTag study(Document document) {
    List<DomContent> articles = new ArrayList<>();
    for (Chapter chapter : document.chapters()) {
      articles.add(new HtmlChapter(chapter, articles.size() + 1).tag());
    }
    return main(
        header(
            h1(Visible.of(document.title().isEmpty() ? "Study" : document.title())),
            p(say("%d questions, answered by Tavik %s", articles.size(), Mark.VERSION))
                .withClass("kicker")),
        new HtmlSummary(document).tag(),
        contents(document.chapters()),
        div(new HtmlBlocks(2).of(document.closing())),
        each(articles, article -> article));
  }

  private static DomContent contents(List<Chapter> chapters) {
    List<DomContent> entries = new ArrayList<>();
    for (Chapter chapter : chapters) {
      String label = chapter.heading().replaceFirst("^\\d+\\. ", "");
      entries.add(li(a(Visible.of(label)).withHref("#q" + (entries.size() + 1))));
    }
    return nav(h2("Contents"), ol(each(entries, entry -> entry)))
        .attr("aria-label", "Contents")
        .withClass("contents");
  }
}
