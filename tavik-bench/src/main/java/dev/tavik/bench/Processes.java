package dev.tavik.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Times whole processes, launcher and all, by the processor time that the shell tells of its
 * children, in turn with a Java machine that says one word; and watches their memory.
 */
final class Processes {
  private static final int TURNS = 9;
  private static final int WATCHED_EVERY = 10;
  private static final Pattern SPENT = Pattern.compile("(\\d+)m([\\d.]+)s (\\d+)m([\\d.]+)s");
  private static final Pattern PEAK = Pattern.compile("VmHWM:\\s+(\\d+) kB");

  private record Spent(double seconds, long kilobytes) {}

  private Processes() {}

  static void print() throws IOException, InterruptedException {
    Path folder = Files.createTempDirectory("tavik-bench");
    Path nothing = folder.resolve("Hello.java");
    Path few = study(folder, 10_000);
    Path many = study(folder, 30_000);
    try {
      Files.writeString(
          nothing,
          "class Hello { public static void main(String[] a) { System.out.println(1); } }");
      spent("javac -d " + folder + " " + nothing);
      spent("./tavik --version");
      String bare =
          "java -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Xshare:auto -cp " + folder + " Hello";
      System.out.printf(
          "%n%-46s %10s %10s %7s %9s %8s %9s%n",
          "processes, processor time", "java", "Tavik", "x", "before", "wanted", "memory");
      line("--version", bare, "./tavik --version", TURNS, "10-18", "3");
      line("--help", bare, "./tavik --help", TURNS, "10-18", "3");
      line("rate of a tally", bare, "./tavik rate 14/400 --against 5%", TURNS, "10-18", "4");
      line("compare two tallies", bare, "./tavik compare 14/400 31/410", TURNS, "10-18", "4");
      line("run --json, 10000 questions", bare, "./tavik run " + few + " --json", 1, "12 s", "2 s");
      line(
          "run --json, 30000 questions", bare, "./tavik run " + many + " --json", 1, "none", "6 s");
    } finally {
      try (Stream<Path> files = Files.list(folder)) {
        for (Path file : files.toList()) {
          Files.delete(file);
        }
      }
      Files.delete(folder);
    }
  }

  private static void line(
      String name, String bare, String tavik, int turns, String before, String wanted)
      throws IOException, InterruptedException {
    double[] anchors = new double[turns];
    double[] times = new double[turns];
    long memory = 0;
    for (int turn = 0; turn < turns; turn++) {
      anchors[turn] = spent(bare).seconds;
      Spent spent = spent(tavik);
      times[turn] = spent.seconds;
      memory = Math.max(memory, spent.kilobytes);
    }
    Arrays.sort(anchors);
    Arrays.sort(times);
    double anchor = anchors[turns / 2];
    double time = times[turns / 2];
    System.out.printf(
        Locale.ROOT,
        "%-46s %8.2f s %8.2f s %7.1f %9s %8s %6d MB%n",
        name,
        anchor,
        time,
        time / anchor,
        before,
        wanted,
        memory / 1024);
  }

  private static Spent spent(String command) throws IOException, InterruptedException {
    Process shell =
        new ProcessBuilder("sh", "-c", command + " >/dev/null; times")
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    long memory = 0;
    while (shell.isAlive()) {
      for (ProcessHandle child : shell.descendants().toList()) {
        memory = Math.max(memory, peak(child.pid()));
      }
      Thread.sleep(WATCHED_EVERY);
    }
    List<String> told =
        new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    Matcher children = SPENT.matcher(told.get(told.size() - 1));
    if (!children.find()) {
      throw new IllegalStateException("the shell told no times: " + told);
    }
    double minutes = Double.parseDouble(children.group(1)) + Double.parseDouble(children.group(3));
    return new Spent(
        60 * minutes
            + Double.parseDouble(children.group(2))
            + Double.parseDouble(children.group(4)),
        memory);
  }

  /** What a process has taken at most so far, where the system tells. */
  private static long peak(long process) {
    try {
      Matcher peak = PEAK.matcher(Files.readString(Path.of("/proc/" + process + "/status")));
      return peak.find() ? Long.parseLong(peak.group(1)) : 0;
    } catch (IOException e) {
      return 0;
    }
  }

  private static Path study(Path folder, int questions) throws IOException {
    Random random = new Random(2);
    StringBuilder study = new StringBuilder("study: many\nquestions:\n");
    for (int i = 0; i < questions; i++) {
      String first = (5 + random.nextInt(50)) + "/" + (300 + random.nextInt(600));
      String second = (5 + random.nextInt(50)) + "/" + (300 + random.nextInt(600));
      study.append(
          i % 2 == 0
              ? "  - {ask: rate, tally: " + first + ", against: 5%}\n"
              : "  - {ask: compare, first: {label: North, tally: "
                  + first
                  + "}, second: {label: South, tally: "
                  + second
                  + "}}\n");
    }
    return Files.writeString(folder.resolve("study-" + questions + ".yaml"), study);
  }
}
