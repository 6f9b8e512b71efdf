package dev.tavik.data.study;

import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.bayes.SamplingPlan;
import dev.tavik.result.Numbers;
import dev.tavik.study.cross.CellTable;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.cross.CrossSettings.RowPairs;
import dev.tavik.study.cross.Ordered;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The parameters of an association: alpha and level, tests, and what is shown. */
record CrossSettingsSpec(QuestionArguments spec) {

  CrossSettings settings() {
    CrossSettings settings = CrossSettings.usual();
    @Nullable Double alpha = spec.proportion("alpha");
    settings = alpha == null ? settings : settings.alpha(alpha);
    @Nullable Double level = spec.proportion("level");
    settings = level == null ? settings : settings.level(level);
    if (spec.has("tests") && !spec.flag("paired") && !spec.has("strata")) {
      settings = settings.tests(tests());
    }
    if (spec.has("figures")) {
      settings = settings.shown(spec.listed("figures", List.of(CellTable.values()), CellTable::id));
    }
    if (spec.flag("pairwise")) {
      settings = settings.rowPairs(RowPairs.COMPARED);
    }
    return settings.ordered(ordered()).options(options()).bayes(bayes());
  }

  private CrossSettings.@Nullable Belief bayes() {
    @Nullable String prior = spec.text("prior");
    @Nullable String sampling = spec.text("sampling");
    if (!spec.flag("bayes") && prior == null && sampling == null) {
      return null;
    }
    return new CrossSettings.Belief(
        sampling == null ? SamplingPlan.TOTAL : SamplingPlan.of(sampling),
        prior == null
            ? 1
            : Numbers.positive(
                spec.name("prior"), "one number above 0 for every cell, such as 1", prior));
  }

  private List<TableTest> tests() {
    for (String wanted : spec.list("tests")) {
      String elsewhere =
          switch (wanted) {
            case "mantel-haenszel", "breslow-day" ->
                "is about strata; name their column with " + spec.name("strata");
            case "bowker" ->
                "is about the same units classified twice; ask with " + spec.name("paired");
            default -> "";
          };
      spec.check(elsewhere.isEmpty(), "{tests}: %s %s", wanted, elsewhere);
    }
    return spec.methods("tests", List.of(TableTest.values()));
  }

  /** The ordered classifications; one with scores is ordered. */
  private Ordered ordered() {
    @Nullable String word = spec.text("ordered");
    Ordered said = word == null ? Ordered.NONE : Ordered.of(word);
    boolean rows = said.rows() || spec.has("row-scores");
    boolean columns = said.columns() || spec.has("column-scores");
    if (rows && columns) {
      return Ordered.BOTH;
    }
    return rows ? Ordered.ROWS : columns ? Ordered.COLUMNS : Ordered.NONE;
  }

  private TestOptions options() {
    TestOptions options = TestOptions.usual();
    @Nullable String budget = spec.text("budget");
    if (budget != null) {
      options = options.budget(number("budget", budget, "a number of seconds, such as 30"));
    }
    return options.rowScores(scores("row-scores")).columnScores(scores("column-scores"));
  }

  private List<Double> scores(String word) {
    return spec.list(word).stream()
        .map(each -> number(word, each, "numbers that increase, one for each level, such as 1,2,4"))
        .toList();
  }

  private double number(String word, String text, String accepted) {
    if (!text.matches("-?\\d{1,15}(\\.\\d{1,15})?")) {
      throw new SpecException(spec.name(word) + " must be " + accepted + ", got '" + text + "'");
    }
    return Double.parseDouble(text);
  }
}
