package dev.tavik.fuzz;

import java.util.ArrayList;
import java.util.List;
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
  private static final List<String> PRIORS = List.of("1,1", "0.5,0.5", "1/3,1/3", "20,3");

  private final Random random;

  RandomQuestions(long seed) {
    this.random = new Random(seed);
  }

  /** The words of one more question. */
  List<String> next() {
    List<String> words =
        switch (random.nextInt(14)) {
          case 0, 1 -> rate();
          case 2 -> rates();
          case 3, 4, 5 -> compare();
          case 6 -> groups();
          case 7 -> paired();
          case 8 -> shares();
          case 9, 10 -> cross();
          case 11 -> plan();
          case 12 -> tail();
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

  private List<String> plan() {
    List<String> words =
        switch (random.nextInt(4)) {
          case 0 ->
              new ArrayList<>(
                  List.of("plan", "rate", "--against", one(RATES), "--expect", one(RATES)));
          case 1 ->
              new ArrayList<>(
                  List.of("plan", "compare", "--base", one(RATES), "--expect", one(RATES)));
          case 2 ->
              new ArrayList<>(
                  List.of("plan", "table", "--df", "" + (1 + random.nextInt(30)), "--w", "0.2"));
          default ->
              new ArrayList<>(
                  List.of("plan", "shares", "--against", "40%,30%,30%", "--expect", "45%,30%,25%"));
        };
    if (chance(2)) {
      words.addAll(List.of("--power", one(List.of("80%", "90%,99%"))));
    } else {
      words.addAll(List.of("--n", String.valueOf(size(12))));
    }
    maybe(words, 3, "--alpha", one(List.of("5%", "1%")));
    if (words.get(1).equals("rate") || words.get(1).equals("compare")) {
      maybe(words, 4, "--sides", "one-sided");
    }
    return words;
  }

  private List<String> tail() {
    List<String> words =
        new ArrayList<>(
            switch (random.nextInt(8)) {
              case 0 -> List.of("tail", "normal");
              case 1 -> List.of("tail", "t", "--df", one(List.of("0.5", "1", "12", "1000000")));
              case 2 ->
                  List.of("tail", "chi-square", "--df", one(List.of("0.1", "1", "50", "1e6")));
              case 3 -> List.of("tail", "f", "--df", one(List.of("1,1", "2,30", "100,3")));
              case 4 -> List.of("tail", "binomial", "--n", "" + size(13), "--p", one(RATES));
              case 5 -> List.of("tail", "poisson", "--mean", one(List.of("0.1", "3.5", "1e9")));
              case 6 -> List.of("tail", "beta", "--shape", one(List.of("1,1", "0.5,9", "30,300")));
              default ->
                  List.of(
                      "tail",
                      "chi-square",
                      "--df",
                      "3",
                      "--noncentrality",
                      one(List.of("2", "900")));
            });
    if (chance(2)) {
      words.addAll(List.of("--area", one(List.of("5%", "2.5%", "1e-100", "0.5"))));
    } else {
      words.addAll(List.of("--value", one(List.of("0", "0.3", "1", "7", "1e4", "1e30", "1e-30"))));
    }
    return words;
  }

  private List<String> weigh() {
    return chance(2)
        ? List.of("assess", "rate", "--n", "" + size(9), "--p", one(RATES))
        : List.of("assess", "compare", "--n", "12,17", "--p", one(List.of("5%", "30%")));
  }
}
