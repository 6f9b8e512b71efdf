package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Optional;

/**
 * How the characters of a text are written.
 *
 * @param charset the encoding
 * @param mark how many bytes a byte-order mark at the beginning takes
 */
record Encoding(Charset charset, int mark) {

  /** The encoding of a name. */
  static Charset named(String name) {
    try {
      return Charset.forName(name);
    } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
      throw new IllegalArgumentException(
          say(
              "encoding must be one that Java knows, such as UTF-8, windows-1252, ISO-8859-1 or"
                  + " UTF-16LE, got '%s'",
              name),
          e);
    }
  }

  /** The given encoding, else that of a byte-order mark, else UTF-8. */
  static Encoding of(Bytes bytes, ReadOptions said) {
    FileHeader beginning = bytes.beginning();
    Encoding marked =
        beginning.startsWith("\u00EF\u00BB\u00BF")
            ? new Encoding(StandardCharsets.UTF_8, 3)
            : beginning.startsWith("\u00FF\u00FE")
                ? new Encoding(StandardCharsets.UTF_16LE, 2)
                : beginning.startsWith("\u00FE\u00FF")
                    ? new Encoding(StandardCharsets.UTF_16BE, 2)
                    : new Encoding(StandardCharsets.UTF_8, 0);
    Optional<Charset> wanted = said.encoding();
    if (marked.mark == 0 && wanted.isEmpty()) {
      requireText(bytes.name(), beginning);
    }
    boolean agree = wanted.isEmpty() || wanted.get().equals(marked.charset);
    boolean either = marked.mark == 2 && wanted.equals(Optional.of(StandardCharsets.UTF_16));
    return agree || either ? marked : new Encoding(wanted.get(), 0);
  }

  /** Every second byte is zero in what UTF-16 makes of plain letters. */
  private static void requireText(String name, FileHeader beginning) {
    int[] zeros = new int[2];
    for (int i = 0; i < beginning.length(); i++) {
      zeros[i % 2] += beginning.isZero(i) ? 1 : 0;
    }
    boolean wide = Math.max(zeros[0], zeros[1]) > 0.4 * beginning.length();
    if (wide && Math.min(zeros[0], zeros[1]) == 0) {
      throw new DataException(
          DataException.Code.ENCODING,
          "%s looks like UTF-16 without a byte-order mark; say so with the encoding %s",
          name,
          zeros[0] > 0 ? "UTF-16BE" : "UTF-16LE");
    }
    boolean first = beginning.length() > 0 && beginning.isZero(0);
    if (first || zeros[0] + zeros[1] > beginning.length() / 8) {
      throw new DataException(
          DataException.Code.ENCODING,
          "%s is not text; rows separated by comma, semicolon, tab or |, a spreadsheet or JSON"
              + " are needed",
          name);
    }
  }

  /** Returns how an analyst calls it. */
  String inWords() {
    return charset.name();
  }
}
