package dev.tavik.data.words;

import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Method;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesSettings;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads the words of every question from {@code words.txt}, which says at its head how it is
 * written.
 */
final class Catalogue {
  private static final String FILE = "words.txt";
  private static final Pattern QUESTION = Pattern.compile("question ([a-z-]+): (.*)");
  private static final Pattern WORD =
      Pattern.compile("([a-z][a-z-]*)(?: (.+?))??( \\.\\.\\.)?: (.*)");
  private static final Pattern METHODS = Pattern.compile("\\{([a-z.-]+)}");

  private final Map<String, Vocabulary> questions = new LinkedHashMap<>();
  private final Map<String, Word> shared = new LinkedHashMap<>();
  private final Map<String, String> methods = methods();
  private Vocabulary asked = Vocabulary.of("shared", "");
  private Heading heading = Heading.COUNTS;
  private boolean positional;

  private Catalogue() {}

  /** Returns the vocabularies by the kind of question, in the order of the file. */
  static Map<String, Vocabulary> read() {
    Catalogue catalogue = new Catalogue();
    text().replaceAll("\n {4}", " ").lines().forEach(catalogue::line);
    return catalogue.questions;
  }

  private static String text() {
    try (InputStream file = Catalogue.class.getResourceAsStream(FILE)) {
      return new String(Objects.requireNonNull(file, FILE).readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void line(String line) {
    Matcher question = QUESTION.matcher(line);
    Matcher word = WORD.matcher(line);
    if (line.isEmpty() || line.startsWith("#") || line.equals("shared")) {
      return;
    }
    if (question.matches()) {
      asked = Vocabulary.of(question.group(1), question.group(2));
      questions.put(question.group(1), asked);
    } else if (line.startsWith("> ")) {
      asked.example(line.substring(2));
    } else if (line.startsWith("keys ")) {
      Arrays.stream(line.substring(5).split(" ")).forEach(asked::key);
    } else if (line.startsWith("use ")) {
      Arrays.stream(line.substring(4).split(" "))
          .forEach(name -> asked.with(Objects.requireNonNull(shared.get(name), name)));
    } else if (word.matches()) {
      add(word);
    } else {
      positional = line.equals("POSITIONAL");
      heading = positional ? Heading.COUNTS : Heading.valueOf(line);
    }
  }

  private void add(Matcher written) {
    String parameter = written.group(2) == null ? "" : written.group(2);
    Word.Many one = parameter.isEmpty() ? Word.Many.FLAG : Word.Many.ONE;
    Word word =
        new Word(
            heading,
            written.group(1),
            written.group(3) == null ? one : Word.Many.SEVERAL,
            parameter,
            METHODS
                .matcher(written.group(4))
                .replaceAll(
                    list -> Objects.requireNonNull(methods.get(list.group(1)), written.group())));
    if (positional) {
      asked.positional(word);
    } else if (questions.isEmpty()) {
      shared.put(word.name(), word);
    } else {
      asked.with(word);
    }
  }

  private static Map<String, String> methods() {
    return Map.ofEntries(
        Map.entry("rate.tests", ids(ProportionTest.values())),
        Map.entry("rate.usual-tests", and(RateSettings.against(0.5).tests())),
        Map.entry("rate.intervals", ids(ProportionInterval.values())),
        Map.entry("rate.usual-intervals", and(RateSettings.against(0.5).intervals())),
        Map.entry("compare.tests", ids(TwoProportionTest.values())),
        Map.entry("compare.usual-tests", and(CompareSettings.usual().tests())),
        Map.entry("difference.intervals", ids(DifferenceInterval.values())),
        Map.entry("ratio.intervals", ids(RatioInterval.values())),
        Map.entry("odds-ratio.intervals", ids(OddsRatioInterval.values())),
        Map.entry("pairs.tests", ids(PairedTest.values())),
        Map.entry("pairs.intervals", ids(PairedDifferenceInterval.values())),
        Map.entry("shares.tests", ids(SharesTest.values())),
        Map.entry("shares.usual-tests", and(SharesSettings.usual().tests())),
        Map.entry("cross.tests", ids(TableTest.values())));
  }

  private static String ids(Method... methods) {
    return Arrays.stream(methods).map(Method::id).collect(Collectors.joining(", "));
  }

  private static String and(List<? extends Method> methods) {
    return methods.stream().map(Method::id).collect(Collectors.joining(" and "));
  }
}
