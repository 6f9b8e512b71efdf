package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Condition;
import dev.tavik.answer.Condition.State;
import dev.tavik.result.Figures;
import dev.tavik.result.Method;
import java.util.List;

/** What methods take for granted, and whether the data bear it out. */
public final class Assumptions {
  private static final String NORMAL = "enough for the normal approximation";
  private static final String UNSEEN = ". Counts can't show this";
  private static final String COLLECTED = UNSEEN + ": you have to know how they were collected";

  private Assumptions() {}

  static Condition checked(String name, boolean met, String detail) {
    return new Condition(name, met ? State.MET : State.NOT_MET, detail);
  }

  static Condition taken(String name, String detail) {
    return new Condition(name, State.NOT_IN_THE_DATA, detail);
  }

  /** Returns the conditions that a member doesn't meet, with its name. */
  public static List<Condition> failed(String member, List<Condition> conditions) {
    return conditions.stream()
        .filter(each -> each.state() == State.NOT_MET)
        .map(each -> new Condition(member + ", " + each.name(), each.state(), each.detail()))
        .toList();
  }

  /** Returns the conditions that data can't show. */
  public static List<Condition> notTestable(List<Condition> conditions) {
    return conditions.stream().filter(each -> each.state() == State.NOT_IN_THE_DATA).toList();
  }

  /** Returns that each trial of a rate is drawn on its own. */
  public static Condition independentTrials() {
    return taken(
        "independent trials",
        "each trial is drawn on its own, with the same chance. Units from one batch, shift or"
            + " person are often alike; then p-values come out too small and intervals too narrow"
            + COLLECTED);
  }

  /** Returns that units of two groups know nothing of each other. */
  public static Condition independentGroups() {
    return taken(
        "independent units",
        "each unit is in one group only and tells nothing about another. The same units judged"
            + " twice are pairs and want a paired comparison; units of one batch or person are"
            + " often alike, and then p-values come out too small"
            + COLLECTED);
  }

  /** Returns that units of a table know nothing of each other. */
  public static Condition independentCells(boolean strata) {
    return taken(
        "independent units",
        say("each unit stands in one cell%s", strata ? " of one stratum" : "")
            + " and tells nothing about another"
            + COLLECTED);
  }

  /** Returns that units of many columns know nothing of each other. */
  public static Condition independentColumns() {
    return taken(
        "independent units",
        "each unit is in one group and counts once in each column, and tells nothing about"
            + " another"
            + COLLECTED);
  }

  /** Returns that units of shares know nothing of each other. */
  public static Condition independentCategories() {
    return taken(
        "independent units",
        "each unit falls into one category on its own. Units that come in lots are alike, and then"
            + " p-values come out too small"
            + UNSEEN);
  }

  /** Returns that pairs know nothing of each other. */
  public static Condition independentPairs() {
    return taken(
        "independent pairs",
        "both judgements are of the same unit, and one unit tells nothing about another"
            + COLLECTED);
  }

  /** Returns that the same units were classified twice. */
  public static Condition classifiedTwice(String first, String second) {
    return taken(
        "the same units",
        say(
                "each unit was classified once by %s and once by %s, without knowing of the other",
                first, second)
            + UNSEEN);
  }

  /** Returns that every unit was judged by all. */
  public static Condition judgedByEach(List<String> judges) {
    return taken(
        "the same units",
        say(
                "every unit was judged by each of %s, without knowing of the others",
                String.join(", ", judges))
            + UNSEEN);
  }

  /** Returns that claimed shares don't come from the counts. */
  public static Condition claimedBeforehand() {
    return taken(
        "shares claimed beforehand",
        "the shares were not taken from these counts; each one that was costs a degree of"
            + " freedom");
  }

  /** Returns that the sample was drawn at random from a lot. */
  public static Condition drawnFrom(long lot) {
    return taken(
        "random sample",
        say(
            "the units were drawn at random and without replacement from all %s of the lot. Units"
                + " picked because they were at hand, or from one pallet, can mislead at any size",
            Figures.count(lot)));
  }

  /** Returns how often a test rejects where the null is true. */
  public static Condition trueSize(
      Method test, double size, long trials, double alpha, boolean met) {
    return checked(
        "true size",
        met,
        say(
            "where the null is true, the %s test rejects it in %s of samples of %s%s",
            test.id(),
            Figures.percent(size),
            Figures.counted(trials, "trial", "trials"),
            met ? "" : "; alpha is " + Figures.plain(alpha)));
  }

  /**
   * Returns how many successes or failures the null expects.
   *
   * @param name which of the two
   * @param share their share under the null
   * @param expected their number as it is written
   * @param enough how many are enough
   */
  public static Condition expectedOfRate(
      String name, long trials, double share, String expected, long enough, boolean met) {
    return checked(
        name,
        met,
        say(
            "%s x %s = %s under the null%s",
            Figures.count(trials),
            Figures.exactPercent(share),
            expected,
            met ? ", " + NORMAL : "; the normal approximation wants at least " + enough));
  }

  /** Returns that the null expects enough in every group. */
  public static Condition expectedOfEveryRate() {
    return checked(
        "expected successes and failures",
        true,
        "at least 10 each under the null in every group, " + NORMAL);
  }

  /**
   * Returns how many of the scarcest count two equal groups expect.
   *
   * @param expected such as {@code 22.2 successes}
   * @param withVerb such as {@code 22.2 successes are}
   */
  public static Condition expectedOfGroups(
      String expected, String withVerb, long enough, boolean met) {
    return checked(
        "expected counts",
        met,
        "with the same proportion in both groups, "
            + (met
                ? say("each is expected to have at least %s, %s", expected, NORMAL)
                : say(
                    "only %s expected in one; the normal approximation wants at least %s",
                    withVerb, enough)));
  }

  /** Returns that every pair expects enough. */
  public static Condition expectedOfEveryPair() {
    return checked(
        "expected counts",
        true,
        "at least 5 successes and 5 failures are expected in each group of every pair, " + NORMAL);
  }

  /**
   * Returns how small the expected counts of a table are.
   *
   * @param small those under five, in words; empty for none
   */
  public static Condition expectedOfCells(boolean met, String small) {
    return checked(
        "expected counts",
        met,
        small.isEmpty()
            ? "all are at least 5, enough for the chi-square approximation"
            : say(
                "under 5 are %s; the chi-square approximation wants none under 1 and at most a"
                    + " fifth of them under 5",
                small));
  }

  /** Returns how far the expected count of strata is from what the margins allow. */
  public static Condition expectedOfStrata(double room, boolean met) {
    return checked(
        "expected counts",
        met,
        say(
            "over all strata the expected count lies %s from the least or the most that the"
                + " margins allow; the approximation wants at least 5",
            Figures.significant(room, 3)));
  }

  /** Returns how many pairs are discordant. */
  public static Condition discordant(
      String first, long firstOnly, String second, long secondOnly, long enough, boolean met) {
    return checked(
        "discordant pairs",
        met,
        say(
            "%s of them (%s only: %s, %s only: %s)%s",
            Figures.count(firstOnly + secondOnly),
            first,
            Figures.count(firstOnly),
            second,
            Figures.count(secondOnly),
            met ? ", " + NORMAL : "; the normal approximation wants at least " + enough));
  }

  /** Returns how many units were classified differently. */
  public static Condition moved(long moved, long inAll, long each, boolean met) {
    return checked(
        "units classified differently",
        met,
        say(
            "%s; the chi-square approximation of bowker wants at least %d, and %d of each two"
                + " levels that exchanged any",
            Figures.count(moved), inAll, each));
  }

  /** Returns how many units tell several judgements apart. */
  public static Condition telling(long units, int judgements, long least, boolean met) {
    return checked(
        "units that tell the judgements apart",
        met,
        say(
            "%s, times %s; the chi-square approximation wants a product of at least %d",
            Figures.count(units), Figures.counted(judgements, "judgement", "judgements"), least));
  }
}
