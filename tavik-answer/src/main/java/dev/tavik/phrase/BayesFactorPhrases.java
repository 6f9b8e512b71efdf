package dev.tavik.phrase;

import static dev.tavik.result.Figures.say;

import dev.tavik.bayes.Evidence;

/** A Bayes factor in words. */
public final class BayesFactorPhrases {
  private BayesFactorPhrases() {}

  /** Says which of two hypotheses makes the data how many times likelier. */
  public static String words(double logBayesFactor, String alternative, String none) {
    if (Evidence.even(logBayesFactor)) {
      return say("The data are exactly as likely under %s as under %s.", alternative, none);
    }
    boolean favoursNull = logBayesFactor < 0;
    return say(
        "The data are %s times likelier under %s than under %s (Kass and Raftery: %s).",
        Evidence.times(logBayesFactor),
        favoursNull ? none : alternative,
        favoursNull ? alternative : none,
        Evidence.of(logBayesFactor).words());
  }
}
