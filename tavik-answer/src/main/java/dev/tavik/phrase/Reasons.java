package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import dev.tavik.result.Method;

/** Why a verdict rests on a test and an interval. */
public final class Reasons {
  private Reasons() {}

  /** Says what a verdict rests on, and why. */
  public static String restsOn(Method test, Method interval, String reason) {
    return say("The verdict rests on %s: %s.", both(test, interval), reason);
  }

  /** Says what each of several verdicts rests on. */
  public static String restsOnForEvery(Method test, Method interval, String member) {
    return say("The verdict rests on %s for every %s.", both(test, interval), member);
  }

  /** Says that the intervals of pairs are not adjusted. */
  public static String pairsNotAdjusted() {
    return " Intervals are each for itself, not adjusted for the number of pairs.";
  }

  /** Says what a verdict rests on that rests on a test alone. */
  public static String restsOn(Method test) {
    return say("The verdict rests on %s.", test.id());
  }

  /** A test and an interval may have one name. */
  private static String both(Method test, Method interval) {
    return test.id().equals(interval.id())
        ? test.id() + ", test and interval"
        : test.id() + " and " + interval.id();
  }

  /** Says that a test is the only one, or the first, asked for. */
  public static String asked(Method test, boolean only) {
    return test.id()
        + (only ? " is the only test asked for" : " is the first of the tests asked for");
  }

  /** Says that a test is the first that could be made. */
  public static String made(Method test) {
    return test.id() + " is the first of the tests that could be made";
  }

  /** Says that so many trials are enough. */
  public static String manyTrials(long trials) {
    return say(
        "of %s the normal approximation is good", Figures.counted(trials, "trial", "trials"));
  }

  /**
   * Says how often a test rejects a true null.
   *
   * @param size its true size
   * @param tolerated whether that is hardly more than alpha
   * @param instead the tests that reject too often here, in words; empty for none
   */
  public static String trueSize(
      Method test, double size, double alpha, boolean tolerated, String instead) {
    String than =
        !tolerated
            ? "more often than alpha allows, and is what was asked for"
            : size <= alpha ? "no more often than alpha" : "hardly more often than alpha";
    return say(
        "%s rejects a true null in %s of such samples, %s%s",
        test.id(),
        Figures.percent(size),
        than,
        !tolerated || instead.isEmpty() ? "" : say(", as the %s here", instead));
  }

  /** Says that the score test takes its standard error from the null difference. */
  public static String errorFromNull() {
    return "the score test takes its standard error from the null difference itself";
  }

  /**
   * Says that enough counts are expected of two groups.
   *
   * @param expected the smallest with its verb, such as {@code 22.2 successes are}
   * @param fisher whether Fisher's test stands beside
   */
  public static String enoughInEach(String expected, boolean fisher) {
    return say(
        "at least %s expected in each group, enough for the normal approximation%s",
        expected,
        fisher ? "; fisher is the cautious one: it rejects less often than alpha allows" : "");
  }

  /** Says that too few counts are expected of a group. */
  public static String tooFewInOne(String expected) {
    return say(
        "only %s expected in one group, too few for the normal approximation; fisher holds"
            + " at any size",
        expected);
  }

  /** Says that too few counts are expected of another pair. */
  public static String tooFewInAnotherPair() {
    return "another pair has too few expected counts for the normal approximation, and all pairs"
        + " are judged alike";
  }

  /** Says that a test was asked for which expects more counts. */
  public static String askedThoughFew(Method test) {
    return asked(test, /* only= */ false) + ", though the expected counts are too small for it";
  }

  /** Says that enough pairs, or too few, are discordant. */
  public static String discordant(long pairs, boolean enough) {
    return enough
        ? say(
            "%s enough for the normal approximation",
            Figures.counted(pairs, "discordant pair is", "discordant pairs are"))
        : say(
            "only %s too few for the normal approximation; the exact test holds at any size",
            Figures.counted(pairs, "discordant pair is", "discordant pairs are"));
  }

  /** Says that claimed shares were drawn, since the exact test takes too long. */
  public static String drawn() {
    return "some expected counts are too small for the chi-square approximation, and the exact"
        + " test would take too long; so the claimed shares were drawn";
  }

  /** Says that counts are enough for the chi-square approximation, or only for the exact test. */
  public static String chiSquare(boolean enough) {
    return enough
        ? "the expected counts are enough for the chi-square approximation"
        : "some expected counts are too small for the chi-square approximation; the exact test"
            + " holds at any size";
  }

  /** Says that the clusters show no variance. */
  public static String needsNoVariance() {
    return "the clusters show no variance, and its limits need none";
  }

  /** Says what the logit is good for. */
  public static String logit() {
    return "the logit keeps its limits within 0 and 100%";
  }

  /** Says why the difference is tested. */
  public static String difference() {
    return "the difference is what was asked for, and its standard error knows of clusters that"
        + " hold both groups";
  }

  /** Says what Rao and Scott's test allows for. */
  public static String raoScott() {
    return "it allows for unequal design effects and for few clusters";
  }
}
