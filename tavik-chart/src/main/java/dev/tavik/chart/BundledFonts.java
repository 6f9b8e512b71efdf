package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/**
 * The fonts that pictures are drawn with, DejaVu Sans and Sans Bold, so that they look the same on
 * every machine. They are read into the picture's own hands: nothing of the program around it
 * changes.
 */
final class BundledFonts {
  private static @Nullable BundledFonts read;

  private final Font plain;
  private final Font bold;

  private BundledFonts() {
    plain = font("DejaVuSans.ttf");
    bold = font("DejaVuSans-Bold.ttf");
  }

  static Font plain(float size) {
    return fonts().plain.deriveFont(size);
  }

  static Font bold(float size) {
    return fonts().bold.deriveFont(size);
  }

  /** Tried again after a failure, such as a missing temporary folder. */
  private static synchronized BundledFonts fonts() {
    BundledFonts known = read;
    if (known == null) {
      known = new BundledFonts();
      read = known;
    }
    return known;
  }

  private static Font font(String name) {
    try (InputStream in = file(name)) {
      return Font.createFont(Font.TRUETYPE_FONT, in);
    } catch (IOException e) {
      throw new UncheckedIOException(trouble(), e);
    } catch (FontFormatException e) {
      throw new IllegalStateException("the bundled fonts are damaged", e);
    }
  }

  /** The JDK says only that it can't read a font, whatever it lacks. */
  private static String trouble() {
    String folder = System.getProperty("java.io.tmpdir");
    return Files.isWritable(Path.of(folder))
        ? say(
            "the text of a picture can't be laid out: a library of the system is missing, such as"
                + " libfreetype or libharfbuzz (on Debian: apt install libfreetype6 libharfbuzz0b), or"
                + " room in the temporary folder (%s)",
            folder)
        : say(
            "the font for pictures can't be read; the JDK lays it out in the temporary folder (%s),"
                + " which must be writable",
            folder);
  }

  /** A bundled font as it is packed. */
  static InputStream file(String name) throws IOException {
    InputStream in = BundledFonts.class.getResourceAsStream("fonts/" + name);
    if (in == null) {
      throw new IOException("no resource fonts/" + name);
    }
    return in;
  }
}
