package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * What holds of every answer, whatever was asked: {@code -Dtavik.random=100000} asks more than the
 * usual two thousand questions.
 */
class RandomQuestionsTest {
  private static final int QUESTIONS = Integer.getInteger("tavik.random", 2000);
  private static final long SEED = Long.getLong("tavik.random.seed", 20_261_127L);

  /** A question that runs away, whatever else the machine does: a budget of 5 s is the default. */
  private static final double RUNAWAY_SECONDS = 60;

  private static final double TIE = 1e-7;
  private static final ObjectMapper MAPPER = new ObjectMapper();

  /** Centred elsewhere than at what was observed, or (noncentral) free of its upward bias. */
  private static final List<String> SHRUNK =
      List.of(
          "agresti-coull",
          "agresti-caffo",
          "gart",
          "jeffreys",
          "bonett-price",
          "wald-cc",
          "noncentral");

  private static double seconds() {
    return ProcessHandle.current().info().totalCpuDuration().orElseThrow().toMillis() / 1e3;
  }

  private static CommandLine ask(List<String> words) {
    List<String> all = new ArrayList<>(words);
    all.add("--json");
    return CommandLine.run(all.toArray(String[]::new));
  }

  private static JsonNode json(List<String> words) throws IOException {
    CommandLine answer = ask(words);
    assertThat(answer.status()).as(words + ": " + answer.err()).isZero();
    return MAPPER.readTree(answer.out());
  }

  @Test
  void everyAnswerIsSound() throws IOException {
    RandomQuestions questions = new RandomQuestions(SEED);
    int answered = 0;
    for (int i = 0; i < QUESTIONS; i++) {
      List<String> words = questions.next();
      double before = seconds();
      CommandLine answer = ask(words);
      assertThat(seconds() - before).as(words + ": seconds").isLessThan(RUNAWAY_SECONDS);
      assertThat(answer.status()).as(words + ": " + answer.err()).isIn(0, 2);
      if (answer.status() == 0) {
        answered++;
        JsonNode json = MAPPER.readTree(answer.out());
        assertThat(answer.out())
            .as("%s", words)
            .doesNotContain(": \"NaN\"", ": \"Infinity\"", ": \"-Infinity\"");
        each(json, node -> sound(words, node, json));
        CommandLine text = CommandLine.run(words.toArray(String[]::new));
        assertThat(text.status()).as("%s", words).isZero();
        assertThat(text.out()).as("%s", words).doesNotContain("NaN", "Infinity", "null,null");
      } else {
        assertThat(answer.err()).as("%s", words).startsWith("tavik ").doesNotContain("Exception");
        assertThat(answer.err().lines()).as("%s", words).hasSizeLessThanOrEqualTo(2);
      }
    }
    assertThat(answered).isGreaterThan(QUESTIONS * 3 / 4);
  }

  private static void each(JsonNode node, Consumer<JsonNode> check) {
    check.accept(node);
    node.forEach(child -> each(child, check));
  }

  private static void sound(List<String> words, JsonNode node, JsonNode whole) {
    if (node.has("pValue") && node.has("log10PValue")) {
      double p = node.get("pValue").asDouble();
      assertThat(p).as(words + ": " + node).isBetween(0.0, 1.0);
      if (p > 1e-300) {
        assertThat(node.get("log10PValue").asDouble())
            .as(words + ": " + node)
            .isCloseTo(Math.log10(p), within(1e-9 * Math.max(1, -Math.log10(p))));
      }
      JsonNode alpha = whole.at("/hypothesis/alpha");
      if (alpha.isNumber() && node.has("rejects")) {
        assertThat(node.get("rejects").asBoolean())
            .as(words + ": " + node)
            .isEqualTo(p <= alpha.asDouble() * (1 + TIE));
      }
    }
    if (node.has("lower") && node.has("upper") && node.has("level")) {
      double lower = number(node.get("lower"), Double.NEGATIVE_INFINITY);
      double upper = number(node.get("upper"), Double.POSITIVE_INFINITY);
      if (!node.path("throughInfinity").asBoolean()) {
        assertThat(lower).as(words + ": " + node).isLessThanOrEqualTo(upper);
      }
    }
    if (node.has("intervals") && node.has("estimates")) {
      node.get("intervals").forEach(interval -> contains(words, interval, node.get("estimates")));
    }
  }

  private static double number(JsonNode node, double otherwise) {
    return node.isNumber() ? node.asDouble() : otherwise;
  }

  /** What was observed lies between two-sided limits, unless their method shrinks it. */
  private static void contains(List<String> words, JsonNode interval, JsonNode estimates) {
    String method = interval.get("method").asText();
    boolean twoSided = interval.path("side").asText().equals("two-sided");
    // A number needed whose interval passes through infinity holds what lies outside of its ends.
    if (interval.has("throughInfinity")
        || !twoSided
        || SHRUNK.contains(method)
        || interval.path("level").asDouble() < 0.5) {
      return;
    }
    boolean conditional = method.startsWith("conditional");
    String quantity = (conditional ? "conditional-" : "") + interval.path("quantity").asText();
    List<JsonNode> own = new ArrayList<>();
    estimates.forEach(
        each -> {
          if (each.get("quantity").asText().equals(quantity)) {
            own.add(each);
          }
        });
    if (own.size() == 1 && own.get(0).get("value").isNumber()) {
      double value = own.get(0).get("value").asDouble();
      double slack = slack(value);
      assertThat(number(interval.get("lower"), Double.NEGATIVE_INFINITY))
          .as(words + ": " + interval)
          .isLessThanOrEqualTo(value + slack);
      assertThat(number(interval.get("upper"), Double.POSITIVE_INFINITY))
          .as(words + ": " + interval)
          .isGreaterThanOrEqualTo(value - slack);
    }
  }

  private static final Map<String, String> TURNED = Map.of("less", "greater", "greater", "less");

  @Test
  void mirroredGroupsAndOutcomesMirror() throws IOException {
    Random random = new Random(SEED);
    for (int i = 0; i < QUESTIONS / 20; i++) {
      long n1 = 1L + random.nextInt(i % 3 == 0 ? 9 : 400);
      long n2 = 1L + random.nextInt(i % 3 == 1 ? 9 : 400);
      long x1 = random.nextInt((int) n1 + 1);
      long x2 = random.nextInt((int) n2 + 1);
      String direction = List.of("two-sided", "less", "greater").get(random.nextInt(3));
      List<String> more = List.of("--tests", "all", "--intervals", "newcombe,mee,wald");
      JsonNode asked = json(compare(x1, n1, x2, n2, direction, more));
      String turned = TURNED.getOrDefault(direction, direction);
      JsonNode groups = json(compare(x2, n2, x1, n1, turned, more));
      JsonNode outcomes = json(compare(n1 - x1, n1, n2 - x2, n2, turned, more));
      for (JsonNode other : List.of(groups, outcomes)) {
        assertThat(other.at("/tests")).hasSameSizeAs(asked.at("/tests"));
        for (int k = 0; k < asked.at("/tests").size(); k++) {
          JsonNode test = asked.at("/tests/" + k);
          if (test.has("pValue")) {
            double p = test.get("pValue").asDouble();
            assertThat(other.at("/tests/" + k + "/pValue").asDouble())
                .as("%d/%d %d/%d %s %s", x1, n1, x2, n2, direction, test)
                .isCloseTo(p, within(1e-9 * p + 1e-300));
          }
        }
        for (int k = 0; k < asked.at("/intervals").size(); k++) {
          JsonNode interval = asked.at("/intervals/" + k);
          JsonNode mirrored = other.at("/intervals/" + k);
          if (interval.get("quantity").asText().equals("difference")) {
            assertThat(mirrored.get("lower").asDouble())
                .as("%d/%d %d/%d %s", x1, n1, x2, n2, interval)
                .isCloseTo(-interval.get("upper").asDouble(), within(1e-9));
          }
        }
      }
    }
  }

  private static List<String> compare(
      long x1, long n1, long x2, long n2, String direction, List<String> more) {
    return Stream.concat(
            Stream.of(
                "compare", "A=" + x1 + "/" + n1, "B=" + x2 + "/" + n2, "--alternative", direction),
            more.stream())
        .toList();
  }

  @Test
  void aWiderLevelIsWider() throws IOException {
    RandomQuestions questions = new RandomQuestions(SEED + 1);
    int seen = 0;
    while (seen < QUESTIONS / 20) {
      List<String> words = new ArrayList<>(questions.next());
      boolean intervals = List.of("rate", "compare", "shares").contains(words.get(0));
      if (!intervals
          || words.contains("--level")
          || words.contains("--bayes")
          || words.contains("--simulate")
          || ask(words).status() != 0) {
        continue;
      }
      seen++;
      JsonNode narrow = json(with(words, "80%"));
      JsonNode wide = json(with(words, "99%"));
      for (int k = 0; k < narrow.at("/intervals").size(); k++) {
        JsonNode one = narrow.at("/intervals/" + k);
        JsonNode other = wide.at("/intervals/" + k);
        if (one.path("quantity").asText().equals("number-needed")) {
          continue;
        }
        double lower = number(one.get("lower"), Double.NEGATIVE_INFINITY);
        double upper = number(one.get("upper"), Double.POSITIVE_INFINITY);
        assertThat(number(other.get("lower"), Double.NEGATIVE_INFINITY))
            .as(words + ": " + one)
            .isLessThanOrEqualTo(lower + slack(lower));
        assertThat(number(other.get("upper"), Double.POSITIVE_INFINITY))
            .as(words + ": " + one)
            .isGreaterThanOrEqualTo(upper - slack(upper));
      }
    }
  }

  /** What a search for a limit may be off. */
  private static double slack(double limit) {
    return Double.isInfinite(limit) ? 0 : 1e-9 * Math.abs(limit) + 1e-15;
  }

  private static List<String> with(List<String> words, String level) {
    List<String> more = new ArrayList<>(words);
    more.addAll(List.of("--level", level));
    return more;
  }
}
