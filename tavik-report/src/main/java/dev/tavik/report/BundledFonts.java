package dev.tavik.report;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/**
 * The fonts that pictures are drawn with, DejaVu Sans and Sans Bold, so that they look the same on
 * every machine.
 *
 * <p>On a machine without any font the JDK fails before a bundled one can be used. So both fonts
 * are laid out as files, and where no other configuration was chosen the JDK is pointed to a font
 * configuration that names them, before any of its drawing classes is loaded.
 */
final class BundledFonts {
  private static final String CONFIGURATION = "sun.awt.fontconfig";
  private static final BundledFonts INSTALLED = new BundledFonts();

  private final Font plain;
  private final Font bold;

  private BundledFonts() {
    try {
      Path folder = Files.createTempDirectory("tavik-fonts");
      Path plainFile = copy("DejaVuSans.ttf", folder);
      Path boldFile = copy("DejaVuSans-Bold.ttf", folder);
      Path configuration = folder.resolve("fontconfig.properties");
      Files.writeString(configuration, configuration(plainFile, boldFile));
      if (System.getProperty(CONFIGURATION) == null) {
        System.setProperty(CONFIGURATION, configuration.toString());
      }
      plain = Font.createFont(Font.TRUETYPE_FONT, plainFile.toFile());
      bold = Font.createFont(Font.TRUETYPE_FONT, boldFile.toFile());
      for (Path file : new Path[] {folder, plainFile, boldFile, configuration}) {
        file.toFile().deleteOnExit();
      }
    } catch (IOException e) {
      throw new UncheckedIOException("the bundled fonts can't be laid out", e);
    } catch (FontFormatException e) {
      throw new IllegalStateException("the bundled fonts are damaged", e);
    }
  }

  static Font plain(float size) {
    return INSTALLED.plain.deriveFont(size);
  }

  static Font bold(float size) {
    return INSTALLED.bold.deriveFont(size);
  }

  private static Path copy(String name, Path folder) throws IOException {
    Path file = folder.resolve(name);
    try (InputStream in = BundledFonts.class.getResourceAsStream("fonts/" + name)) {
      if (in == null) {
        throw new IOException("no resource fonts/" + name);
      }
      Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
    }
    return file;
  }

  private static String configuration(Path plain, Path bold) {
    StringBuilder text = new StringBuilder("version=1\n");
    for (String family :
        new String[] {"serif", "sansserif", "monospaced", "dialog", "dialoginput"}) {
      for (String style : new String[] {"plain", "bold", "italic", "bolditalic"}) {
        text.append(family).append('.').append(style).append(".latin-1=");
        text.append(style.startsWith("bold") ? "DejaVu Sans Bold\n" : "DejaVu Sans\n");
      }
    }
    return text.append("sequence.allfonts=latin-1\n")
        .append("filename.DejaVu_Sans=")
        .append(plain)
        .append("\nfilename.DejaVu_Sans_Bold=")
        .append(bold)
        .append('\n')
        .toString()
        .replace("\\", "/");
  }
}
