package dev.tavik.answer;

import dev.tavik.result.WorkingStep;
import java.util.List;

/** A part of what readers see: a heading, a sentence, a table, a command. */
public sealed interface Block {
  /**
   * Writes blocks in a form: one method for each kind, so that no form can leave one out.
   *
   * @param <R> what is written
   */
  interface Writer<R> {
    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R strong(Strong block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R heading(Heading block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R paragraph(Paragraph block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R table(Table block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R grid(Grid block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R command(Command block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R commandLine(CommandLine block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R rest(Rest block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R steps(Steps block);

    /**
     * {@return a block of this kind as it is written}
     *
     * @param block the block
     */
    R gap(Gap block);
  }

  /**
   * {@return this block as a form writes it}
   *
   * @param writer the form
   * @param <R> what is written
   */
  <R> R writtenBy(Writer<R> writer);

  /**
   * The verdict.
   *
   * @param text what it says
   */
  record Strong(String text) implements Block {
    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.strong(this);
    }
  }

  /**
   * A heading.
   *
   * @param text what it says
   */
  record Heading(String text) implements Block {
    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.heading(this);
    }
  }

  /**
   * A sentence or several.
   *
   * @param text the words
   * @param manner how it stands
   */
  record Paragraph(String text, Style manner) implements Block {
    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.paragraph(this);
    }
  }

  /** How a paragraph stands. */
  enum Style {
    /** From the margin. */
    PLAIN("", ""),
    /** Indented. */
    INDENTED("  ", "  "),
    /** Indented, with further lines indented more. */
    HANGING("  ", "    "),
    /** As one of several. */
    ITEM("  - ", "    "),
    /** As a warning. */
    WARNING("  ! ", "    "),
    /** As a condition that is met. */
    MET("  met           ", "                "),
    /** As a condition that is not met. */
    NOT_MET("  NOT MET       ", "                "),
    /** As a condition that can't be tested from the data. */
    NOT_TESTABLE("  not testable  ", "                "),
    /** Indented and never broken into lines. */
    UNBROKEN("  ", "");

    private final String first;
    private final String others;

    Style(String first, String others) {
      this.first = first;
      this.others = others;
    }

    /** {@return what stands before its first line where there is nothing but text} */
    public String first() {
      return first;
    }

    /** {@return what stands before its other lines} */
    public String others() {
      return others;
    }
  }

  /**
   * A table; headed where one of its columns has a heading.
   *
   * @param columns the columns
   * @param rows the rows, a value for each column
   */
  record Table(List<Column> columns, List<List<Value>> rows) implements Block {
    /** Keeps columns and rows. */
    public Table {
      columns = List.copyOf(columns);
      rows = List.copyOf(rows);
    }

    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.table(this);
    }
  }

  /**
   * Cells in rows and columns that have names; it may be wider than a page.
   *
   * @param rows the names of the rows
   * @param columns the names of the columns
   * @param cells the cells, row by row
   */
  record Grid(List<String> rows, List<String> columns, List<List<Value>> cells) implements Block {
    /** Keeps names and cells. */
    public Grid {
      rows = List.copyOf(rows);
      columns = List.copyOf(columns);
      cells = List.copyOf(cells);
    }

    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.grid(this);
    }
  }

  /**
   * A question that may be asked next, and why.
   *
   * @param why what it would tell
   * @param next the question
   */
  record Command(String why, NextQuestion next) implements Block {
    /** {@return the command that asks it} */
    public String line() {
      return next.command();
    }

    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.command(this);
    }
  }

  /**
   * A command below others of its kind, never left out.
   *
   * @param line the command
   */
  record CommandLine(String line) implements Block {
    /**
     * {@return the command of a question}
     *
     * @param next the question
     */
    public static CommandLine of(NextQuestion next) {
      return new CommandLine(next.command());
    }

    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.commandLine(this);
    }
  }

  /**
   * What a shortened answer leaves out; the interface adds how to see the whole.
   *
   * @param what what is left out
   */
  record Rest(String what) implements Block {
    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.rest(this);
    }
  }

  /**
   * Steps of a calculation by hand.
   *
   * @param steps the steps, in order
   */
  record Steps(List<WorkingStep> steps) implements Block {
    /** Keeps the steps. */
    public Steps {
      steps = List.copyOf(steps);
    }

    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.steps(this);
    }
  }

  /** An empty line. */
  record Gap() implements Block {
    @Override
    public <R> R writtenBy(Writer<R> writer) {
      return writer.gap(this);
    }
  }

  /**
   * Creates an indented paragraph.
   *
   * @param text in words
   * @return the block
   */
  static Block paragraph(String text) {
    return new Paragraph(text, Style.INDENTED);
  }

  /**
   * Makes a sentence.
   *
   * @param text in words
   * @param manner how the paragraph stands
   * @return the block
   */
  static Block paragraph(String text, Style manner) {
    return new Paragraph(text, manner);
  }

  /**
   * Makes a heading.
   *
   * @param text in words
   * @return the block
   */
  static Block heading(String text) {
    return new Heading(text);
  }
}
