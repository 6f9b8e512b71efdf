package dev.tavik.dist;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Enumeration;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.jar.JarOutputStream;
import java.util.spi.ToolProvider;
import java.util.stream.Stream;

/**
 * Makes a program that needs no Java: a Java of its own, cut to what Tavik uses. Tavik lies in it
 * as one module, so that the archive of its classes is good wherever the folder is moved or copied
 * to: an archive of a jar is good for one place only.
 */
public final class RuntimeImage {
  private static final String MODULE = "dev.tavik.program";

  /** What the program itself needs. */
  private static final List<String> NEEDED =
      List.of("java.desktop", "java.logging", "java.net.http", "java.sql", "java.xml");

  /** What drivers need, encryption on the way to a database, and text in rare encodings. */
  private static final List<String> ADDED =
      List.of(
          MODULE,
          "java.management",
          "java.naming",
          "java.security.jgss",
          "jdk.charsets",
          "jdk.crypto.ec",
          "jdk.unsupported",
          "jdk.zipfs");

  /** Services that are looked for and may be provided by others. */
  private static final List<String> USED = List.of("java.sql.Driver");

  /** Services of Java's own kind; a library may have others in folders of their own there. */
  private static final String SERVICE = "META-INF/services/[^/]+";

  private final Path program;
  private final Path work;
  private final Path image;

  private RuntimeImage(Path program, Path work, Path image) {
    this.program = program;
    this.work = work;
    this.image = image;
  }

  /**
   * Makes it.
   *
   * @param arguments the folder of a distribution, a folder to work in, and the one to be made
   * @throws IOException if a file can't be read or written
   */
  public static void main(String... arguments) throws IOException {
    new RuntimeImage(Path.of(arguments[0]), Path.of(arguments[1]), Path.of(arguments[2])).make();
  }

  private void make() throws IOException {
    delete(work);
    delete(image);
    Files.createDirectories(work);
    Path jar = work.resolve(MODULE + ".jar");
    Set<String> services = new TreeSet<>();
    Set<String> provided = new TreeSet<>();
    Path source = program.resolve("lib/tavik.jar");
    services(source, services, provided);
    Path descriptor = work.resolve("module-info.java");
    Files.writeString(descriptor, descriptor(services, provided), StandardCharsets.UTF_8);
    run(
        "javac",
        "-nowarn",
        "-XDrawDiagnostics",
        "--patch-module",
        MODULE + "=" + source,
        "-d",
        work.toString(),
        descriptor.toString());
    flattened(source, work.resolve("module-info.class"), jar);
    copy();
    Path runtime = image.resolve("runtime");
    run(
        "jlink",
        "--module-path",
        jar.toString(),
        "--add-modules",
        String.join(",", ADDED),
        "--strip-debug",
        "--no-header-files",
        "--no-man-pages",
        "--output",
        runtime.toString());
    archive(runtime);
  }

  /** The services that lie in the jar, and in the words of a module who provides them. */
  private static void services(Path jar, Set<String> services, Set<String> provided)
      throws IOException {
    services.addAll(USED);
    try (JarFile file = new JarFile(jar.toFile())) {
      for (Enumeration<JarEntry> entries = file.entries(); entries.hasMoreElements(); ) {
        JarEntry entry = entries.nextElement();
        if (entry.isDirectory() || !entry.getName().matches(SERVICE)) {
          continue;
        }
        String service = entry.getName().substring("META-INF/services/".length()).replace('$', '.');
        try (InputStream in = file.getInputStream(entry)) {
          List<String> providers =
              new String(in.readAllBytes(), StandardCharsets.UTF_8)
                  .lines()
                  .map(line -> line.replaceFirst("#.*", "").strip())
                  .filter(line -> !line.isEmpty())
                  .distinct()
                  .toList();
          services.add(service);
          provided.add("  provides " + service + " with " + String.join(", ", providers) + ";\n");
        }
      }
    }
  }

  private static String descriptor(Set<String> services, Set<String> provided) {
    StringBuilder module = new StringBuilder("open module " + MODULE + " {\n");
    NEEDED.forEach(each -> module.append("  requires ").append(each).append(";\n"));
    module.append("  exports dev.tavik.cli;\n");
    services.forEach(each -> module.append("  uses ").append(each).append(";\n"));
    provided.forEach(module::append);
    return module.append("}\n").toString();
  }

  /**
   * The same jar as a module: what it has for other versions of Java is left out, as the jar does.
   */
  private static void flattened(Path from, Path descriptor, Path to) throws IOException {
    try (JarFile file = new JarFile(from.toFile());
        OutputStream bytes = Files.newOutputStream(to);
        JarOutputStream out = new JarOutputStream(bytes)) {
      out.putNextEntry(new JarEntry("module-info.class"));
      Files.copy(descriptor, out);
      for (Enumeration<JarEntry> entries = file.entries(); entries.hasMoreElements(); ) {
        JarEntry entry = entries.nextElement();
        String name = entry.getName();
        boolean left = name.startsWith("META-INF/") && !name.startsWith("META-INF/services/org/");
        if (!entry.isDirectory() && !left) {
          out.putNextEntry(new JarEntry(name));
          try (InputStream in = file.getInputStream(entry)) {
            in.transferTo(out);
          }
        }
      }
    }
  }

  /** Everything of the distribution but the jar, which is in the Java now. */
  private void copy() throws IOException {
    Set<Path> left = Set.of(program.resolve("lib/tavik.jar"), program.resolve("lib/tavik.classes"));
    try (Stream<Path> files = Files.walk(program)) {
      for (Path file : files.filter(each -> !left.contains(each)).toList()) {
        Path to = image.resolve(program.relativize(file).toString());
        if (Files.isDirectory(file)) {
          Files.createDirectories(to);
        } else {
          Files.copy(file, to, java.nio.file.StandardCopyOption.COPY_ATTRIBUTES);
        }
      }
    }
  }

  private void archive(Path runtime) throws IOException {
    // The same collector as the launcher's, on which the archive depends.
    List<String> command =
        List.of(
            runtime.resolve("bin/java").toString(),
            "-XX:+UseSerialGC",
            "-Xshare:dump",
            "-XX:SharedClassListFile=" + program.resolve("lib/tavik.classes"),
            "-XX:SharedArchiveFile=" + runtime.resolve("lib/tavik.jsa"),
            "dev.tavik.cli.Main");
    Process process =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(work.resolve("archive.log").toFile())
            .start();
    try {
      if (process.waitFor() != 0) {
        throw new IOException("no archive, see " + work.resolve("archive.log"));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private static void run(String tool, String... arguments) {
    int status =
        ToolProvider.findFirst(tool)
            .orElseThrow(() -> new IllegalStateException("a JDK is needed, with " + tool))
            .run(System.out, System.err, arguments);
    if (status != 0) {
      throw new IllegalStateException(tool + " ended with " + status);
    }
  }

  private static void delete(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    List<Path> all = new ArrayList<>();
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted(Comparator.reverseOrder()).forEach(all::add);
    }
    for (Path each : all) {
      Files.delete(each);
    }
  }
}
