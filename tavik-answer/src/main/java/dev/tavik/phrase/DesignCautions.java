package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.result.Figures;

/** What to be careful of in the design of a sample. */
public final class DesignCautions {
  static final String NO_VARIANCE = "the sample shows no variance between its clusters or rows";

  private DesignCautions() {}

  /** Says that a sample without variance decides nothing, and what to do about it. */
  public static Caution undecided(String of) {
    String noVariance =
        say(
            "%s, which is no certainty. Ask for each rate by itself, whose korn-graubard limits"
                + " need none, or for more clusters.",
            NO_VARIANCE);
    return new Caution(Code.NO_STATISTIC, of + ": " + noVariance)
        .ofSeveral(Sentences.capitalised(noVariance));
  }

  /** Says that all rows of a designed sample are alike. */
  public static Caution allOrNone(boolean none, long rows, String interval) {
    String more =
        say(
            "how clusters vary can't be seen, and %s counts only how unequal weights lower the"
                + " number of rows.",
            interval);
    return new Caution(
            Code.ALL_OR_NONE,
            rows == 1
                ? say("The only row is %s success: %s", none ? "no" : "a", more)
                : say(
                    "%s of %s rows is a success: %s",
                    none ? "None" : "Every one", Figures.count(rows), more))
        .ofSeveral("All rows or none are successes: " + more);
  }

  /** Says that there are few degrees of freedom. */
  public static Caution fewDegrees(String degrees, boolean one) {
    return new Caution(
        Code.FEW_DEGREES,
        say(
            "Only %s %s of freedom: the standard error is imprecise, so borderline results are"
                + " unreliable. More clusters help, more rows in each don't.",
            degrees, one ? "degree" : "degrees"));
  }

  /** Says that few clusters have what is asked about. */
  public static Caution fewClusters(long with, long clusters, String what) {
    return new Caution(
        Code.FEW_CLUSTERS,
        say(
            "Only %s of %s %s %s; what a few clusters say is not what many would.",
            Figures.count(with),
            Figures.counted(clusters, "cluster", "clusters"),
            with == 1 ? "has" : "have",
            what));
  }

  /** Says that a row weighs very much. */
  public static Caution extremeWeights(double timesTheMean, double share) {
    return new Caution(
        Code.EXTREME_WEIGHTS,
        say(
            "The heaviest row weighs %s times the mean, %s of the sum of all weights. Ask whether"
                + " the large weights are right; trimming them is a decision to report.",
            Figures.significant(timesTheMean, 3), Figures.percent(share)));
  }

  /** Says that rows were left out for their weight. */
  public static Caution noWeight(long zero, long missing) {
    return new Caution(
        Code.NO_WEIGHT,
        say(
            "%s left out: %s 0, %s no weight.",
            Figures.counted(zero + missing, "row was", "rows were"),
            Figures.counted(zero, "weighs", "weigh"),
            Figures.counted(missing, "has", "have")));
  }
}
