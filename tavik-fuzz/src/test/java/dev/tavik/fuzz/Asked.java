package dev.tavik.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.tavik.cli.Tavik;
import dev.tavik.cli.Terminal;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.NoSuchFileException;
import java.util.Collections;
import java.util.List;
import java.util.Map;

/**
 * A command, run within this program, with files that lie in memory: no other is there but the
 * demo's, and none is written.
 */
record Asked(
    List<String> words, List<String> unseen, int status, String out, String err, double seconds) {
  /**
   * Longer no command takes, whatever else the machine does: the budget of 5 s is of its own clock.
   */
  private static final double RUNAWAY_SECONDS = 10;

  /** What asks about a command is answered in words. */
  private static final List<String> ABOUT = List.of("-h", "--help", "-V", "--version");

  /** What a user isn't to see, whatever happened, unless it was given. */
  private static final List<String> UNSEEN =
      List.of("\tat ", "Exception", "java.lang", "a fault in Tavik", "null)");

  private static final ObjectMapper MAPPER =
      new ObjectMapper().enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION);

  static Asked of(List<String> words, Map<String, byte[]> files) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    SourceOpener opening = name -> open(name, files);
    Terminal terminal =
        new Terminal(new PrintWriter(out), new PrintWriter(err), opening, Screen.PLAIN, "tavik");
    long before = System.nanoTime();
    int status = new Tavik(terminal).run(words.toArray(String[]::new));
    return new Asked(
        words,
        unseen(words, files),
        status,
        out.toString(),
        err.toString(),
        (System.nanoTime() - before) / 1e9);
  }

  /** A name in the input may end as a message of a fault does. */
  private static List<String> unseen(List<String> words, Map<String, byte[]> files) {
    StringBuilder given = new StringBuilder(String.join(" ", words));
    files.values().forEach(each -> given.append(new String(each, StandardCharsets.UTF_8)));
    return UNSEEN.stream().filter(each -> given.indexOf(each.replace(")", "")) < 0).toList();
  }

  private static InputStream open(String name, Map<String, byte[]> files) throws IOException {
    byte[] own = files.get(name);
    if (own != null) {
      return new ByteArrayInputStream(own);
    }
    if (name.startsWith("demo/")) {
      return DemoFiles.open(name.substring("demo/".length()));
    }
    throw new NoSuchFileException(name);
  }

  /** Holds of every command, however it was asked. */
  Asked sound() {
    String what = words + " ended with " + status + ": " + err;
    assertThat(seconds).as(what).isLessThan(RUNAWAY_SECONDS);
    assertThat(status).as(what).isIn(0, 2, 3, 10, 11);
    assertThat(err).as(what).doesNotContain(unseen);
    if (status == 2 || (status == 3 && out.isEmpty())) {
      assertThat(out).as(what).isEmpty();
      assertThat(err).as(what).startsWith("tavik");
      assertThat(err.strip().lines()).as(what).hasSizeLessThanOrEqualTo(2);
    } else if (words.contains("--json") && Collections.disjoint(words, ABOUT)) {
      Soundness.of(words, json());
    }
    return this;
  }

  /** The answer, which must be JSON by the letter. */
  JsonNode json() {
    try {
      return MAPPER.readTree(out);
    } catch (IOException e) {
      throw new AssertionError(words + " answered what is no JSON: " + e.getMessage(), e);
    }
  }
}
