package dev.tavik.fuzz;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * What holds of every answer, whatever was asked: {@code -Dtavik.random=100000} asks more than the
 * usual hundred questions, the profile {@code proofs} 3,000, and 20,000 of those that search.
 */
class RandomQuestionsTest {
  private static final int QUESTIONS = questions(3000);
  private static final int SEARCHES = questions(20_000);
  private static final long SEED = Long.getLong("tavik.random.seed", 20_261_127L);

  private static int questions(int proofs) {
    return Integer.getInteger("tavik.random", Boolean.getBoolean("tavik.proofs") ? proofs : 100);
  }

  /** Words of an algorithm are no words for a reader. */
  private static final String[] INNER = {
    "NaN",
    "Infinity",
    "Infinite",
    "null,null",
    "settle",
    "did not",
    "no root",
    "no peak",
    "within 1e-"
  };

  private static Asked ask(List<String> words, Map<String, byte[]> files) {
    List<String> all = new ArrayList<>(words);
    all.add("--json");
    return Asked.of(all, files);
  }

  private static JsonNode json(List<String> words) {
    Asked answer = ask(words, Map.of());
    assertThat(answer.status()).as(words + ": " + answer.err()).isZero();
    return answer.json();
  }

  @Test
  void everyAnswerIsSound() {
    assertThat(answered(QUESTIONS, RandomQuestions::next)).isGreaterThan(QUESTIONS * 3 / 4);
  }

  @Test
  void everySearchIsAnsweredInPlainWords() {
    assertThat(answered(SEARCHES, RandomQuestions::search)).isGreaterThan(SEARCHES / 2);
  }

  /** How many of the questions have an answer; what all answers must hold is held of each. */
  private static int answered(int count, Function<RandomQuestions, List<String>> next) {
    RandomQuestions questions = new RandomQuestions(SEED);
    int answered = 0;
    for (int i = 0; i < count; i++) {
      List<String> words = next.apply(questions);
      Map<String, byte[]> files = questions.files();
      String what = words + table(words, files);
      Asked answer = ask(words, files).sound();
      assertThat(answer.status()).as(what + ": " + answer.err()).isIn(0, 2, 3);
      assertThat(answer.err()).as(what).doesNotContain(INNER);
      if (answer.status() == 0) {
        answered++;
        Asked text = Asked.of(words, files).sound();
        assertThat(text.status()).as(what).isZero();
        assertThat(text.out()).as(what).doesNotContain(INNER);
        if (i % EVERY_SO_MANY == 0) {
          printed(text.out()).forEach(each -> isAccepted(each, files));
        }
      }
    }
    return answered;
  }

  private static String table(List<String> words, Map<String, byte[]> files) {
    return words.contains("--data")
        ? "\n" + new String(files.get("survey.csv"), StandardCharsets.UTF_8)
        : "";
  }

  /** Commands that are printed for the next step; a long one goes on behind a backslash. */
  private static List<String> printed(String out) {
    return out.replaceAll(" \\\\\\n\\s*", " ")
        .lines()
        .map(String::strip)
        .map(line -> line.startsWith("tavik ") ? line : line.replaceFirst("^.*: (?=tavik )", ""))
        .filter(line -> line.startsWith("tavik "))
        .toList();
  }

  /** What Tavik prints it takes. */
  private static void isAccepted(String command, Map<String, byte[]> files) {
    List<String> words = new ArrayList<>();
    Matcher word = WORD.matcher(command.substring("tavik ".length()));
    while (word.find()) {
      words.add(word.group().replaceAll("[\"']", ""));
    }
    Asked answer = Asked.of(words, files).sound();
    assertThat(answer.status()).as(command + ": " + answer.err()).isZero();
  }

  private static final Pattern WORD = Pattern.compile("(?:[^\\s\"']|\"[^\"]*\"|'[^']*')+");

  private static final int EVERY_SO_MANY = 4;

  private static final Map<String, String> TURNED = Map.of("less", "greater", "greater", "less");

  @Test
  void mirroredGroupsAndOutcomesMirror() {
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
  void aWiderLevelIsWider() {
    RandomQuestions questions = new RandomQuestions(SEED + 1);
    int seen = 0;
    while (seen < QUESTIONS / 20) {
      List<String> words = new ArrayList<>(questions.next());
      boolean intervals = List.of("rate", "compare", "shares").contains(words.get(0));
      if (!intervals
          || words.contains("--level")
          || words.contains("--data")
          || words.contains("--bayes")
          || words.contains("--simulate")
          || ask(words, questions.files()).status() != 0) {
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
        double lower = Soundness.number(one.get("lower"), Double.NEGATIVE_INFINITY);
        double upper = Soundness.number(one.get("upper"), Double.POSITIVE_INFINITY);
        assertThat(Soundness.number(other.get("lower"), Double.NEGATIVE_INFINITY))
            .as(words + ": " + one)
            .isLessThanOrEqualTo(lower + Soundness.slack(lower));
        assertThat(Soundness.number(other.get("upper"), Double.POSITIVE_INFINITY))
            .as(words + ": " + one)
            .isGreaterThanOrEqualTo(upper - Soundness.slack(upper));
      }
    }
  }

  private static List<String> with(List<String> words, String level) {
    List<String> more = new ArrayList<>(words);
    more.addAll(List.of("--level", level));
    return more;
  }
}
