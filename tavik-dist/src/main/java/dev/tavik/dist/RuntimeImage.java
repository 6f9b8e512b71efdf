package dev.tavik.dist;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Comparator;
import java.util.List;
import java.util.spi.ToolProvider;
import java.util.stream.Stream;

/**
 * Makes a program that needs no Java: a distribution, with all drivers, and beside it a Java of its
 * own, cut to the modules that Tavik and the drivers use.
 */
public final class RuntimeImage {
  /**
   * Modules of Java: what the program needs, what drivers need, encryption on the way to a
   * database, and text in rare encodings.
   */
  private static final List<String> MODULES =
      List.of(
          "java.desktop",
          "java.logging",
          "java.management",
          "java.naming",
          "java.net.http",
          "java.security.jgss",
          "java.sql",
          "java.xml",
          "jdk.charsets",
          "jdk.crypto.ec",
          "jdk.unsupported",
          "jdk.zipfs");

  private RuntimeImage() {}

  /**
   * Makes it.
   *
   * @param arguments the folder of a distribution, the folder with all drivers, the folder to be
   *     made, and the folder with the bills of materials
   * @throws IOException if a file can't be read or written
   */
  public static void main(String... arguments) throws IOException {
    Path image = Path.of(arguments[2]);
    delete(image);
    copy(Path.of(arguments[0]), image);
    copy(Path.of(arguments[1]), image.resolve("lib/drivers"));
    Path bills = Path.of(arguments[3]);
    Sbom.withJava(bills.resolve("tavik-full.cdx.json"), image.resolve("tavik.cdx.json"));
    Sbom.withJava(bills.resolve("tavik.cdx.json"), bills.resolve("tavik-deb.cdx.json"));
    Path runtime = image.resolve("runtime");
    link(runtime);
    shareClasses(runtime);
    Files.writeString(
        image.resolve("THIRD-PARTY.txt"),
        "GPL-2.0 with Classpath exception: OpenJDK "
            + Runtime.version()
            + ", in the folder runtime; its terms lie in runtime/legal\n",
        StandardOpenOption.APPEND);
  }

  private static void link(Path runtime) {
    int status =
        ToolProvider.findFirst("jlink")
            .orElseThrow(() -> new IllegalStateException("a JDK is needed, with jlink"))
            .run(
                System.out,
                System.err,
                "--add-modules",
                String.join(",", MODULES),
                "--strip-debug",
                "--no-header-files",
                "--no-man-pages",
                "--output",
                runtime.toString());
    if (status != 0) {
      throw new IllegalStateException("jlink ended with " + status);
    }
  }

  /** Java's own archive of its classes, for a quick start where Tavik's can't be kept. */
  private static void shareClasses(Path runtime) throws IOException {
    Process process =
        new ProcessBuilder(runtime.resolve("bin/java").toString(), "-Xshare:dump")
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      if (process.waitFor() != 0) {
        throw new IOException("no archive of classes could be made for " + runtime);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private static void copy(Path from, Path into) throws IOException {
    try (Stream<Path> files = Files.walk(from)) {
      for (Path file : files.toList()) {
        Path to = into.resolve(from.relativize(file).toString());
        if (Files.isDirectory(file)) {
          Files.createDirectories(to);
        } else {
          Files.copy(
              file, to, StandardCopyOption.COPY_ATTRIBUTES, StandardCopyOption.REPLACE_EXISTING);
        }
      }
    }
  }

  private static void delete(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> files = Files.walk(folder)) {
      files
          .sorted(Comparator.reverseOrder())
          .forEach(
              file -> {
                try {
                  Files.delete(file);
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              });
    }
  }
}
