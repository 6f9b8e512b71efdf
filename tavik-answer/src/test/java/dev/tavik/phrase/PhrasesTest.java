package dev.tavik.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Verdict;
import dev.tavik.association.TableTest;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.planning.Sizes;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import java.io.IOException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Every sentence, rendered at 0, 1 and 2, and the main ones to the letter. */
class PhrasesTest {
  private static final List<Class<?>> KINDS =
      List.of(
          Assumptions.class,
          BayesFactorPhrases.class,
          Claims.class,
          ComparisonVerdicts.class,
          DesignAssumptions.class,
          DesignCautions.class,
          IntervalPhrases.class,
          PairedVerdicts.class,
          PlanVerdicts.class,
          RateVerdicts.class,
          Reasons.class,
          SampleCautions.class,
          Sentences.class,
          ShareVerdicts.class,
          SourceCautions.class,
          SweepVerdicts.class,
          TableVerdicts.class,
          TestCautions.class);

  private static final String NOUN =
      "trial|unit|row|group|pair|column|cell|category|cluster|layer|observation|success|failure"
          + "|degree|draw|table|test|tile|judgement|time";

  private static final Pattern SEVERAL_OF_ONE =
      Pattern.compile(
          "(?<![\\d.,/x-])1 (?:(?:" + NOUN + ")(?:s|es)|categories|discordant pairs)\\b");
  private static final Pattern ONE_OF_SEVERAL =
      Pattern.compile("(?<![\\d.,/-])[02] (?:discordant )?(?:" + NOUN + ")\\b(?!s|es)");
  private static final Pattern VERB_OF_ONE =
      Pattern.compile(
          "(?<![\\d.,/-]|alpha )1 (?:(?:"
              + NOUN
              + ") )?(?:are|have|were|do|weigh|reject|stand)\\b");
  private static final Pattern VERB_OF_SEVERAL =
      Pattern.compile(
          "(?<![\\d.,/-]|alpha |of )[02] (?:(?:"
              + NOUN
              + ")e?s )?(?:is|has|was|does|weighs|stands)\\b");
  private static final Pattern UNFINISHED =
      Pattern.compile("null(?! |,|;|s)|%[sd]|  | [,;.:]|\\.\\.|,,|;;|NaN|\\(\\)|: *$");

  static Stream<Method> sentences() {
    return KINDS.stream()
        .flatMap(kind -> Arrays.stream(kind.getDeclaredMethods()))
        .filter(each -> Modifier.isStatic(each.getModifiers()))
        .filter(each -> !Modifier.isPrivate(each.getModifiers()) && !each.isSynthetic());
  }

  /** What is private is part of these; whatever the arguments, numbers and nouns go together. */
  @ParameterizedTest
  @MethodSource("sentences")
  void aSentenceIsRightAtNoneOneAndTwo(Method sentence) throws ReflectiveOperationException {
    sentence.setAccessible(true);
    for (int number = 0; number <= 2; number++) {
      for (int variant = 0; variant < 24; variant++) {
        List<@Nullable Object> arguments = new ArrayList<>();
        Type[] types = sentence.getGenericParameterTypes();
        for (int i = 0; i < types.length; i++) {
          arguments.add(argument(types[i], number, variant / (1 << (i % 3)) + i));
        }
        for (String text : texts(sentence.invoke(null, arguments.toArray()))) {
          assertThat(text)
              .as("%s%s", sentence.getName(), arguments)
              .doesNotContainPattern(SEVERAL_OF_ONE)
              .doesNotContainPattern(ONE_OF_SEVERAL)
              .doesNotContainPattern(VERB_OF_ONE)
              .doesNotContainPattern(VERB_OF_SEVERAL)
              .doesNotContainPattern(UNFINISHED);
        }
      }
    }
  }

  private static List<String> texts(Object said) {
    if (said instanceof Caution caution) {
      // An argument in words may stand at either end.
      assertThat(caution.message()).matches("(?:[A-Z0-9']|kiln|p ).*(?:\\.|kiln)");
      assertThat(caution.ofSeveral()).matches("(?:[A-Z0-9']|kiln|p ).*(?:\\.|kiln)");
      return List.of(caution.message(), caution.ofSeveral());
    }
    if (said instanceof Condition condition) {
      assertThat(condition.detail()).doesNotEndWith(".");
      return List.of(condition.name(), condition.detail());
    }
    if (said instanceof Verdict verdict) {
      assertThat(verdict.sentence()).endsWith(".");
      return List.of(verdict.text(), verdict.sentence());
    }
    return said instanceof List<?> list
        ? list.stream().flatMap(each -> texts(each).stream()).toList()
        : List.of(String.valueOf(said));
  }

  /** An argument of a type: counts are the number, the rest one of what there is. */
  private static @Nullable Object argument(Type type, int number, int variant) {
    if (type instanceof WildcardType wild) {
      return argument(wild.getUpperBounds()[0], number, variant);
    }
    if (type instanceof ParameterizedType generic) {
      Type of = generic.getActualTypeArguments()[0];
      if (generic.getRawType() == List.class) {
        return of == String.class
            ? List.of("North", "South", "Tunnel").subList(0, Math.max(1, number))
            : IntStream.range(0, Math.max(1, number))
                .mapToObj(i -> argument(of, number, variant + i))
                .toList();
      }
      if (generic.getRawType() == Optional.class) {
        return variant % 2 == 0
            ? Optional.empty()
            : Optional.ofNullable(argument(of, number, variant));
      }
      return generic.getRawType() == Map.class
          ? Map.of("grade", number + 1L)
          : (Function<Interval, String>) IntervalPhrases::id;
    }
    Class<?> plain = (Class<?>) type;
    if (plain.isEnum()) {
      List<?> constants = List.of(plain.getEnumConstants());
      return constants.get(variant % constants.size());
    }
    return switch (plain.getSimpleName()) {
      case "int" -> number;
      case "long" -> (long) number;
      case "Long" -> variant % 2 == 0 ? null : Long.valueOf(500);
      case "double" -> (double) number;
      case "Double" -> variant % 2 == 0 ? null : Double.valueOf(0.25);
      case "boolean" -> variant % 2 == 0;
      case "String" -> "kiln";
      case "Alternative" -> List.of(Alternative.values()).get(variant % 3);
      case "Method" -> ProportionTest.MID_P;
      case "Hypothesis" -> new Hypothesis(0.05, List.of(Alternative.values()).get(variant % 3));
      case "ComparisonClaim" -> claim(variant);
      case "Condition" -> Assumptions.independentTrials();
      case "Verdict" -> Verdict.of("Rows and columns are associated.");
      case "Sizes" ->
          variant % 3 == 0
              ? Sizes.of(Math.max(1, number))
              : Sizes.of(Math.max(1, number), variant % 4 + 1);
      case "PairedTally" -> PairedTally.of(3, number, number, 4);
      case "Tally" -> Tally.of(Math.min(number, 1), Math.max(1, number));
      case "TestResult" -> test(variant);
      case "Interval" -> interval(variant);
      case "Rate" ->
          new RateVerdicts.Rate("North", 0.03, number + " of 40", test(variant), interval(variant));
      case "Pair" ->
          new ComparisonVerdicts.Pair(
              "North", "South", "North 3%, South 4%", 0.01, test(variant), interval(variant));
      case "Swept" -> new SweepVerdicts.Swept("shift", "V", 0.2, test(variant));
      default -> throw new IllegalArgumentException("no argument for " + type);
    };
  }

  private static ComparisonClaim claim(int variant) {
    ComparisonClaim none = ComparisonClaim.NO_DIFFERENCE;
    return List.of(
            none.margin(0.02),
            none.alternative(Alternative.LESS).margin(0.02),
            none.against(0.01).margin(0.02),
            none.against(-0.02).alternative(Alternative.GREATER).margin(0.02),
            none.noninferior(0.02, Alternative.LESS),
            none.equivalent(0.01))
        .get(variant % 6);
  }

  private static TestResult test(int variant) {
    double p = variant % 2 == 0 ? 0.01 : 0.4;
    TestResult test =
        TestResult.of(
            variant % 4 < 2 ? TwoProportionTest.SCORE : TableTest.PEARSON,
            new TestResult.Statistic(TestResult.Statistic.Kind.Z, 1),
            Math.log(p));
    return test.withAdjusted(AdjustedP.ofLog(Math.log(Math.min(1, 2 * p))));
  }

  private static Interval interval(int variant) {
    Side side = List.of(Side.values()).get(variant % 3);
    return switch (variant % 4) {
      case 0 ->
          new Interval(Estimand.PROPORTION, ProportionInterval.WILSON, 0.95, side, 0.02, 0.06);
      case 1 ->
          new Interval(
              Estimand.DIFFERENCE, ComparisonInterval.DIFFERENCE_MEE, 0.95, side, -0.02, 0.04);
      case 2 ->
          new Interval(
              Estimand.DIFFERENCE, ComparisonInterval.DIFFERENCE_MEE, 0.95, side, 0.01, 0.04);
      default ->
          new Interval(Estimand.RATIO, ComparisonInterval.DIFFERENCE_MEE, 0.9, side, 0.5, 1.2);
    };
  }

  /** To the letter: a change of these words is a change of these words alone. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LESS | false | The rate is not shown to be below 5%: observed 3.5% (14 of 400), and a rate as high as 5.4% can't be excluded (95% Wilson upper bound); p = 0.0843, score test at alpha 0.05.",
        "LESS | true | The rate is below 5%: observed 3.5% (14 of 400), though 5.4% (95% Wilson upper bound) can't be excluded; p = 0.00843, score test at alpha 0.05.",
        "GREATER | false | The rate is not shown to be above 5%: observed 3.5% (14 of 400), and a rate as low as 2.1% can't be excluded (95% Wilson lower bound); p = 0.0843, score test at alpha 0.05.",
        "TWO_SIDED | false | The rate is not shown to differ from 5%: observed 3.5% (14 of 400), and rates from 2.1% to 5.4% can't be excluded (95% Wilson interval); p = 0.0843, score test at alpha 0.05.",
        "TWO_SIDED | true | The rate differs from 5%: observed 3.5% (14 of 400), though 2.1% to 5.4% (95% Wilson interval) can't be excluded; p = 0.00843, score test at alpha 0.05. It looks lower; the two-sided test asked only whether it differs."
      })
  void theVerdictOnARate(Alternative alternative, boolean shown, String sentence) {
    Interval interval =
        new Interval(
            Estimand.PROPORTION,
            ProportionInterval.WILSON,
            0.95,
            alternative.matchingSide(),
            0.021,
            0.054);
    TestResult test = TestResult.of(ProportionTest.SCORE, null, Math.log(shown ? 0.00843 : 0.0843));
    assertThat(
            RateVerdicts.one(
                    new RateVerdicts.Rate("", 0.035, "14 of 400", test, interval),
                    null,
                    new Hypothesis(0.05, alternative),
                    0.05)
                .text())
        .isEqualTo(sentence);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "DIFFERENCE | 0 | TWO_SIDED | North and South are not shown to differ | North and South differ",
        "DIFFERENCE | 0 | LESS | North is not shown to be lower than South | North is lower than South",
        "DIFFERENCE | 0 | GREATER | North is not shown to be higher than South | North is higher than South",
        "DIFFERENCE | -0.02 | LESS | North minus South is not shown to be below -2 percentage points | North minus South is shown to be below -2 percentage points",
        "NONINFERIOR | 0 | GREATER | North is not shown to be non-inferior to South (lower by less than 3 percentage points) | North is shown to be non-inferior to South (lower by less than 3 percentage points)",
        "EQUIVALENT | 0 | TWO_SIDED | North and South are not shown to be equivalent within 3 percentage points | North and South are shown to be equivalent within 3 percentage points"
      })
  void whatIsClaimedOfTwoGroups(
      ComparisonGoal goal, double against, Alternative alternative, String not, String shown) {
    ComparisonClaim claim = new ComparisonClaim(goal, new Hypothesis(against, alternative), 0.03);
    assertThat(Claims.of(claim, "North", "South", false)).isEqualTo(not);
    assertThat(Claims.of(claim, "North", "South", true)).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource({
    "-0.04, -0.01, TWO_SIDED, North lower by 1.0 to 4.0 percentage points",
    "0.01, 0.04, TWO_SIDED, North higher by 1.0 to 4.0 percentage points",
    "-0.01, 0.04, TWO_SIDED, anything from North lower by 1.0 to North higher by 4.0 percentage points",
    "-1, -0.01, UPPER, North lower by at least 1.0 percentage points",
    "-1, 0.01, UPPER, North higher by up to 1.0 percentage points",
    "0.01, 1, LOWER, North higher by at least 1.0 percentage points",
    "-0.01, 1, LOWER, North lower by up to 1.0 percentage points"
  })
  void howFarADifferenceReaches(double lower, double upper, Side side, String words) {
    assertThat(
            IntervalPhrases.reach(
                "North",
                "South",
                new Interval(
                    Estimand.DIFFERENCE,
                    ComparisonInterval.DIFFERENCE_MEE,
                    0.95,
                    side,
                    lower,
                    upper)))
        .isEqualTo(words);
  }

  @Test
  void theVerdictsOnPairsAndGroups() {
    Interval interval =
        new Interval(
            Estimand.DIFFERENCE,
            ComparisonInterval.DIFFERENCE_MEE,
            0.95,
            Side.TWO_SIDED,
            -0.0818,
            0.0044);
    ComparisonVerdicts.Pair pair =
        new ComparisonVerdicts.Pair(
            "North",
            "South",
            "North 3.5% (14 of 400), South 7.6% (31 of 410)",
            -0.041,
            TestResult.of(TwoProportionTest.Z_POOLED, null, Math.log(0.09)),
            interval);
    assertThat(ComparisonVerdicts.pair("Cracks", pair, ComparisonClaim.NO_DIFFERENCE, 0.05).text())
        .isEqualTo(
            "Cracks: North and South are not shown to differ: North 3.5% (14 of 400), South 7.6%"
                + " (31 of 410), anything from North lower by 8.2 to North higher by 0.44"
                + " percentage points can't be excluded (95% Mee interval); p = 0.0900, z-pooled"
                + " test at alpha 0.05.");
    assertThat(
            ComparisonVerdicts.groups(
                    "",
                    3,
                    null,
                    TestResult.of(TableTest.PEARSON, null, Math.log(0.2)),
                    List.of(pair),
                    List.of("Tunnel"),
                    ComparisonClaim.NO_DIFFERENCE,
                    0.05)
                .sentence())
        .isEqualTo(
            "The 3 groups are not shown to differ (pearson chi-square, p = 0.200, alpha 0.05). Not"
                + " shown to differ: North and South (p = 0.0900). Z-pooled test and 95% Mee"
                + " intervals; p-values, not intervals, adjusted by Holm's method for 1 pair. No"
                + " variance is seen, and nothing decided, of Tunnel.");
  }

  @Test
  void theVerdictsOnTables() {
    TestResult test = TestResult.of(TableTest.PEARSON, null, Math.log(0.4));
    assertThat(
            TableVerdicts.association(
                    "",
                    TableVerdicts.associated(false, "x"),
                    0.03,
                    "p = 0.400",
                    test,
                    0.05,
                    "cause")
                .sentence())
        .isEqualTo(
            "Rows and columns are not shown to be associated: x; Cramer's V 0.030; p = 0.400,"
                + " pearson test at alpha 0.05.");
    assertThat(
            TableVerdicts.agreement(
                    "", "Ann", "Ben", Tally.of(3, 4), 0.4, Optional.empty(), test, 0.05)
                .text())
        .isEqualTo(
            "Ann and Ben agree on 3 of 4 units (75.0%), kappa 0.400; where they differ, neither is"
                + " shown to lean to other levels than the other: p = 0.400, pearson test at alpha"
                + " 0.05.");
    assertThat(SweepVerdicts.sweep("Week 18", "kiln", "", 0.05, List.of()).text())
        .startsWith("Week 18: none of 0 columns is shown to differ between the groups of kiln");
    assertThat(ShareVerdicts.of("", false, "y", "p = 0.400", test, 0.05).sentence())
        .startsWith("The counts are not shown to depart from the claimed shares: y; p = 0.400");
  }

  /** A method that has no result says why, whatever the values of its reason. */
  @ParameterizedTest
  @EnumSource(NotApplicableReason.class)
  void aMethodThatDeclinesSaysWhy(NotApplicableReason reason) {
    for (int number = 1; number <= 2; number++) {
      Object[] values =
          switch (reason) {
            case NO_LAYER, LONE_CLUSTERS ->
                new Object[] {Collections.nCopies(number, "'Coast'").stream().toList()};
            case NO_DEGREES_OF_FREEDOM -> new Object[] {(long) number, "cluster", number};
            case UNORDERED, NO_TABLE -> new Object[] {"rows", "only North"};
            // The others name limits, which are several.
            default -> new Object[] {1.0 + number, 1 + number, 1L + number};
          };
      String words = RefusalPhrases.of(new NotApplicableException(reason, values));
      assertThat(words)
          .isNotBlank()
          .doesNotEndWith(".")
          .doesNotContainPattern(SEVERAL_OF_ONE)
          .doesNotContainPattern(VERB_OF_ONE)
          .doesNotContainPattern(UNFINISHED);
    }
    assertThat(RefusalPhrases.of(new ArithmeticException("no convergence")))
        .startsWith("can't be computed to its full accuracy");
  }

  @Test
  void aRefusalSaysItsFigures() {
    assertThat(
            RefusalPhrases.of(
                new NotApplicableException(NotApplicableReason.OVER_BUDGET, 1.0, 12.04)))
        .startsWith("would take longer than its budget of 1 second for about 1e12 tables");
    assertThat(
            RefusalPhrases.of(
                new NotApplicableException(
                    NotApplicableReason.TOO_MANY_OUTCOMES, 2.24e13, 1200L, 6)))
        .startsWith("there are about 2.2e13 outcomes of 1,200 units in 6 categories");
    assertThat(
            RefusalPhrases.of(
                new NotApplicableException(
                    NotApplicableReason.NO_DEGREES_OF_FREEDOM, 1L, "cluster", 1)))
        .contains("the sample has 1 cluster in 1 stratum", "at least two clusters of one stratum");
    assertThat(
            RefusalPhrases.of(
                new NotApplicableException(
                    NotApplicableReason.LONE_CLUSTERS, List.of("'island'", "'coast'"))))
        .startsWith("strata 'island', 'coast' have each only one cluster");
  }

  @Test
  void noKindOfSentenceIsLeftOut() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("src/main/java/dev/tavik/phrase"))) {
      assertThat(files.map(each -> each.getFileName().toString().replace(".java", "")))
          .containsExactlyInAnyOrderElementsOf(
              Stream.concat(
                      KINDS.stream().map(Class::getSimpleName),
                      Stream.of("RefusalPhrases", "package-info"))
                  .toList());
    }
  }

  /** What isn't shown, and what can't be excluded, is said in one file. */
  @Test
  void whatIsNotShownStandsOnce() throws IOException {
    Pattern claim =
        Pattern.compile("\"[^\"\n]*(?:shown to\\b(?! ten)|can't be excluded)[^\"\n]*\"");
    List<String> found = new ArrayList<>();
    try (Stream<Path> files = Files.walk(Path.of(".."))) {
      for (Path file :
          files.filter(each -> each.toString().matches(".*/src/main/java/.*\\.java")).toList()) {
        if (claim.matcher(Files.readString(file)).find()) {
          found.add(file.getFileName().toString());
        }
      }
    }
    Collections.sort(found);
    assertThat(found).containsExactly("Claims.java", "IntervalPhrases.java");
  }
}
