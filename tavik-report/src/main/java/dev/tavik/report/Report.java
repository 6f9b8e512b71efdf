package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.count.DataOverview;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * The forms in which answers are written: {@code Report.HTML.of(answer)}, or with pictures {@code
 * Report.HTML.of(answer, Charts.of(answer))}. Each shows every finding and every figure of an
 * answer; text, Markdown and HTML as a reader wants them, JSON and CSV with all digits. Each bears
 * a mark that Tavik wrote it.
 */
public enum Report {
  /** Plain text of eighty columns. */
  TEXT(".txt", document -> new TextFormat(Screen.PLAIN).write(document) + Mark.lastLine()),
  /** Markdown with tables, pictures in files beside it. */
  MARKDOWN(".md", new MarkdownFormat()),
  /** A whole page of HTML that needs no other file, with its pictures. */
  HTML(".html", document -> new HtmlFormat().write(document)),
  /** JSON, one object. */
  JSON(".json", new JsonFormat()),
  /** CSV, a row for each estimate, test and interval, and for every other figure. */
  CSV(".csv", new CsvFormat());

  private final String ending;
  private final Format format;

  Report(String ending, Format format) {
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
    return format.write(Document.of(answer, detail, pictures));
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
    return format.write(Document.of(study, detail, pictures));
  }

  /**
   * Asks the questions of a study and writes its answers as JSON, each before the next is asked, so
   * that memory doesn't grow with what is written.
   *
   * @param study the questions
   * @param detail how much of the answers
   * @param to where to; not closed
   * @return what was decided, without the answers' words
   * @throws IOException if it can't be written
   */
  public static StudyAnswer json(Study study, Detail detail, Writer to) throws IOException {
    try {
      return new JsonFormat().write(study, detail, to);
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
    return format.write(Document.of(new Overview(overview, suggestions)));
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
    return new TextFormat(screen, whole).write(Document.of(answer, detail, List.of()));
  }

  /**
   * Writes text for a terminal.
   *
   * @param study the answers to a study
   * @param detail how much of it
   * @param screen what it is laid out for
   * @param whole how a reader gets the whole of what is cut, in the interface's words
   * @return the text
   */
  public static String text(StudyAnswer study, Detail detail, Screen screen, String whole) {
    return new TextFormat(screen, whole).write(Document.of(study, detail, answer -> List.of()));
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
