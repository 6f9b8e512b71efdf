package dev.tavik.fuzz;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Makes up questions of every kind: counts from the smallest to the largest, at their ends and next
 * to them, null values far and near, and every word that goes with a kind.
 */
final class RandomQuestions {
  private static final long[] SIZES = {
    1, 2, 3, 5, 9, 20, 47, 100, 400, 1200, 10_000, 1_000_000, 1_000_000_000, 1_000_000_000_000L
  };

  /** Methods that go through all outcomes take their time with larger sizes. */
  private static final int MODERATE = 10;

  private static final List<String> RATES =
      List.of("0.1%", "1/1000000", "1%", "5%", "1/3", "50%", "0.9", "99.9%", "0.999999");

  private static final List<String> LEVELS = List.of("50%", "80%", "95%", "99%", "99.9999%");
  private static final List<String> ALPHAS = List.of("5%", "1%", "0.1", "0.3", "1e-10", "0.9");
  private static final List<String> ALTERNATIVES = List.of("two-sided", "less", "greater");
  private static final List<String> RATIOS =
      List.of("0.001", "0.5", "1", "2.5", "12", "300", "1e6", "1e9");

  private static final List<String> EFFECTS = List.of("0.2", "0.001", "3");
  private static final List<String> HALF_WIDTHS = List.of("0.5%", "2%", "1/1000000", "30%", "0.49");
  private static final List<String> AREAS = List.of("5%", "2.5%", "1e-100", "0.5", "0.999999");

  private static final List<String> VALUES =
      List.of("0", "0.3", "1", "7", "1e4", "1e30", "1e-30", "-2");

  private static final List<String> ODD_WEIGHTS = List.of("0.001", "1", "3.7", "0", "1e9");

  private static final List<String> DESIGNS =
      List.of(
          "weight=w",
          "weight=w,cluster=c",
          "weight=w,strata=s,cluster=c",
          "weight=w,strata=s,cluster=c,nest",
          "weight=w,strata=s,lone=centre",
          "strata=s,cluster=c,lone=certain",
          "strata=s,population=200",
          "weight=w,replicates=r*,method=jackknife",
          "weight=w,replicates=r*,method=balanced");

  private static final List<String> PRIORS = List.of("1,1", "0.5,0.5", "1/3,1/3", "20,3");

  private final Random random;
  private final Map<String, byte[]> files = new HashMap<>();

  RandomQuestions(long seed) {
    this.random = new Random(seed);
  }

  /** What the last question's words name. */
  Map<String, byte[]> files() {
    return files;
  }

  /** The words of one more question. */
  List<String> next() {
    List<String> words =
        switch (random.nextInt(15)) {
          case 0, 1 -> rate();
          case 2 -> rates();
          case 3, 4, 5 -> compare();
          case 6 -> groups();
          case 7 -> paired();
          case 8 -> shares();
          case 9, 10 -> cross();
          case 11 -> plan();
          case 12 -> tail();
          case 13 -> design();
          default -> weigh();
        };
    return words;
  }

  private <T> T one(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private boolean chance(int in) {
    return random.nextInt(in) == 0;
  }

  private long size(int largest) {
    long size = SIZES[random.nextInt(largest)];
    return Math.max(1, chance(2) ? size : 1 + (long) (random.nextDouble() * size));
  }

  /** None, all, next to either, or anything between. */
  private long successes(long n) {
    return switch (random.nextInt(6)) {
      case 0 -> 0;
      case 1 -> n;
      case 2 -> Math.min(1, n);
      case 3 -> n - Math.min(1, n);
      default -> (long) (random.nextDouble() * (n + 1));
    };
  }

  private String tally(int largest) {
    long n = size(largest);
    return successes(n) + "/" + n;
  }

  private void maybe(List<String> words, int in, String option, String value) {
    if (chance(in)) {
      words.add(option);
      words.add(value);
    }
  }

  private void strictness(List<String> words) {
    maybe(words, 3, "--alternative", one(ALTERNATIVES));
    maybe(words, 3, "--alpha", one(ALPHAS));
    maybe(words, 3, "--level", one(LEVELS));
  }

  private List<String> rate() {
    List<String> words =
        new ArrayList<>(List.of("rate", tally(SIZES.length), "--against", one(RATES)));
    strictness(words);
    maybe(words, 2, "--tests", "all");
    maybe(words, 2, "--intervals", "all");
    bayes(words);
    if (chance(5)) {
      words.add("--working");
    } else {
      maybe(words, 8, "--simulate", "500");
    }
    return words;
  }

  private void bayes(List<String> words) {
    if (chance(3)) {
      words.add("--bayes");
      maybe(words, 2, "--prior", one(PRIORS));
      maybe(words, 4, "--region", "2%,7%");
    }
  }

  private List<String> rates() {
    List<String> words = new ArrayList<>(List.of("rate", "--against", one(RATES)));
    IntStream.range(0, 2 + random.nextInt(6)).forEach(i -> words.add("g" + i + "=" + tally(12)));
    strictness(words);
    maybe(words, 2, "--tests", "all");
    bayes(words);
    return words;
  }

  private List<String> compare() {
    boolean exhaustive = chance(2);
    int largest = exhaustive ? MODERATE : SIZES.length;
    List<String> words =
        new ArrayList<>(List.of("compare", "A=" + tally(largest), "B=" + tally(largest)));
    strictness(words);
    if (exhaustive) {
      words.addAll(List.of("--tests", "all"));
    }
    maybe(words, 2, "--intervals", "all");
    switch (random.nextInt(5)) {
      case 0 -> words.addAll(List.of("--against", one(List.of("10%", "-0.3", "0.001"))));
      case 1 -> {
        words.removeIf(word -> word.equals("--alternative") || ALTERNATIVES.contains(word));
        words.addAll(List.of("--margin", one(List.of("3%", "20%")), "--show", "equivalent"));
      }
      default -> bayes(words);
    }
    if (chance(6)) {
      words.add("--working");
    }
    return words;
  }

  private List<String> groups() {
    List<String> words = new ArrayList<>(List.of("compare"));
    IntStream.range(0, 3 + random.nextInt(6)).forEach(i -> words.add("g" + i + "=" + tally(12)));
    strictness(words);
    maybe(words, 3, "--intervals", one(List.of("koopman", "woolf", "newcombe", "all")));
    maybe(words, 3, "--baseline", "g1");
    maybe(words, 4, "--against", "10%");
    return words;
  }

  private List<String> paired() {
    List<String> words =
        new ArrayList<>(
            List.of(
                "compare",
                "--paired",
                "--cells",
                (1 + cell(12)) + " " + cell(12) + "; " + cell(12) + " " + cell(12)));
    strictness(words);
    maybe(words, 2, "--tests", "all");
    maybe(words, 2, "--intervals", "all");
    return words;
  }

  private long cell(int largest) {
    return chance(4) ? 0 : size(largest);
  }

  private List<String> shares() {
    int categories = 2 + random.nextInt(chance(4) ? 30 : 4);
    int largest = 3 + random.nextInt(9);
    List<String> words = new ArrayList<>(List.of("shares"));
    words.add("c0=" + (1 + cell(largest)));
    IntStream.range(1, categories).forEach(i -> words.add("c" + i + "=" + cell(largest)));
    words.addAll(List.of("--against", "equal"));
    maybe(words, 3, "--alpha", one(ALPHAS));
    maybe(words, 3, "--level", one(LEVELS));
    maybe(words, 2, "--tests", "all");
    maybe(words, 2, "--intervals", "all");
    if (chance(3)) {
      words.add("--bayes");
    }
    maybe(words, 8, "--simulate", "500");
    return words;
  }

  private List<String> cross() {
    int rows = 2 + random.nextInt(chance(5) ? 6 : 2);
    int columns = 2 + random.nextInt(chance(5) ? 6 : 2);
    int largest = 3 + random.nextInt(9);
    String cells =
        IntStream.range(0, rows)
            .mapToObj(
                i ->
                    IntStream.range(0, columns)
                        .mapToObj(j -> String.valueOf(i == j ? 1 + cell(largest) : cell(largest)))
                        .collect(Collectors.joining(" ")))
            .collect(Collectors.joining("; "));
    List<String> words = new ArrayList<>(List.of("cross", "--cells", cells));
    maybe(words, 3, "--alpha", one(ALPHAS));
    maybe(words, 3, "--level", one(LEVELS));
    if (rows == columns && chance(4)) {
      words.add("--paired");
      maybe(words, 2, "--ordered", "both");
      return words;
    }
    maybe(words, 3, "--ordered", one(List.of("rows", "columns", "both")));
    if (chance(3)) {
      words.addAll(List.of("--tests", "all", "--budget", "0.2"));
    }
    maybe(words, 4, "--figures", "expected");
    maybe(words, 5, "--sampling", one(List.of("free", "total", "rows", "columns")));
    maybe(words, 10, "--simulate", "500");
    if (rows > 2 && chance(5)) {
      words.add("--pairwise");
    }
    return words;
  }

  /** The words of a question that searches: for a size, a limit, or an answer by design. */
  List<String> search() {
    return switch (random.nextInt(3)) {
      case 0 -> plan();
      case 1 -> tail();
      default -> design();
    };
  }

  private List<String> plan() {
    List<String> words = new ArrayList<>(List.of("plan"));
    switch (random.nextInt(8)) {
      case 0, 1 -> {
        words.addAll(List.of("rate", "--against", one(RATES), "--expect", one(RATES)));
        maybe(words, 4, "--lot", "" + size(9));
        testPlan(words);
      }
      case 2, 3 -> {
        words.addAll(List.of("compare", "--base", one(RATES)));
        String expected = one(List.of("--expect", "--ratio", "--odds-ratio"));
        words.addAll(List.of(expected, expected.equals("--expect") ? one(RATES) : one(RATIOS)));
        maybe(words, 4, "--allocation", one(RATIOS));
        testPlan(words);
      }
      case 4 -> {
        words.addAll(List.of("table", "--df", "" + (1 + random.nextInt(30)), "--w", one(EFFECTS)));
        size(words);
      }
      case 5 -> {
        words.addAll(List.of("shares", "--against", "40%,30%,30%", "--expect", "45%,30%,25%"));
        size(words);
      }
      case 6 -> {
        words.addAll(List.of("compare", "--paired", "--first-only", one(RATES)));
        words.addAll(List.of("--second-only", one(RATES)));
        size(words);
      }
      default -> precision(words);
    }
    return words;
  }

  private void testPlan(List<String> words) {
    size(words);
    maybe(words, 4, "--sides", "one-sided");
    maybe(words, 4, "--method", "exact");
    maybe(words, 8, "--design-effect", "1.7");
  }

  private void size(List<String> words) {
    if (chance(2)) {
      words.addAll(List.of("--power", one(List.of("80%", "90%,99%"))));
    } else {
      words.addAll(List.of("--n", String.valueOf(size(12))));
    }
    maybe(words, 3, "--alpha", one(List.of("5%", "1%")));
  }

  private void precision(List<String> words) {
    if (chance(2)) {
      words.addAll(List.of("rate", "--expect", one(RATES), "--intervals"));
      words.add(one(List.of("clopper-pearson", "wilson", "jeffreys", "all")));
    } else {
      words.addAll(List.of("compare", "--base", one(RATES), "--expect", one(RATES)));
    }
    words.addAll(List.of("--half-width", one(HALF_WIDTHS)));
    maybe(words, 3, "--level", one(LEVELS));
    maybe(words, 3, "--design-effect", one(RATIOS));
    maybe(words, 3, "--response", one(RATES));
  }

  private List<String> tail() {
    List<String> words = new ArrayList<>(List.of("tail"));
    String shape = one(RATIOS) + "," + one(RATIOS);
    words.addAll(
        switch (random.nextInt(9)) {
          case 0 -> List.of("normal");
          case 1 -> List.of("t", "--df", one(RATIOS));
          case 2 -> List.of("chi-square", "--df", one(RATIOS));
          case 3 -> List.of("f", "--df", shape);
          case 4 -> List.of("binomial", "--n", "" + size(13), "--p", one(RATES));
          case 5 -> List.of("poisson", "--mean", one(RATIOS));
          case 6 -> List.of("beta", "--shape", shape);
          case 7 -> hypergeometric();
          default -> List.of("chi-square", "--df", one(RATIOS), "--noncentrality", one(RATIOS));
        });
    switch (random.nextInt(3)) {
      case 0 -> words.addAll(List.of("--area", one(AREAS)));
      case 1 -> words.addAll(List.of("--value", one(VALUES)));
      default -> words.addAll(List.of("--between", one(VALUES) + "," + one(VALUES)));
    }
    return words;
  }

  private List<String> hypergeometric() {
    long units = size(12);
    return List.of(
        "hypergeometric",
        "--population",
        "" + units,
        "--successes",
        "" + successes(units),
        "--n",
        "" + Math.max(1, successes(units)));
  }

  /** A question of a sample by design, from one row on, with weights that are hardly weights. */
  private List<String> design() {
    int rows = one(List.of(1, 2, 3, 9, 40, 150));
    int strata = one(List.of(1, 2, 5));
    int clusters = one(List.of(1, 2, 9, 100));
    List<String> weights = one(List.of(List.of("1"), List.of("1", "100000"), ODD_WEIGHTS));
    String table =
        IntStream.range(0, rows)
            .mapToObj(
                i ->
                    String.join(
                        ",",
                        one(weights),
                        "s" + random.nextInt(strata),
                        "c" + random.nextInt(clusters),
                        one(List.of("yes", "no", chance(9) ? "" : "no")),
                        "g" + random.nextInt(random.nextInt(4) + 1),
                        one(weights),
                        one(ODD_WEIGHTS),
                        one(ODD_WEIGHTS)))
            .collect(Collectors.joining("\n", "w,s,c,y,g,r1,r2,r3\n", "\n"));
    files.put("survey.csv", table.getBytes(StandardCharsets.UTF_8));
    List<String> words = new ArrayList<>();
    String success = one(List.of("yes", "no"));
    words.addAll(
        switch (random.nextInt(6)) {
          case 0 ->
              List.of("rate", "--outcome", "y", "--success", success, "--against", one(RATES));
          case 1 ->
              List.of(
                  "rate",
                  "--outcome=y",
                  "--success",
                  success,
                  "--group=g",
                  "--against",
                  one(RATES));
          case 2 -> List.of("compare", "--outcome", "y", "--success", success, "--group", "g");
          case 3 -> List.of("shares", "--outcome", "g", "--against", "equal");
          case 4 -> List.of("cross", "--rows", "y", "--columns", "g");
          default -> List.of("sweep", "--group", "g");
        });
    words.addAll(List.of("--data", "survey.csv", "--design", one(DESIGNS)));
    if (!words.contains("sweep") && !words.contains("cross")) {
      maybe(words, 2, "--intervals", "all");
      maybe(words, 3, "--level", one(LEVELS));
    }
    maybe(words, words.contains("sweep") ? 1000 : 2, "--tests", "all");
    maybe(words, 3, "--alpha", one(ALPHAS));
    return words;
  }

  private List<String> weigh() {
    return chance(2)
        ? List.of("assess", "rate", "--n", "" + size(9), "--p", one(RATES))
        : List.of("assess", "compare", "--n", "12,17", "--p", one(List.of("5%", "30%")));
  }
}
