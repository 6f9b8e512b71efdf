package dev.tavik.data.words;

import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimand;
import dev.tavik.result.Method;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesSettings;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads the words of every question from {@code words.txt}, which says at its head how it is
 * written. A vocabulary is read when it is first asked for: a command needs one of many.
 */
final class Catalogue {
  private static final String FILE = "words.txt";
  private static final String QUESTION = "question ";
  private static final Pattern METHODS = Pattern.compile("\\{([a-z.-]+)}");

  private final Map<String, Parameter> shared = new HashMap<>();
  private final Map<String, List<String>> groups = new HashMap<>();

  private Catalogue() {}

  /** {@return the vocabularies by the kind of question, in the order of the file} */
  static Map<String, CommandSchema> read() {
    Catalogue catalogue = new Catalogue();
    Map<String, CommandSchema> questions = new LinkedHashMap<>();
    String[] blocks = text().split("\n" + QUESTION);
    Map<String, Parameter> shared = catalogue.shared;
    for (int i = 1; i < blocks.length; i++) {
      String block = blocks[i].replace("\n    ", " ");
      int colon = block.indexOf(": ");
      int end = block.indexOf('\n');
      String kind = block.substring(0, colon);
      questions.put(
          kind,
          new CommandSchema(
              kind,
              block.substring(colon + 2, end),
              vocabulary -> {
                if (shared.isEmpty()) {
                  catalogue.lines(
                      blocks[0].replace("\n    ", " "), word -> shared.put(word.name(), word));
                }
                catalogue.lines(block.substring(end + 1), vocabulary);
              }));
    }
    return questions;
  }

  /** Receives the content of a block. */
  @FunctionalInterface
  interface Taker {
    void word(Parameter word);

    default void positional(Parameter word) {
      throw new IllegalStateException(word.name());
    }

    default void key(String name) {
      throw new IllegalStateException(name);
    }

    default void example(String line) {
      // The head of the file says how it is written.
    }
  }

  private static String text() {
    try (InputStream file = Catalogue.class.getResourceAsStream(FILE)) {
      return new String(Objects.requireNonNull(file, FILE).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void lines(String block, Taker to) {
    Heading heading = Heading.COUNTS;
    boolean positional = false;
    for (String line : block.split("\n")) {
      int colon = line.indexOf(": ");
      if (line.isEmpty() || line.startsWith("#") || line.equals("shared")) {
        continue;
      }
      if (line.startsWith("> ")) {
        to.example(line.substring(2));
      } else if (line.startsWith("keys ")) {
        for (String name : line.substring(5).split(" ")) {
          to.key(name);
        }
      } else if (line.startsWith("use ")) {
        for (String name : line.substring(4).split(" ")) {
          for (String each : groups.getOrDefault(name, List.of(name))) {
            to.word(Objects.requireNonNull(shared.get(each), each));
          }
        }
      } else if (line.startsWith("@")) {
        List<String> names = List.of(line.split(" "));
        groups.put(
            names.get(0),
            names.stream()
                .skip(1)
                .flatMap(each -> groups.getOrDefault(each, List.of(each)).stream())
                .toList());
      } else if (colon < 0) {
        positional = line.equals("POSITIONAL");
        heading = positional ? Heading.COUNTS : Heading.valueOf(line);
      } else if (positional) {
        to.positional(word(heading, line.substring(0, colon), line.substring(colon + 2)));
      } else {
        to.word(word(heading, line.substring(0, colon), line.substring(colon + 2)));
      }
    }
  }

  private static Parameter word(Heading heading, String written, String help) {
    boolean several = written.endsWith(" ...");
    String said = several ? written.substring(0, written.length() - 4) : written;
    int blank = said.indexOf(' ');
    String name = blank < 0 ? said : said.substring(0, blank);
    String parameter = blank < 0 ? "" : said.substring(blank + 1);
    Parameter.Many one = parameter.isEmpty() ? Parameter.Many.FLAG : Parameter.Many.ONE;
    return new Parameter(heading, name, several ? Parameter.Many.SEVERAL : one, parameter, help);
  }

  /** A help text with the lists of methods that it names in braces. */
  static String filled(String help) {
    return help.indexOf('{') < 0
        ? help
        : METHODS.matcher(help).replaceAll(list -> methods(list.group(1)));
  }

  private static String methods(String list) {
    return switch (list) {
      case "rate.tests" -> ids(ProportionTest.values());
      case "rate.usual-tests" -> and(RateSettings.USUAL_TESTS);
      case "rate.intervals" -> ids(ProportionInterval.values());
      case "rate.usual-intervals" -> and(RateSettings.USUAL_INTERVALS);
      case "compare.tests" -> ids(TwoProportionTest.values());
      case "compare.usual-tests" -> and(CompareSettings.usual().tests());
      case "difference.intervals" ->
          ids(ComparisonInterval.ofQuantity(Estimand.DIFFERENCE).toArray(Method[]::new));
      case "ratio.intervals" ->
          ids(ComparisonInterval.ofQuantity(Estimand.RATIO).toArray(Method[]::new));
      case "odds-ratio.intervals" ->
          ids(ComparisonInterval.ofQuantity(Estimand.ODDS_RATIO).toArray(Method[]::new));
      case "pairs.tests" -> ids(PairedTest.values());
      case "pairs.intervals" -> ids(PairedDifferenceInterval.values());
      case "shares.tests" -> ids(SharesTest.values());
      case "shares.usual-tests" -> and(SharesSettings.USUAL_TESTS);
      case "cross.tests" -> ids(TableTest.values());
      default -> throw new IllegalStateException("no methods are called " + list);
    };
  }

  private static String ids(Method... methods) {
    return Arrays.stream(methods).map(Method::id).collect(Collectors.joining(", "));
  }

  private static String and(List<? extends Method> methods) {
    return methods.stream().map(Method::id).collect(Collectors.joining(" and "));
  }
}
