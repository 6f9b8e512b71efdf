package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.result.Figures;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.List;

/** Why a method gives no result, and what to do instead. */
public final class RefusalPhrases {
  private final List<Object> values;

  private RefusalPhrases(List<Object> values) {
    this.values = values;
  }

  /** The sentence of a method that declined, or whose computation didn't settle. */
  public static String of(RuntimeException why) {
    return why instanceof NotApplicableException declined
        ? new RefusalPhrases(declined.values()).words(declined.reason())
        : new RefusalPhrases(List.of()).words(NotApplicableReason.UNSETTLED);
  }

  private String words(NotApplicableReason reason) {
    return switch (reason) {
      case OVER_BUDGET ->
          say(
              "would take longer than its budget of %s for about 1e%s tables with these margins;"
                  + " give it a larger budget, or draw tables, or use pearson or likelihood-ratio, or"
                  + " merge levels that were alike before the data were seen",
              Figures.counted(plain(0), "second", "seconds"), Math.round(number(1)));
      case OVER_MEMORY ->
          "would need more than 250 MB of memory; use pearson or likelihood-ratio, or merge"
              + " levels that were alike before the data were seen";
      case LONG_SUM ->
          "the counts are so large that the probability would take long to sum; use goodman";
      case NO_INFORMATIVE_STRATUM -> "needs a stratum with both successes and failures";
      case ONE_INFORMATIVE_STRATUM -> "needs two strata with both successes and failures";
      case NO_COMMON_ODDS_RATIO -> "needs a common odds ratio above 0 and below infinity";
      case TOO_MANY_OUTCOMES ->
          say(
              "there are about %s outcomes of %s units in %s categories, more than can be gone"
                  + " through in a few seconds; use pearson or likelihood-ratio",
              Double.isInfinite(number(0)) ? "1e308 and more" : Figures.significant(number(0), 2),
              count(1),
              count(2));
      case TOO_MANY_TABLES ->
          say("would list more than %s tables; bowker is good where so many units moved", count(0));
      case NOT_TWO_BY_TWO -> "is for tables of two rows and two columns only; use pearson";
      case NEITHER_TWO_ROWS_NOR_COLUMNS -> "is for tables with two rows or two columns; use linear";
      case TOO_MANY_UNITS ->
          "is for at most 200,000 units in tables beyond two by two; use pearson";
      case TOO_SMALL_A_P -> "has a p-value below 1e-290, too small for it; use pearson";
      case TOO_MANY_STEPS ->
          say(
              "would have to sum over all tables with these margins, about 1e%s steps, too many;"
                  + " use total, rows or columns, or merge levels",
              Math.round(Math.log10(number(0))));
      case WEIGHTS_APART ->
          say(
              "would have to add tables whose weights are 1e%s apart under such a prior; use"
                  + " total, rows or columns, or a smaller prior",
              Math.round(number(0)));
      case PRIOR_TOO_SMALL ->
          say(
              "needs a prior above %s for so many levels, so that a prior of independent ones is"
                  + " left; 1 is the usual one",
              Figures.significant(number(0), 4));
      case TOO_MANY_OBSERVATIONS ->
          say(
              "enumerates all counts, which is possible up to %s observations, got %s",
              count(0), count(1));
      case NO_NORMAL_POWER ->
          say("%s has no power by the normal distribution; ask for the exact one", text(0));
      case NO_MARGIN ->
          say(
              "%s tests the null of no difference only; against a margin use score or z-separate",
              text(0));
      case TOO_MANY_TO_PLAN ->
          say(
              "is planned for up to %s units in both groups, got %s; use fisher, or z-pooled by"
                  + " the normal distribution",
              count(0), count(1));
      case NO_PLANNED_RATE_INTERVAL ->
          say(
              "%s isn't offered for planning; use wald, wilson, agresti-coull, clopper-pearson or"
                  + " jeffreys",
              text(0));
      case NO_PLANNED_DIFFERENCE_INTERVAL ->
          say("%s isn't offered for planning; use wald or newcombe", text(0));
      case NO_SINGLE_EFFECT -> "has no single effect to search for; give what is expected";
      case NO_EFFECT_LARGE_ENOUGH -> "no effect is large enough for this power with so few";
      case OUT_OF_REACH -> say("not reached even with %s", count(0));
      case LONG_SEARCH ->
          say(
              "would take an exact search up to n = %s, which is too long; give n and ask for its"
                  + " exact power, or plan by the normal distribution",
              count(0));
      case STOPPED -> say("stopped at n = %s", count(0));
      case SEARCH_ENDED ->
          say(
              "an exact search for n ends at %s, which don't reach it; take n by the normal"
                  + " distribution and ask for the exact power of that n",
              count(0));
      case TOO_MANY_PAIRS ->
          say("enumerates all outcomes, which is possible up to a million pairs, got %s", count(0));
      case TOO_MANY_TRIALS ->
          say("goes through all counts for up to 10 million trials, got %s; use normal", text(0));
      case TOO_MANY_PAIRS_OF_COUNTS ->
          say(
              "all pairs of counts can be enumerated for up to %s units in both groups, got %s",
              count(0), count(1));
      case ONLY_EQUAL_RATES -> "holds only equal rates against unequal ones; use t-difference";
      case NO_VARIANCE -> "has no statistic where the sample shows no variance";
      case SHARE_WITHOUT_WEIGHT -> "has no statistic where a replicate gives a share no weight";
      case RATE_WITHOUT_WEIGHT -> "has no statistic where a replicate gives the rate no weight";
      case TOO_FEW_CLUSTERS ->
          say(
              "needs more clusters than there are free cells, and cells that vary, got %s degrees"
                  + " of freedom for %s; use rao-scott",
              Figures.upTo(number(0), 4), text(1));
      case NO_DEGREES_OF_FREEDOM ->
          say(
              "no degrees of freedom are left: the sample has %s in %s, and a variance needs at"
                  + " least two %s of one stratum",
              Figures.counted(count(0), text(1), text(1) + "s"),
              Figures.counted(count(2), "stratum", "strata"),
              text(1) + "s");
      case WHOLE_POPULATION ->
          "every cluster of the population is in the sample, so that its rates are known and"
              + " there is nothing to test; leave the population out if it stands for a larger one";
      case NO_VARIANCE_FOR_LIMITS ->
          "has no limits where the sample shows no variance; use korn-graubard";
      case ALL_OR_NONE_FOR_LIMITS ->
          "has no limits where all are successes, or none; use korn-graubard";
      case REPLICATE_WITHOUT_LIMITS ->
          "has no limits where a replicate has no odds; use wald or korn-graubard";
      case ALL_OR_NONE -> "has no odds where all are successes, or none; use korn-graubard";
      case REPLICATE_WITHOUT_ODDS -> "has no odds in one of the replicates; use t or korn-graubard";
      case GROUP_ALL_OR_NONE ->
          "has no value where a group, or a replicate of it, has all or none; use the"
              + " difference";
      case GROUP_WITHOUT_VARIANCE -> "has no value where a group shows no variance";
      case DIFFERENCE_WITHOUT_VARIANCE -> "has no value where the difference shows no variance";
      case LONE_CLUSTERS ->
          say(
              "%s only one cluster, which says nothing of how clusters of it vary. Put such a"
                  + " stratum together with another in the data, or say lone=centre (it varies as far as"
                  + " it lies from the mean of all) or lone=certain (it was drawn for certain)",
              names(0).size() == 1
                  ? "stratum " + names(0).get(0) + " has"
                  : "strata " + Names.listed(names(0)) + " have each");
      case NO_LOT_INTERVAL -> say("%s has no form for a finite lot", text(0));
      case NO_LOT_TEST -> say("%s has no form for a finite lot; use score or exact", text(0));
      case TOO_MANY_FOR_UNCONDITIONAL ->
          say(
              "is offered for up to %s trials in both groups together, got %s; use fisher,"
                  + " fisher-mid-p or z-pooled, which hardly differ from it there",
              count(0), count(1));
      case ONLY_NO_DIFFERENCE -> "tests the null of no difference only; use score or z-separate";
      case ONLY_WITH_DATA -> "isn't offered before data; boschloo hardly differs from it";
      case NO_STANDARD_ERROR ->
          "has no standard error and so no power by the normal distribution; its power is exact";
      case SAME_DRAWS ->
          "has no failure or no success at all, so that every draw is the same; use shuffle";
      case NO_DISCORDANT_PAIR ->
          "has no pair that was judged differently, so there is nothing to exchange";
      case TOO_LARGE_TO_DRAW ->
          say(
              "is made for tables of up to %s units; the formulas are exact enough beyond",
              count(0));
      case TOO_MANY_TO_DRAW ->
          say(
              "has about %s counts that may be drawn, too many to simulate; the formula is exact"
                  + " enough there",
              count(0));
      case UNORDERED -> text(0);
      case NO_TABLE -> say("a table needs two %s or more that occur, got %s", text(0), text(1));
      case NO_LAYER -> say("no layer has a table: %s", String.join("; ", names(0)));
      case UNSETTLED ->
          "can't be computed to its full accuracy for these figures; choose another method";
    };
  }

  private String text(int value) {
    return values.get(value).toString();
  }

  private double number(int value) {
    return ((Number) values.get(value)).doubleValue();
  }

  private String count(int value) {
    return Figures.count(((Number) values.get(value)).longValue());
  }

  private String plain(int value) {
    return Figures.plain(number(value));
  }

  private List<String> names(int value) {
    return ((List<?>) values.get(value)).stream().map(String::valueOf).toList();
  }
}
