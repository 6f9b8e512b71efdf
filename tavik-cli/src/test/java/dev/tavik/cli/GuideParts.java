package dev.tavik.cli;

import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.association.SquareTest;
import dev.tavik.association.StratifiedTest;
import dev.tavik.association.StrengthInterval;
import dev.tavik.association.TableTest;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.data.words.Heading;
import dev.tavik.data.words.Parameter;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.HomogeneityTest;
import dev.tavik.proportion.LotInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RepeatedMeasuresTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Method;
import dev.tavik.simulation.BootstrapInterval;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import dev.tavik.survey.SurveyTest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The parts of guides that are made of the program itself: methods from {@code values()}, options
 * from the catalogue of words.
 */
final class GuideParts {
  private static final int WIDTH = 100;

  /** Every family of methods, by what it is for. */
  static final Map<String, List<? extends Method>> FAMILIES = new LinkedHashMap<>();

  static {
    FAMILIES.put("tests of a rate", List.of(ProportionTest.values()));
    FAMILIES.put("intervals of a rate", List.of(ProportionInterval.values()));
    FAMILIES.put("tests of a lot", List.of(FinitePopulationTest.values()));
    FAMILIES.put("intervals of a lot", List.of(LotInterval.values()));
    FAMILIES.put("tests of two rates", List.of(TwoProportionTest.values()));
    FAMILIES.put(
        "intervals of a difference",
        List.copyOf(ComparisonInterval.ofQuantity(Estimand.DIFFERENCE)));
    FAMILIES.put(
        "intervals of a ratio", List.copyOf(ComparisonInterval.ofQuantity(Estimand.RATIO)));
    FAMILIES.put(
        "intervals of an odds ratio",
        List.copyOf(ComparisonInterval.ofQuantity(Estimand.ODDS_RATIO)));
    FAMILIES.put("tests of several rates", List.of(HomogeneityTest.values()));
    FAMILIES.put("tests of pairs", List.of(PairedTest.values()));
    FAMILIES.put("intervals of pairs", List.of(PairedDifferenceInterval.values()));
    FAMILIES.put("tests of several judgements", List.of(RepeatedMeasuresTest.values()));
    FAMILIES.put("tests of shares", List.of(SharesTest.values()));
    FAMILIES.put("intervals of shares", List.of(SharesInterval.values()));
    FAMILIES.put("tests of a table", List.of(TableTest.values()));
    FAMILIES.put("tests of a square table", List.of(SquareTest.values()));
    FAMILIES.put("tests of strata", List.of(StratifiedTest.values()));
    FAMILIES.put("intervals of strength", List.of(StrengthInterval.values()));
    FAMILIES.put("tests by drawing", List.of(DrawnMethod.values()));
    FAMILIES.put("tests of a rate by design", List.of(SurveyTest.values()));
    FAMILIES.put("intervals of a rate by design", List.of(SurveyInterval.values()));
    FAMILIES.put("tests of two rates by design", List.of(SurveyComparisonTest.values()));
    FAMILIES.put("intervals of two rates by design", List.of(SurveyComparisonInterval.values()));
    FAMILIES.put("tests of tables by design", List.of(SurveyTableTest.values()));
    FAMILIES.put("adjustments", List.of(Adjustment.values()));
    FAMILIES.put("intervals by resampling", List.of(BootstrapInterval.values()));
  }

  private GuideParts() {}

  /** A part by the name that its mark has. */
  static String of(String name) {
    if (FAMILIES.containsKey(name)) {
      return list(FAMILIES.get(name).stream().map(GuideParts::method).toList());
    }
    if (name.startsWith("options of ")) {
      String kind = name.substring("options of ".length());
      return options(
          CommandSchemas.all().stream()
              .filter(each -> each.kind().equals(kind))
              .findFirst()
              .orElseThrow());
    }
    if (name.equals("what is exact")) {
      return exact();
    }
    throw new IllegalArgumentException("there is no part '" + name + "'");
  }

  private static String method(Method method) {
    String inverts = inverted(method).map(test -> ", inverts `" + test.id() + "`").orElse("");
    return String.format(
        "`%s`: %s; %s%s. %s.",
        method.id(),
        method.description(),
        exactness(method.exactness()),
        inverts,
        method.reference());
  }

  private static Optional<? extends Method> inverted(Method method) {
    if (method instanceof ProportionInterval interval) {
      return interval.inverts();
    }
    if (method instanceof SurveyInterval interval) {
      return interval.inverts();
    }
    if (method instanceof SurveyComparisonInterval interval) {
      return Optional.of(interval.inverts());
    }
    return method instanceof ComparisonInterval interval ? interval.inverts() : Optional.empty();
  }

  private static String exactness(Exactness exactness) {
    return switch (exactness) {
      case APPROXIMATE -> "approximate";
      case EXACT -> "exact";
      case NEARLY_EXACT -> "nearly exact";
    };
  }

  private static String options(CommandSchema words) {
    StringBuilder text = new StringBuilder();
    for (Heading heading : Heading.values()) {
      List<String> items =
          words.words().stream()
              .filter(word -> word.heading() == heading)
              .map(GuideParts::option)
              .toList();
      if (!items.isEmpty()) {
        text.append("**").append(heading.title()).append("**\n\n").append(list(items)).append('\n');
      }
    }
    return text.toString().stripTrailing() + "\n";
  }

  private static String option(Parameter word) {
    String parameter = word.parameter().isEmpty() ? "" : " " + word.parameter();
    return "`--" + word.name() + parameter + "`: " + word.help();
  }

  /** A row a family: which of its methods are exact, nearly so, approximate. */
  private static String exact() {
    StringBuilder text = new StringBuilder();
    for (Exactness exactness : Exactness.values()) {
      text.append("**").append(capital(exactness(exactness))).append("**\n\n");
      List<String> items = new ArrayList<>();
      FAMILIES.forEach(
          (name, methods) -> {
            String ids =
                methods.stream()
                    .filter(method -> method.exactness() == exactness)
                    .map(method -> "`" + method.id() + "`")
                    .collect(Collectors.joining(", "));
            if (!ids.isEmpty()) {
              items.add(name + ": " + ids);
            }
          });
      text.append(list(items)).append('\n');
    }
    return text.toString().stripTrailing() + "\n";
  }

  private static String capital(String word) {
    return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  private static String list(List<String> items) {
    return items.stream().map(GuideParts::wrapped).collect(Collectors.joining());
  }

  private static String wrapped(String item) {
    StringBuilder text = new StringBuilder();
    StringBuilder line = new StringBuilder("-");
    for (String word : item.split(" ")) {
      if (line.length() + 1 + word.length() > WIDTH) {
        text.append(line).append('\n');
        line = new StringBuilder(" ");
      }
      line.append(' ').append(word);
    }
    return text.append(line).append('\n').toString();
  }
}
