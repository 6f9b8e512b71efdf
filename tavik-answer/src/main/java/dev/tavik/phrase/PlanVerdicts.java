package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Caution.Code;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Figures;
import org.jspecify.annotations.Nullable;

/** Verdicts on plans, sentences that could stand in a protocol, and their cautions. */
public final class PlanVerdicts {
  private PlanVerdicts() {}

  /**
   * Says how many observations each group has, such as {@code 750 tiles from each kiln (1,500 in
   * all)}.
   *
   * @param units what is observed
   * @param group what each group comes from; empty for none
   */
  public static String sizes(Sizes sizes, String units, String group) {
    if (sizes.groups().size() == 1) {
      return Figures.counted(sizes.first(), singular(units), units);
    }
    String each =
        sizes.equal()
            ? say(
                "%s %s",
                Figures.counted(sizes.first(), singular(units), units),
                group.isEmpty() ? "in each group" : "from each " + group)
            : say(
                "%s %s and %s %s",
                Figures.counted(sizes.groups().get(0), singular(units), units),
                group.isEmpty() ? "in the base group" : "from the first " + group,
                Figures.count(sizes.groups().get(1)),
                group.isEmpty() ? "in the other" : "from the second");
    return say("%s (%s in all)", each, Figures.count(sizes.total()));
  }

  private static String singular(String units) {
    return units.endsWith("s") && !units.endsWith("ss")
        ? units.substring(0, units.length() - 1)
        : units;
  }

  /** Says from where to where the power of several plans runs. */
  public static String power(String what, double least, double most) {
    return say("The %s runs from %s to %s.", what, Figures.chance(least), Figures.chance(most));
  }

  /** Says how many observations several plans need. */
  public static String needed(long least, long most, String units) {
    return least == most
        ? say(
            "%s in all %s needed.",
            Figures.counted(least, singular(units), units), least == 1 ? "is" : "are")
        : say(
            "From %s to %s %s in all are needed, depending on what is planned.",
            Figures.count(least), Figures.count(most), units);
  }

  /** Says which rates given sizes find. */
  public static String found(String sizes, double below, double above, double power) {
    return say(
        "%s find a rate of %s or less, or of %s or more, with a power of %s.",
        sizes, Figures.rate(below), Figures.rate(above), Figures.chance(power));
  }

  /** Says that effects stand in the table. */
  public static String effects() {
    return "The smallest effects that these sizes find stand in the table.";
  }

  /**
   * A sentence for a protocol.
   *
   * @param sizes the sizes in words
   * @param test the test, or the tests, in words
   * @param several whether it is more than one test
   * @param exact whether the power is exact
   * @param purpose what is to be found, after a blank
   */
  public static String protocol(
      String sizes,
      String test,
      double alpha,
      boolean several,
      boolean exact,
      double power,
      String purpose) {
    return say(
        "With %s, %s at alpha %s %s %s power of %s%s.",
        sizes,
        test,
        Figures.plain(alpha),
        several ? "have" : "has",
        exact ? "an exact" : "a",
        Figures.chance(power),
        purpose);
  }

  /**
   * A sentence for a protocol that plans evidence.
   *
   * @param sizes the sizes in words
   * @param none the null in words
   * @param prior the prior
   * @param threshold the Bayes factor that is wanted
   * @param finding what it reaches that for, as {@link #evidence} says
   * @param unless what is true where it misleads; null where the null is expected
   * @param misled the chance that it misleads
   */
  public static String evidenceProtocol(
      String sizes,
      String none,
      String prior,
      double threshold,
      String finding,
      @Nullable String unless,
      double misled) {
    return say(
        "With %s, the Bayes factor against %s (prior %s) reaches %s for %s; it misleads as"
            + " strongly%s with a chance of %s.",
        sizes,
        none,
        prior,
        Figures.plain(threshold),
        finding,
        unless == null ? ", for the alternative," : say(" if %s after all,", unless),
        Figures.chance(misled));
  }

  /** Says what evidence is found of, with what chance, if something is true. */
  public static String evidence(String what, double chance, String truth) {
    return say("%s with a chance of %s if %s", what, Figures.chance(chance), truth);
  }

  /** Says what the normal approximation says beside an exact plan that leads. */
  public static String besideExact(@Nullable String holdsFrom, long normal) {
    return say(
        "%sThe normal distribution, which doesn't hold where less than one success or failure is"
            + " expected, would say %s.",
        holdsFrom == null ? "" : say("From %s on every number reaches it. ", holdsFrom),
        Figures.count(normal));
  }

  /** Says what the exact power of a plan is. */
  public static String exactly(double power) {
    return "Exactly, the power is " + Figures.chance(power) + ".";
  }

  /** Says what exact power needs instead. */
  public static String exactSizes(String sizes, @Nullable String holdsFrom) {
    return say(
        "By exact power %s reach it%s.",
        sizes, holdsFrom == null ? "" : say(", and from %s on every number does", holdsFrom));
  }

  /** Warns that exact power swings. */
  public static Caution sawTooth(String sizes, String holdsFrom) {
    return new Caution(
        Code.SAW_TOOTH,
        say(
            "Counts are whole numbers, so exact power swings as n grows: %s reach it, some larger"
                + " numbers don't, and from %s on all do. Take those if the number may still change.",
            sizes, holdsFrom));
  }

  /** Warns that a test rejects a true null more often than alpha. */
  public static Caution trueAlpha(double size, double alpha) {
    return new Caution(
        Code.FEW_SUCCESSES,
        say(
            "At this size the test rejects a true null in %s of samples, not in %s. Plan with the"
                + " exact test, or with another size.",
            Figures.percent(size), Figures.exactPercent(alpha)));
  }

  /** Warns that too few are expected for the normal approximation. */
  public static Caution poor(double expected, boolean exact) {
    String number = Figures.upTo(expected, 2);
    return new Caution(
        Code.FEW_SUCCESSES,
        say(
            "Only %s expected somewhere, too few for the normal approximation. %s",
            number.equals("1") ? "1 success or failure is" : number + " successes or failures are",
            exact
                ? "Exact power of the same test stands beside it; plan with that."
                : "Ask for exact power instead."));
  }

  /** Warns that more would have to be invited than there are. */
  public static Caution tooFewToInvite(long invited, long population) {
    return new Caution(
        Code.TOO_FEW_TO_INVITE,
        say(
            "%s would have to be invited, but there %s only %s: accept a wider interval, or raise"
                + " the response.",
            Figures.count(invited), population == 1 ? "is" : "are", Figures.count(population)));
  }

  /**
   * Says how far an interval reaches.
   *
   * @param rates the rates that are expected, in words
   * @param difference whether the interval is of a difference
   * @param worstCase whether rates of one half were taken because none was given
   */
  public static String halfWidth(
      String sizes,
      double level,
      String interval,
      boolean difference,
      double half,
      String rates,
      boolean worstCase) {
    return say(
        "With %s, the %s interval (%s)%s reaches about %s percentage points to either side if"
            + " %s%s.",
        sizes,
        Figures.exactPercent(level),
        interval,
        difference ? " of the difference" : "",
        Figures.points(half),
        rates,
        worstCase ? ", the worst case" : "");
  }

  /** Says how far the intervals of several plans reach. */
  public static String halfWidths(double least, double most) {
    return say(
        "The intervals reach from %s to %s percentage points to either side.",
        Figures.points(least), Figures.points(most));
  }

  /** Says the rates that a plan expects. */
  public static String rates(double first, @Nullable Double second) {
    return second == null
        ? "the rate is " + Figures.rate(first)
        : say("the rates are %s and %s", Figures.rate(first), Figures.rate(second));
  }

  /** Says why there is no plan. */
  public static String none(String reason) {
    return say("No plan: %s.", reason);
  }

  /**
   * Says how likely so much evidence is.
   *
   * @param truth what is taken to be true where the alternative is
   * @param found the chance of evidence for the alternative if that is true
   * @param foundNull the chance of evidence for the null if that is true
   * @param misled the chance of evidence for the null though the alternative is true
   * @param misledNull the chance of evidence for the alternative though the null is true
   */
  public static String forecast(
      long observations,
      double threshold,
      String truth,
      double found,
      double foundNull,
      double misled,
      double misledNull) {
    return say(
        "With %s the Bayes factor will reach %s for the alternative with a chance of %s if %s is"
            + " true, and for the null with a chance of %s if that is; the chance of being misled"
            + " so strongly is %s and %s.",
        Figures.counted(observations, "observation", "observations"),
        Figures.plain(threshold),
        Figures.percent(found),
        truth,
        Figures.percent(foundNull),
        Figures.percent(misled),
        Figures.percent(misledNull));
  }

  /** Says which interval covers nearest to its level, and which covers least. */
  public static String coverage(
      String trials, double level, String nearest, double near, String lowest, double low) {
    return say(
        "With %s, %s intervals: nearest to their level is %s (true coverage %s), lowest covers %s"
            + " (%s).",
        trials,
        Figures.exactPercent(level),
        nearest,
        Figures.finePercent(near),
        lowest,
        Figures.finePercent(low));
  }

  /** Says that only tests were looked at. */
  public static String tests(String trials) {
    return say("Tests with %s.", trials);
  }
}
