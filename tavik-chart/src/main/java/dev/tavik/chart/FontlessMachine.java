package dev.tavik.chart;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Makes pictures possible on a machine without any font, where the JDK fails before a bundled one
 * can be used: both bundled fonts are laid out as files, and the JDK is pointed to a font
 * configuration that names them.
 *
 * <p>That changes the fonts of everything drawn in the same virtual machine, so it is for a program
 * that owns it. It must come before the first drawing class of the JDK is loaded. The library never
 * does it by itself.
 */
public final class FontlessMachine {
  private static final String CONFIGURATION = "sun.awt.fontconfig";

  private FontlessMachine() {}

  /**
   * Unpacks the fonts and configures the JDK to use them, unless it is configured already.
   *
   * @return whether it is done; false where the temporary folder can't be written, and then fonts
   *     of the machine are needed
   */
  public static boolean prepare() {
    if (System.getProperty(CONFIGURATION) != null) {
      return true;
    }
    try {
      Path folder = Files.createTempDirectory("tavik-fonts");
      Path plain = copy("DejaVuSans.ttf", folder);
      Path bold = copy("DejaVuSans-Bold.ttf", folder);
      Path configuration = folder.resolve("fontconfig.properties");
      Files.writeString(configuration, configuration(plain, bold));
      for (Path file : new Path[] {folder, plain, bold, configuration}) {
        file.toFile().deleteOnExit();
      }
      System.setProperty(CONFIGURATION, configuration.toString());
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  private static Path copy(String name, Path folder) throws IOException {
    Path file = folder.resolve(name);
    try (InputStream in = BundledFonts.file(name)) {
      Files.copy(in, file);
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
