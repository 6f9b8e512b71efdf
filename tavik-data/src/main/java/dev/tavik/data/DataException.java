package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import com.google.errorprone.annotations.FormatMethod;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import org.jspecify.annotations.Nullable;

/**
 * Data that can't be read or used. The message says what was found, where, and what would be
 * accepted.
 */
public final class DataException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** The kinds of problems; their names are stable. */
  public enum Code {
    /** The file isn't there or can't be opened. */
    UNREADABLE("data-unreadable"),
    /** The file isn't UTF-8 text. */
    ENCODING("data-encoding"),
    /** The file has no rows. */
    EMPTY("data-empty"),
    /** Rows or values are malformed. */
    MALFORMED("data-malformed"),
    /** No such column, or several. */
    COLUMN("unknown-column"),
    /** No such level, or several. */
    LEVEL("unknown-level"),
    /** A value is missing, and that was not allowed. */
    MISSING("missing-value"),
    /** A frequency isn't a whole number. */
    COUNT("bad-count");

    private final String id;

    Code(String id) {
      this.id = id;
    }

    /**
     * The public name in JSON.
     *
     * @return the name
     */
    public String id() {
      return id;
    }
  }

  /** The kind of problem. */
  private final Code code;

  /**
   * Creates a problem with data.
   *
   * @param code its kind
   * @param message what was found, where, and what would do
   */
  public DataException(Code code, String message) {
    super(message);
    this.code = code;
  }

  /**
   * The same, with figures in their places.
   *
   * @param code what kind of trouble it is
   * @param words the message, with the places of {@link java.util.Formatter}
   * @param figures what goes there
   */
  @FormatMethod
  public DataException(Code code, String words, @Nullable Object... figures) {
    this(code, say(words, figures));
  }

  /**
   * Creates the problem of a source that can't be opened or read.
   *
   * @param name the source's name
   * @param cause what the system says
   * @return the trouble in plain words
   */
  public static DataException unreadable(String name, IOException cause) {
    if (cause instanceof NoSuchFileException || cause instanceof FileNotFoundException) {
      return new DataException(Code.UNREADABLE, "there is no file " + name);
    }
    if (cause instanceof AccessDeniedException) {
      return new DataException(Code.UNREADABLE, "no permission to read " + name);
    }
    return new DataException(Code.UNREADABLE, name + " can't be read: " + cause.getMessage());
  }

  /**
   * Returns the kind of problem.
   *
   * @return the code
   */
  public Code code() {
    return code;
  }
}
