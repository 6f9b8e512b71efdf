package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.Names;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.result.Numbers;
import dev.tavik.study.Provenance;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.shares.SharesSettings;
import dev.tavik.survey.SurveyTableTest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes a question about shares from its words. The counts come from named counts, {@code ash=31},
 * or from a column of a file.
 */
final class SharesSpec {
  private static final String FORMS =
      "the claimed shares: 40%,30%,30%, fractions 1/8,7/8, a ratio 4:3:3, named ash=40%,iron=60%, or"
          + " equal";

  private final QuestionArguments spec;
  private final SourceOpener opening;
  private final CountsSpec counts;

  private SharesSpec(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.opening = opening;
    this.counts = new CountsSpec(spec, opening);
  }

  /**
   * Makes the question. Everything that the words alone can get wrong is refused before a file is
   * opened.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @return the question
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    return spec.has("design")
        ? new SharesSpec(spec, opening).question()
        : SimulationSpec.of(spec, () -> new SharesSpec(spec, opening).question());
  }

  private Question question() {
    if (spec.has("design")) {
      counts.requireRows("design");
      survey()
          .requireDesigned(
              List.of(SurveyTableTest.values()),
              Arrays.stream(SharesTest.values())
                  .filter(each -> each != SharesTest.PEARSON)
                  .toList());
    }
    counts.requireRows("outcome", "order");
    counts.requireRows(CountsSpec.OF_ROWS);
    counts.requireOneSource(
        spec.has("counts") ? "the counts themselves" : "",
        spec.say(
            "nothing to count: give counts such as ash=31 iron=22, or {table} with a table of"
                + " names and counts, or {data} with {outcome}"));
    spec.check(spec.has("against"), "{against} is needed: %s", FORMS);
    if (spec.has("design")) {
      return byDesign();
    }
    SharesSettings settings = settings();
    if (spec.has("counts")) {
      Map<String, Long> named = named();
      return question("", named, settings, null);
    }
    return spec.has("table") ? fromTable(settings) : fromFile(settings);
  }

  private SurveySpec survey() {
    return new SurveySpec(spec, counts);
  }

  private Question byDesign() {
    SurveyCounts counted =
        survey().shares(spec.required("outcome", "the column whose levels are counted"));
    Tabulation units = counted.units();
    Provenance from = counts.from(units, Set.of());
    Map<String, Long> named = named(units);
    Shares claimed = claimed(named, from);
    return survey()
        .shares(
            counted,
            List.copyOf(named.keySet()),
            claimed,
            from,
            counts.label(units.columns().get(0)));
  }

  private SharesSettings settings() {
    return spec.choices(
        SharesSettings.usual(), List.of(SharesTest.values()), List.of(SharesInterval.values()));
  }

  private Map<String, Long> named() {
    Map<String, Long> named = new LinkedHashMap<>();
    for (String each : spec.all("counts")) {
      int equals = each.lastIndexOf('=');
      String count = each.substring(equals + 1).strip();
      if (equals <= 0 || !count.matches("\\d{1,12}")) {
        throw new SpecException(
            "counts must be written NAME=COUNT with a whole number, such as ash=31, got '%s'",
            each);
      }
      if (named.put(each.substring(0, equals).strip(), Long.parseLong(count)) != null) {
        throw new SpecException(
            "two counts are called '" + each.substring(0, equals).strip() + "'; add them up");
      }
    }
    return named;
  }

  /** Names in the first column, counts in the second; totals and percents are left out. */
  private Question fromTable(SharesSettings settings) {
    TwoWayTable table =
        TwoWayTable.read(
                spec.required("table", "a table of names and counts"), opening, counts.reading())
            .withoutTotalColumn();
    if (table.columns().size() != 1) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s has %d columns of counts (%s); shares need one",
          table.source(),
          table.columns().size(),
          String.join(", ", table.columns()));
    }
    Map<String, Long> named = new LinkedHashMap<>();
    for (int i = 0; i < table.rows().size(); i++) {
      named.put(table.rows().get(i), table.cells().get(i).get(0));
    }
    Provenance from =
        Provenance.table(
            table.source(), table.columns().get(0), List.of(), table.rows(), table.totals());
    return question("", named, settings, from);
  }

  private Question fromFile(SharesSettings settings) {
    String outcome = spec.required("outcome", "the column whose levels are counted");
    counts.requireDifferent("outcome", "count");
    Tabulation counted = counts.tabulation(outcome);
    Map<String, Long> named = named(counted);
    Provenance from = counts.from(counted, Set.of());
    return question(counted.columns().get(0), named, settings, from);
  }

  private Map<String, Long> named(Tabulation counted) {
    Map<String, Long> named = new LinkedHashMap<>();
    for (String level : ordered(counted)) {
      named.put(level, counted.where(counted.columns().get(0), level).total());
    }
    return named;
  }

  /** In the given order, else by number if all levels are numbers, else by first appearance. */
  private List<String> ordered(Tabulation counted) {
    List<String> levels = counted.levels(0);
    if (spec.has("order")) {
      List<String> order = new ArrayList<>();
      for (String typed : spec.list("order")) {
        order.add(match(typed, levels, counted.source()));
      }
      for (String level : levels) {
        spec.check(order.contains(level), "{order} must name every level; missing: %s", level);
      }
      return order;
    }
    return Levels.ordered(levels);
  }

  private static String match(String typed, List<String> levels, String source) {
    List<String> matching = Names.matching(typed, levels);
    if (matching.size() != 1) {
      throw new DataException(
          DataException.Code.LEVEL,
          source + ": there is no level '" + typed + "'" + Names.hint(typed, levels));
    }
    return matching.get(0);
  }

  private Question question(
      String label, Map<String, Long> named, SharesSettings settings, @Nullable Provenance from) {
    Shares claimed = claimed(named, from);
    CategoryCounts categories =
        CategoryCounts.of(List.copyOf(named.keySet()), List.copyOf(named.values()));
    return SharesQuestion.of(categories, claimed)
        .settings(withPrior(settings, categories.size()))
        .named(counts.label(label))
        .countedFrom(from);
  }

  /** The claimed shares, one a category; a category that never occurred is added to the others. */
  private Shares claimed(Map<String, Long> named, @Nullable Provenance from) {
    List<String> written = spec.list("against");
    Shares claimed;
    if (written.size() == 1 && written.get(0).equals("equal")) {
      claimed = Shares.equal(Math.max(2, named.size()));
    } else if (written.get(0).contains("=")) {
      claimed = byName(written, named, from);
    } else {
      claimed = Shares.parse(written);
    }
    if (named.size() < 2) {
      throw new SpecException(
          "shares need two categories or more, got one (%s); one rate is held against a value"
              + " with rate",
          String.join(", ", named.keySet()));
    }
    spec.check(
        claimed.size() == named.size(),
        "{against} must have one share for each of the %d categories (%s), got %d",
        named.size(),
        String.join(", ", named.keySet()),
        claimed.size());
    return claimed;
  }

  /** One parameter a category, or one for all. */
  private SharesSettings withPrior(SharesSettings settings, int categories) {
    if (!spec.has("prior")) {
      return spec.flag("bayes") ? settings.prior(DirichletPrior.uniform(categories)) : settings;
    }
    List<String> written = spec.list("prior");
    spec.check(
        written.size() == categories || written.size() == 1,
        "{prior} must have one parameter for each of the %d categories, or one for all, got"
            + " %d",
        categories,
        written.size());
    List<Double> parameters = new ArrayList<>();
    for (String each : written) {
      parameters.add(Numbers.positive(spec.name("prior"), "numbers above 0 such as 1,1,1", each));
    }
    return settings.prior(
        new DirichletPrior(
            written.size() == 1 ? Collections.nCopies(categories, parameters.get(0)) : parameters));
  }

  /** Shares by name; a category that is claimed but was never counted has a count of 0. */
  private Shares byName(List<String> written, Map<String, Long> named, @Nullable Provenance from) {
    Map<String, String> shares = new LinkedHashMap<>();
    for (String each : written) {
      int equals = each.lastIndexOf('=');
      spec.check(equals > 0, "{against} must name all shares or none, got '%s'", each);
      String typed = each.substring(0, equals).strip();
      List<String> matching = Names.matching(typed, List.copyOf(named.keySet()));
      String level = matching.size() == 1 ? matching.get(0) : typed;
      if (shares.put(level, each.substring(equals + 1).strip()) != null) {
        throw new SpecException(
            spec.name("against") + " has two shares for '" + level + "'; give one");
      }
    }
    for (String level : named.keySet()) {
      spec.check(
          shares.containsKey(level),
          "{against} has no share for '%s'%s",
          level,
          from == null ? "" : ", which occurs in " + from.data());
    }
    shares.keySet().forEach(level -> named.putIfAbsent(level, 0L));
    return Shares.parse(
        named.keySet().stream().map(level -> shares.getOrDefault(level, "")).toList());
  }
}
