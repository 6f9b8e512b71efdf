package dev.tavik.dist;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Lays beside the program the licence of each library that it is made of: the texts that lie in the
 * library, or, where it brings none, its copyright line and the text of the licence that it names.
 */
public final class Licences {
  private static final Pattern LISTED = Pattern.compile("([A-Z][^:]*): [^: ]+:([^: ]+):[^: ]+");
  private static final Pattern TEXT =
      Pattern.compile(
          "(META-INF/)?(.*/)?[^/]*(licen[cs]e|notice|copying)[^/]*", Pattern.CASE_INSENSITIVE);

  /** What is shorter is no licence, but says where to find it. */
  private static final int SHORTEST = 500;

  /** Which text stands for a licence, by what its name in the list has in it. */
  private static final Map<String, String> TEXTS = new LinkedHashMap<>();

  static {
    TEXTS.put("Apache", "Apache-2.0.txt");
    TEXTS.put("LGPL", "LGPL-2.1.txt");
    TEXTS.put("MIT", "MIT.txt");
    TEXTS.put("BSD-2", "BSD-2-Clause.txt");
    TEXTS.put("BSD-3", "BSD-3-Clause.txt");
  }

  private Licences() {}

  /**
   * Writes the texts.
   *
   * @param arguments the list of libraries, the folder of texts, the folder they go to, and the
   *     jars with what stands between their paths
   * @throws IOException if one can't be read or written
   */
  public static void main(String... arguments) throws IOException {
    Path folder = Path.of(arguments[2]);
    Properties copyrights = new Properties();
    try (Reader lines = Files.newBufferedReader(Path.of(arguments[1], "copyright.properties"))) {
      copyrights.load(lines);
    }
    List<Path> jars = new ArrayList<>();
    for (String jar : arguments[3].split(Pattern.quote(java.io.File.pathSeparator), -1)) {
      jars.add(Path.of(jar));
    }
    for (String line : Files.readAllLines(Path.of(arguments[0]))) {
      Matcher listed = LISTED.matcher(line);
      if (listed.matches()) {
        Path into = emptied(folder.resolve(listed.group(2)));
        if (!taken(jar(jars, listed.group(2)), into)) {
          String copyright = copyrights.getProperty(listed.group(2));
          String text = Files.readString(Path.of(arguments[1], text(listed.group(1))));
          Files.writeString(
              into.resolve("LICENSE.txt"), copyright == null ? text : copyright + "\n\n" + text);
        }
      }
    }
  }

  private static Path emptied(Path folder) throws IOException {
    Files.createDirectories(folder);
    try (DirectoryStream<Path> files = Files.newDirectoryStream(folder)) {
      for (Path file : files) {
        Files.delete(file);
      }
    }
    return folder;
  }

  private static Path jar(List<Path> jars, String name) {
    return jars.stream()
        .filter(jar -> jar.getFileName().toString().matches(Pattern.quote(name) + "-\\d.*\\.jar"))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no jar of " + name));
  }

  private static String text(String licence) {
    return TEXTS.entrySet().stream()
        .filter(each -> licence.contains(each.getKey()))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no text of the licence " + licence));
  }

  /** Copies the texts of a jar; tells whether its licence was among them. */
  private static boolean taken(Path jar, Path into) throws IOException {
    boolean licence = false;
    try (JarFile file = new JarFile(jar.toFile())) {
      for (Enumeration<JarEntry> entries = file.entries(); entries.hasMoreElements(); ) {
        JarEntry entry = entries.nextElement();
        String name = entry.getName();
        if (entry.isDirectory() || name.endsWith(".class") || !TEXT.matcher(name).matches()) {
          continue;
        }
        licence |= name.toLowerCase(Locale.ROOT).contains("licen") && entry.getSize() > SHORTEST;
        Path text = into.resolve(name.replaceFirst("^META-INF/", "").replace('/', '-'));
        try (InputStream in = file.getInputStream(entry)) {
          Files.copy(in, text);
        }
      }
    }
    return licence;
  }
}
