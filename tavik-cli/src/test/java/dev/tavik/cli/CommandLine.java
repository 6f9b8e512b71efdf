package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.SourceOpener;
import dev.tavik.report.Screen;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.xml.sax.SAXException;

/** Runs the whole command line inside a test; {@code demo/…} is found wherever the test runs. */
record CommandLine(int status, String out, String err) {
  private static final Pattern WORD = Pattern.compile("\"([^\"]*)\"|'([^']*)'|(\\S+)");

  static CommandLine run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    Terminal terminal =
        new Terminal(
            new PrintWriter(out), new PrintWriter(err), new DemoAndFiles(), Screen.PLAIN, "tavik");
    int status = new Tavik(terminal).run(arguments);
    Arrays.stream(arguments).filter(word -> word.endsWith(".svg")).forEach(CommandLine::parse);
    return new CommandLine(status, out.toString(), err.toString());
  }

  private static final class DemoAndFiles implements SourceOpener {
    @Override
    public InputStream open(String name) throws IOException {
      return name.startsWith("demo/") ? DemoFiles.open(name.substring(5)) : SourceOpener.file(name);
    }

    @Override
    public Optional<Path> path(String name) {
      return name.startsWith("demo/") ? Optional.empty() : SourceOpener.ofFiles().path(name);
    }
  }

  /** Every picture that a test draws is legal, whatever its labels. */
  private static void parse(String picture) {
    Path file = Path.of(picture);
    if (Files.exists(file)) {
      try {
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(file.toFile());
      } catch (IOException | ParserConfigurationException | SAXException e) {
        throw new AssertionError(picture + " is no XML", e);
      }
    }
  }

  /** The answer to such a line as JSON; it must be answered. */
  static JsonNode json(String line) throws IOException {
    CommandLine answer = shell(line + " --json");
    assertThat(answer.status()).as(line + "\n" + answer.err()).isZero();
    return new ObjectMapper().readTree(answer.out());
  }

  /** Runs a line as a shell would take it apart. */
  static CommandLine shell(String line) {
    List<String> words = new ArrayList<>();
    Matcher matcher = WORD.matcher(line);
    while (matcher.find()) {
      words.add(
          matcher.group(1) != null
              ? matcher.group(1)
              : matcher.group(2) != null ? matcher.group(2) : matcher.group(3));
    }
    return run(words.toArray(String[]::new));
  }
}
