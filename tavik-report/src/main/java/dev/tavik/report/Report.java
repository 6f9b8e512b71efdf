package dev.tavik.report;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.count.DataOverview;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * The forms in which answers are written: {@code Report.HTML.of(answer)}, or with pictures {@code
 * Report.HTML.of(answer, Charts.of(answer))}. Each shows every finding and every figure of an
 * answer; text, Markdown and HTML as a reader wants them, JSON and CSV with all digits. Each bears
 * a mark that Tavik wrote it.
 */
public enum Report {
  /** Plain text of eighty columns. */
  TEXT(".txt", () -> new TextFormat(Screen.PLAIN, "Detail.EVERY_ROW", Mark.lastLine())),
  /** Markdown with tables, pictures in files beside it. */
  MARKDOWN(".md", MarkdownFormat::new),
  /** A whole page of HTML that needs no other file, with its pictures. */
  HTML(".html", HtmlFormat::new),
  /** JSON, one object. */
  JSON(".json", JsonFormat::new),
  /** CSV, a row for each estimate, test and interval, and for every other figure. */
  CSV(".csv", CsvFormat::new);

  private final String ending;

  /** Created when first used, so that, for example, the style of a page isn't read before. */
  private final Supplier<ReportFormat> format;

  Report(String ending, Supplier<ReportFormat> format) {
    this.ending = ending;
    this.format = format;
  }

  /** {@return the ending of such files, with its point} */
  public String ending() {
    return ending;
  }

  /** {@return whether it shows pictures, in itself or beside it} */
  public boolean illustrated() {
    return this == HTML || this == MARKDOWN;
  }

  /**
   * Finds the form of a file by its ending.
   *
   * @param name the file's name
   * @return the report, if there is one
   */
  public static Optional<Report> of(String name) {
    return Arrays.stream(values())
        .filter(each -> name.toLowerCase(Locale.ROOT).endsWith(each.ending))
        .findFirst();
  }

  /**
   * Writes an answer, every row of it.
   *
   * @param answer the answer
   * @return the text
   */
  public String of(Answer answer) {
    return of(answer, Detail.EVERY_ROW);
  }

  /**
   * Writes an answer as text of a width.
   *
   * @param answer the answer
   * @param width how many characters a line may have, 60 to 120
   * @return the text
   * @throws IllegalArgumentException if this isn't {@link #TEXT}
   */
  public String of(Answer answer, int width) {
    require(this == TEXT, "only text has a width, and %s has none", this);
    return text(answer, Detail.EVERY_ROW, new Screen(Emphasis.NONE, width), "Detail.EVERY_ROW");
  }

  /**
   * Writes an answer.
   *
   * @param answer the answer
   * @param detail how much of it
   * @return the text
   */
  public String of(Answer answer, Detail detail) {
    return of(answer, detail, List.of());
  }

  /**
   * Writes an answer with its pictures, every row of it.
   *
   * @param answer the answer
   * @param pictures its pictures, which forms without pictures leave out
   * @return the text
   */
  public String of(Answer answer, List<Illustration> pictures) {
    return of(answer, Detail.EVERY_ROW, pictures);
  }

  /**
   * Writes an answer with its pictures.
   *
   * @param answer the answer
   * @param detail how much of it
   * @param pictures its pictures, which forms without pictures leave out
   * @return the text
   */
  public String of(Answer answer, Detail detail, List<Illustration> pictures) {
    return format.get().write(Document.of(answer, detail, pictures));
  }

  /**
   * Writes the answers to a study.
   *
   * @param study the answers
   * @param detail how much of them
   * @return the text
   */
  public String of(StudyAnswer study, Detail detail) {
    return of(study, detail, answer -> List.of());
  }

  /**
   * Writes the answers to a study with their pictures.
   *
   * @param study the answers
   * @param detail how much of them
   * @param pictures the pictures of an answer
   * @return the text
   */
  public String of(
      StudyAnswer study, Detail detail, Function<Answer, List<Illustration>> pictures) {
    StringWriter text = new StringWriter();
    try {
      format.get().write(Asked.of(study), detail, pictures, Pages.of(text));
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text.toString();
  }

  /**
   * Asks the questions of a study and writes its answers, each before the next is asked, so that
   * memory doesn't grow with what is written. HTML of more than 500 questions is an index of their
   * verdicts, with 200 answers on each page beside it, where there may be such pages.
   *
   * @param study the questions
   * @param detail how much of the answers
   * @param pictures the pictures of an answer; asked once for each, in order
   * @param pages where to; the report itself isn't closed
   * @return what was decided, without the answers' words
   * @throws IOException if it can't be written
   */
  public StudyAnswer write(
      Study study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    return written(format.get(), study, detail, pictures, pages);
  }

  private static StudyAnswer written(
      ReportFormat format,
      Study study,
      Detail detail,
      Function<Answer, List<Illustration>> pictures,
      Pages pages)
      throws IOException {
    try {
      return format.write(Asked.of(study), detail, pictures, pages);
    } catch (UncheckedIOException e) {
      throw Objects.requireNonNull(e.getCause());
    }
  }

  /**
   * Writes what is in a file of data.
   *
   * @param overview its columns
   * @param suggestions commands that could be typed next
   * @return the text
   */
  public String of(DataOverview overview, List<String> suggestions) {
    return format.get().write(Document.of(new Overview(overview, suggestions)));
  }

  /**
   * Tells whether a file looks as if Tavik had written it.
   *
   * @param head its first characters, a few thousand
   * @param tail its last
   * @return whether a file looks as if Tavik had written it
   */
  public static boolean wrote(String head, String tail) {
    return Mark.in(head, tail);
  }

  /** {@return the version of Tavik, such as {@code 0.1.0}} */
  public static String version() {
    return Mark.VERSION;
  }

  /**
   * Writes text for a terminal.
   *
   * @param answer the answer
   * @param detail how much of it
   * @param screen what it is laid out for
   * @param whole how a reader gets the whole of an answer that is cut, in the interface's words
   * @return the text
   */
  public static String text(Answer answer, Detail detail, Screen screen, String whole) {
    return new TextFormat(screen, whole, "").write(Document.of(answer, detail, List.of()));
  }

  /**
   * Asks the questions of a study and writes text for a terminal.
   *
   * @param study the questions
   * @param detail how much of it
   * @param screen what it is laid out for
   * @param whole how a reader gets the whole of what is cut, in the interface's words
   * @param to where to; not closed
   * @return what was decided, without the answers' words
   * @throws IOException if it can't be written
   */
  public static StudyAnswer text(Study study, Detail detail, Screen screen, String whole, Writer to)
      throws IOException {
    ReportFormat format = new TextFormat(screen, whole, "");
    return written(format, study, detail, answer -> List.of(), Pages.of(to));
  }

  /**
   * Writes text for a terminal.
   *
   * @param overview what is in the data
   * @param suggestions commands that could be typed next
   * @param screen what it is laid out for
   * @return the text
   */
  public static String text(DataOverview overview, List<String> suggestions, Screen screen) {
    return new TextFormat(screen).write(Document.of(new Overview(overview, suggestions)));
  }
}
