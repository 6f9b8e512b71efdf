package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Origin;
import dev.tavik.answer.ShellWord;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.words.Parameter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Describes how a question is asked again. */
final class Origins {
  private static final Set<String> FILES = Set.of("data", "table", "codebook");
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm 'UTC'", Locale.ROOT);

  private final QuestionKind asking;
  private final Map<String, List<String>> words;

  private Origins(QuestionKind asking, Map<String, List<String>> words) {
    this.asking = asking;
    this.words = words;
  }

  /**
   * Says how a question is asked again.
   *
   * @param asking its kind
   * @param spec its words
   * @param opening how files are opened
   * @param study the study that it stands in, beside which its files lie; empty for none
   */
  static Origin of(
      QuestionKind asking, QuestionArguments spec, SourceOpener opening, String study) {
    String data = spec.text("data");
    if (data != null && opening.source(data).isPresent()) {
      // Rows of other sources can't be reached by a command.
      return new Origin("", "", List.of());
    }
    Map<String, List<String>> words = new LinkedHashMap<>();
    spec.values()
        .forEach(
            (word, values) ->
                words.put(
                    word,
                    values.stream()
                        .map(each -> FILES.contains(word) ? beside(study, each) : each)
                        .toList()));
    asOptions(asking, words);
    Origins origins = new Origins(asking, words);
    return new Origin(origins.command(), origins.java(), dates(spec, opening));
  }

  private static String beside(String study, String file) {
    boolean none = study.isEmpty() || file.equals("none") || file.equals("-");
    return none ? file : Path.of(study).resolveSibling(file).toString();
  }

  /** Groups that studies write under their own keys become named tallies. */
  private static void asOptions(QuestionKind asking, Map<String, List<String>> words) {
    List<String> tallies =
        Stream.of("first", "second")
            .map(words::remove)
            .filter(Objects::nonNull)
            .map(Origins::tally)
            .toList();
    asking
        .words()
        .positional()
        .ifPresent(word -> words.computeIfAbsent(word.name(), key -> tallies));
    words.values().removeIf(List::isEmpty);
  }

  private static String tally(List<String> group) {
    Map<String, String> parts = new LinkedHashMap<>();
    for (String each : group) {
      int equals = each.indexOf('=');
      parts.put(equals < 0 ? "tally" : each.substring(0, equals), each.substring(equals + 1));
    }
    String label = parts.getOrDefault("label", "");
    return (label.isEmpty() ? "" : label + "=") + parts.getOrDefault("tally", "");
  }

  private String command() {
    StringBuilder line = new StringBuilder("tavik ").append(asking.words().kind());
    String alone = asking.words().positional().map(Parameter::name).orElse("");
    words
        .getOrDefault(alone, List.of())
        .forEach(each -> line.append(' ').append(ShellWord.quoted(each)));
    words.forEach(
        (name, values) -> {
          if (!name.equals(alone)) {
            options(name, values).forEach(option -> line.append(' ').append(option));
          }
        });
    return line.toString();
  }

  private List<String> options(String name, List<String> values) {
    Optional<Parameter> word =
        asking.words().words().stream().filter(each -> each.name().equals(name)).findFirst();
    Parameter.Many many = word.map(Parameter::many).orElse(Parameter.Many.ONE);
    return switch (many) {
      case FLAG -> List.of("--" + name);
      case SEVERAL ->
          values.stream().map(each -> "--" + name + " " + ShellWord.quoted(each)).toList();
      case ONE -> List.of("--" + name + " " + ShellWord.quoted(joined(name, values)));
    };
  }

  private static String joined(String name, List<String> values) {
    return values.size() == 1
        ? values.get(0)
        : values.stream().collect(Collectors.joining(name.equals("cells") ? "; " : ","));
  }

  private String java() {
    List<String> parts = new ArrayList<>();
    words.forEach(
        (name, values) -> {
          boolean one =
              asking.words().words().stream()
                  .anyMatch(word -> word.name().equals(name) && word.many() == Parameter.Many.ONE);
          List<String> each = one ? List.of(joined(name, values)) : values;
          boolean flag = QuestionArguments.FLAGS.contains(name);
          each.forEach(value -> parts.add(literal(flag ? name : name + "=" + value)));
        });
    return say(
        """
        QuestionArguments words =
            QuestionArguments.of(
                %s);
        Answer answer = QuestionKind.%s.question(words, SourceOpener.ofFiles()).ask();
        Files.writeString(
            Path.of("report.html"), Report.HTML.of(answer, Charts.of(answer)));
        """,
        String.join(",\n        ", parts), asking.name());
  }

  private static String literal(String text) {
    StringBuilder literal = new StringBuilder("\"");
    for (int i = 0; i < text.length(); i++) {
      char each = text.charAt(i);
      if (each == '"' || each == '\\') {
        literal.append('\\').append(each);
      } else if (each < ' ' || each > '~') {
        literal.append(say("\\u%04x", (int) each));
      } else {
        literal.append(each);
      }
    }
    return literal.append('"').toString();
  }

  private static List<String> dates(QuestionArguments spec, SourceOpener opening) {
    List<String> dates = new ArrayList<>();
    for (String word : List.of("data", "table")) {
      for (String name : spec.all(word)) {
        opening.path(name).map(Origins::date).ifPresent(date -> dates.add(name + " of " + date));
      }
    }
    return dates;
  }

  private static String date(Path file) {
    try {
      return DATE.format(Files.getLastModifiedTime(file).toInstant().atOffset(ZoneOffset.UTC));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
