package dev.tavik.dist;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A program in a folder, and how it is run there: with nothing of the surroundings but what is
 * said.
 */
final class Installation {
  /** What a run said. */
  record Ended(int status, String out, String err) {}

  private final Path program;
  private final Map<String, String> environment = new HashMap<>();
  private boolean unprivileged;

  private Installation(Path program) {
    this.program = program;
    environment.put("PATH", "/usr/local/bin:/usr/bin:/bin");
    environment.put("JAVA_HOME", System.getProperty("java.home"));
  }

  /** The archives and folders that were packaged. */
  static List<String> packaged() {
    return Stream.of(".zip", "-full.zip", ".tar.gz", "image", ".deb")
        .filter(Installation::made)
        .toList();
  }

  private static Path target(String kind) {
    String version = System.getProperty("tavik.version");
    return switch (kind) {
      case "image" -> Path.of("target", "image");
      case ".deb" -> Path.of("target", "tavik_" + version + kind);
      default -> Path.of("target", "tavik-" + version + kind);
    };
  }

  static boolean made(String kind) {
    boolean unpacked = !kind.equals(".deb") || Files.isExecutable(Path.of("/usr/bin/dpkg-deb"));
    return unpacked && Files.exists(target(kind));
  }

  /** Unpacks one into a folder. */
  static Installation of(String kind, Path folder) throws Exception {
    Path archive = target(kind).toAbsolutePath();
    Files.createDirectories(folder);
    List<String> command =
        switch (kind) {
          case ".zip", "-full.zip" -> List.of("unzip", "-q", archive.toString());
          case ".deb" -> List.of("dpkg-deb", "-x", archive.toString(), ".");
          case ".tar.gz" -> List.of("tar", "-xzf", archive.toString());
          default -> List.of("cp", "-r", archive + "/.", ".");
        };
    Ended unpacked = run(new ProcessBuilder(command).directory(folder.toFile()));
    if (unpacked.status() != 0) {
      throw new IOException(unpacked.err());
    }
    String inside =
        kind.equals(".deb") ? "usr/lib/tavik" : "tavik-" + System.getProperty("tavik.version");
    return new Installation(folder.resolve(inside));
  }

  Path program() {
    return program;
  }

  Installation moved(Path to) throws IOException {
    Installation moved = new Installation(Files.move(program, to));
    moved.environment.putAll(environment);
    return moved;
  }

  /** Sets a variable, or with null takes it away. */
  Installation with(String variable, String value) {
    environment.put(variable, value);
    return this;
  }

  Installation without(String variable) {
    environment.remove(variable);
    return this;
  }

  /** Lets nobody write to the program, and runs it as somebody who owns nothing. */
  Installation asNobody() throws IOException {
    Set<PosixFilePermission> writing =
        EnumSet.of(
            PosixFilePermission.OWNER_WRITE,
            PosixFilePermission.GROUP_WRITE,
            PosixFilePermission.OTHERS_WRITE);
    try (Stream<Path> files = Files.walk(program)) {
      for (Path file : files.toList()) {
        Set<PosixFilePermission> left = Files.getPosixFilePermissions(file);
        left.removeAll(writing);
        Files.setPosixFilePermissions(file, left);
      }
    }
    unprivileged = System.getProperty("user.name").equals("root");
    return this;
  }

  /** Gives back what a folder needs to be deleted. */
  void release() {
    try (Stream<Path> files = Files.walk(program)) {
      files.filter(Files::isDirectory).forEach(folder -> assertWritable(folder));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void assertWritable(Path folder) {
    if (!folder.toFile().setWritable(true)) {
      throw new IllegalStateException(folder.toString());
    }
  }

  Ended run(Path folder, String... words) throws Exception {
    List<String> command = new ArrayList<>();
    if (unprivileged) {
      command.addAll(List.of("setpriv", "--reuid=65534", "--regid=65534", "--clear-groups"));
    }
    command.add(program.resolve("bin/tavik").toString());
    command.addAll(List.of(words));
    return started(folder, command);
  }

  /** Runs a script with the program on the path. */
  Ended shell(Path folder, String shell, String script) throws Exception {
    environment.merge("PATH", program.resolve("bin") + ":", (path, bin) -> bin + path);
    return started(folder, List.of(shell, "-c", script));
  }

  private Ended started(Path folder, List<String> command) throws Exception {
    ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
    builder.environment().clear();
    builder.environment().putAll(environment);
    return run(builder);
  }

  private static Ended run(ProcessBuilder builder) throws Exception {
    Path err = Files.createTempFile("tavik", ".err");
    Process process = builder.redirectError(err.toFile()).start();
    process.getOutputStream().close();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    int status = process.waitFor();
    String said = Files.readString(err);
    Files.delete(err);
    return new Ended(status, out, said);
  }
}
