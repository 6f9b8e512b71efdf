package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Value;
import dev.tavik.count.DataOverview;
import dev.tavik.study.StudyAnswer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The forms in which answers are written: {@code Report.HTML.of(answer)}. Each shows every finding
 * and every figure of an answer; text, Markdown and HTML as a reader wants them, JSON and CSV with
 * all digits.
 */
public enum Report {
  /** Plain text of eighty columns. */
  TEXT(".txt", new TextFormat(Emphasis.NONE)),
  /** Markdown with tables. */
  MARKDOWN(".md", new MarkdownFormat()),
  /** A whole page of HTML that needs no other file. */
  HTML(".html", new HtmlFormat()),
  /** JSON, one object. */
  JSON(".json", new JsonFormat()),
  /** CSV, one figure a row. */
  CSV(".csv", new CsvFormat());

  private final String ending;
  private final Format format;

  Report(String ending, Format format) {
    this.ending = ending;
    this.format = format;
  }

  /** Returns the ending of such files, with its point. */
  public String ending() {
    return ending;
  }

  /**
   * Finds the form of a file by its ending.
   *
   * @param name the file's name
   */
  public static Optional<Report> of(String name) {
    return Arrays.stream(values())
        .filter(each -> name.toLowerCase(Locale.ROOT).endsWith(each.ending))
        .findFirst();
  }

  /** Writes an answer, every row of it. */
  public String of(Answer answer) {
    return of(answer, Detail.EVERY_ROW);
  }

  /**
   * Writes an answer.
   *
   * @param answer the answer
   * @param detail how much of it
   */
  public String of(Answer answer, Detail detail) {
    return write(format, answer, detail);
  }

  /**
   * Writes the answers to a study.
   *
   * @param study the answers
   * @param detail how much of them
   */
  public String of(StudyAnswer study, Detail detail) {
    return format.write(study.title(), study.reading(detail), study.figures(detail));
  }

  /**
   * Writes what is in a file of data.
   *
   * @param overview its columns
   * @param suggestions commands that could be typed next
   */
  public String of(DataOverview overview, List<String> suggestions) {
    return write(format, overview, suggestions);
  }

  /**
   * Writes text for a terminal.
   *
   * @param answer the answer
   * @param detail how much of it
   * @param emphasis how headings stand out
   * @param whole how a reader gets the whole of an answer that is cut, in the interface's words
   */
  public static String text(Answer answer, Detail detail, Emphasis emphasis, String whole) {
    return write(new TextFormat(emphasis, whole), answer, detail);
  }

  /** Writes text for a terminal. */
  public static String text(StudyAnswer study, Detail detail, Emphasis emphasis, String whole) {
    return new TextFormat(emphasis, whole)
        .write(study.title(), study.reading(detail), study.figures(detail));
  }

  /** Writes text for a terminal. */
  public static String text(DataOverview overview, List<String> suggestions, Emphasis emphasis) {
    return write(new TextFormat(emphasis), overview, suggestions);
  }

  private static String write(Format format, Answer answer, Detail detail) {
    boolean labelled =
        !answer.label().isEmpty() && !answer.verdict().text().startsWith(answer.label());
    List<Block> blocks = new ArrayList<>();
    if (labelled) {
      blocks.add(new Block.Strong(answer.label()));
      blocks.add(new Block.Gap());
    }
    blocks.addAll(answer.reading(detail));
    String title = answer.label().isEmpty() ? answer.kind() : answer.label();
    return format.write(title, blocks, answer.figures(detail));
  }

  private static String write(Format format, DataOverview overview, List<String> suggestions) {
    Overview shown = new Overview(overview, suggestions);
    Value.Fields figures = shown.figures();
    return format.write(overview.source(), shown.blocks(), figures);
  }
}
