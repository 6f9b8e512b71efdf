package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Condition;
import dev.tavik.result.Figures;

/** What estimates by a design take for granted, and whether the sample bears it out. */
public final class DesignAssumptions {
  private DesignAssumptions() {}

  /** Returns that the design is as it was told. */
  public static Condition designAsTold() {
    return Assumptions.taken(
        "the design",
        "the first-stage clusters of a stratum were drawn independently, and the weights make up"
            + " for unequal chances and for those who didn't answer. The data can't show this: you"
            + " have to know how they were collected");
  }

  /** Returns how many degrees of freedom a design has. */
  public static Condition degrees(String degrees, String from, boolean met) {
    return Assumptions.checked(
        "degrees of freedom",
        met,
        say(
            "%s from %s%s",
            degrees,
            from,
            met
                ? ", enough for a precise standard error"
                : "; fewer than 12 make standard errors imprecise"));
  }

  /** Returns how many clusters, or rows, the smallest stratum has. */
  public static Condition smallestStratum(String name, String clusters, boolean met) {
    return Assumptions.checked("smallest stratum", met, say("%s has %s", name, clusters));
  }

  /** Returns how unequal weights are. */
  public static Condition weights(double least, double greatest, double share, boolean met) {
    return Assumptions.checked(
        "weights",
        met,
        say(
            "from %s to %s, the largest holds %s of their sum",
            Figures.upTo(least, 4), Figures.upTo(greatest, 4), Figures.percent(share)));
  }
}
