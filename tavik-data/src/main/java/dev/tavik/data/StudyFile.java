package dev.tavik.data;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLParser;
import dev.tavik.study.Question;
import dev.tavik.study.Study;
import dev.tavik.study.Unanswered;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A file of questions, YAML or JSON. Its keys are the words of the command line's options; {@code
 * alpha} at the top holds for every question that has none of its own. A data file is found beside
 * the study file.
 *
 * <p>A question that can't be asked becomes an {@link Unanswered} in its place; the others are
 * asked all the same.
 */
public final class StudyFile {
  /** How much is shown is said when a study is run, not in the study. */
  private static final Map<String, Kind> KINDS =
      Map.of(
          "rate", new Kind(RateSpec.WORDS, RateSpec::question),
          "compare", new Kind(CompareSpec.WORDS, CompareSpec::question),
          "shares", new Kind(SharesSpec.WORDS, SharesSpec::question),
          "cross", new Kind(CrossSpec.WORDS, CrossSpec::question),
          "plan", new Kind(PlanSpec.WORDS, PlanSpec::question),
          "tail", new Kind(TailSpec.WORDS, TailSpec::question),
          "weigh", new Kind(WeighSpec.WORDS, WeighSpec::question));

  private record Kind(Set<String> words, BiFunction<Spec, Opening, Question> maker) {
    Set<String> keys() {
      return words.stream()
          .filter(word -> !word.equals("working"))
          .collect(Collectors.toUnmodifiableSet());
    }
  }

  private static final Set<String> TOP = Set.of("study", "alpha", "questions");

  private final String name;
  private final Opening opening;

  private StudyFile(String name, Opening opening) {
    this.name = name;
    this.opening = opening;
  }

  /**
   * Reads a study.
   *
   * @param name the file's path; {@code .json} is read as JSON, everything else as YAML
   * @param opening how the file, and the data files it names, are opened
   * @return the study
   * @throws DataException if the file can't be read or isn't a study
   */
  public static Study read(String name, Opening opening) {
    return new StudyFile(name, opening).read();
  }

  private Study read() {
    JsonNode root = tree();
    if (!root.isObject()) {
      throw malformed(
          "is not a study; a study has the keys study, alpha and questions, questions being a list");
    }
    requireKnown(root);
    JsonNode questions = root.path("questions");
    if (!questions.isArray() || questions.isEmpty()) {
      throw malformed("has no questions; 'questions' must be a list with at least one entry");
    }
    List<Question> asked = new ArrayList<>();
    for (int i = 0; i < questions.size(); i++) {
      asked.add(question(i + 1, questions.get(i), root.get("alpha")));
    }
    return new Study(root.path("study").asText(""), asked);
  }

  private JsonNode tree() {
    ObjectMapper mapper =
        name.toLowerCase(Locale.ROOT).endsWith(".json") ? new ObjectMapper() : yaml();
    mapper
        .enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
        .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);
    try (InputStream in = opening.open(name)) {
      return mapper.readTree(in);
    } catch (JsonProcessingException e) {
      String at =
          e.getLocation() == null
              ? ""
              : String.format(
                  ", line %d, column %d",
                  e.getLocation().getLineNr(), e.getLocation().getColumnNr());
      throw new DataException(
          DataException.Code.MALFORMED,
          name + at + ": " + plain(String.valueOf(e.getOriginalMessage())));
    } catch (IOException e) {
      throw DataException.unreadable(name, e);
    }
  }

  /** The levels yes and no stay words. */
  private static ObjectMapper yaml() {
    return YAMLMapper.builder()
        .enable(YAMLParser.Feature.PARSE_BOOLEAN_LIKE_WORDS_AS_STRINGS)
        .build();
  }

  /** A parser's message without the excerpts of the file, which are indented. */
  private static String plain(String message) {
    return message
        .lines()
        .filter(line -> !line.isBlank() && !line.startsWith(" "))
        .collect(Collectors.joining(", "));
  }

  private Question question(int number, JsonNode node, @Nullable JsonNode alpha) {
    String kind = node.path("ask").asText("");
    String label = node.path("label").asText("");
    try {
      if (!node.isObject()) {
        throw new SpecException("a question must be a mapping with 'ask' and its keys");
      }
      Kind known = KINDS.get(kind);
      if (known == null) {
        throw new SpecException(
            kind.isEmpty()
                ? "'ask' is needed: it says what kind of question this is, rate, compare, shares,"
                    + " cross, plan, tail or weigh"
                : "ask must be rate, compare, shares, cross, plan, tail or weigh, got '"
                    + kind
                    + "'");
      }
      Map<String, List<String>> values = new LinkedHashMap<>();
      if (alpha != null && known.words().contains("alpha")) {
        values.put("alpha", texts("alpha", alpha));
      }
      for (Map.Entry<String, JsonNode> entry : node.properties()) {
        values.put(entry.getKey(), texts(entry.getKey(), entry.getValue()));
      }
      values.remove("ask");
      requireKnown(values.keySet(), known.keys());
      return known.maker().apply(new Spec(values, Spec.Wording.KEY), this::openBeside);
    } catch (DataException e) {
      return unanswered(number, kind, label, e.code().id(), String.valueOf(e.getMessage()));
    } catch (IllegalArgumentException e) {
      return unanswered(number, kind, label, "question-malformed", String.valueOf(e.getMessage()));
    }
  }

  private Question unanswered(int number, String kind, String label, String code, String message) {
    Unanswered answer =
        new Unanswered(
            kind, label, code, String.format("%s, question %d: %s", name, number, message));
    return () -> answer;
  }

  /** A data file named by a study lies beside it, unless its path is absolute. */
  private InputStream openBeside(String data) throws IOException {
    Path beside = Path.of(name).resolveSibling(data);
    return opening.open(beside.toString());
  }

  /** The values of a key: one, a list, or a mapping as {@code name=value}. */
  private static List<String> texts(String key, JsonNode node) {
    List<String> texts = new ArrayList<>();
    if (node.isArray()) {
      node.forEach(each -> texts.add(each.isArray() ? row(key, each) : scalar(key, each)));
    } else if (node.isObject()) {
      node.properties()
          .forEach(each -> texts.add(each.getKey() + "=" + scalar(key, each.getValue())));
    } else {
      texts.add(scalar(key, node));
    }
    return texts;
  }

  /** A row of cells. */
  private static String row(String key, JsonNode node) {
    List<String> cells = new ArrayList<>();
    node.forEach(each -> cells.add(scalar(key, each)));
    return String.join(" ", cells);
  }

  private static String scalar(String key, JsonNode node) {
    if (!node.isValueNode() || node.isNull()) {
      throw new SpecException(
          key + " must have a value, a list of values or a mapping, got " + node);
    }
    return node.isBigDecimal() ? node.decimalValue().toPlainString() : node.asText();
  }

  private void requireKnown(JsonNode root) {
    List<String> keys = new ArrayList<>();
    root.fieldNames().forEachRemaining(keys::add);
    try {
      requireKnown(new LinkedHashSet<>(keys), TOP);
    } catch (SpecException e) {
      throw malformed("is no study: " + e.getMessage());
    }
  }

  private static void requireKnown(Set<String> keys, Set<String> known) {
    for (String key : keys) {
      if (!known.contains(key)) {
        List<String> sorted = known.stream().sorted().toList();
        throw new SpecException("there is no key '" + key + "'" + Names.hint(key, sorted));
      }
    }
  }

  private DataException malformed(String found) {
    return new DataException(DataException.Code.MALFORMED, name + " " + found);
  }
}
