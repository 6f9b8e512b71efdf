package dev.tavik.study.compare;

import dev.tavik.answer.Condition;
import dev.tavik.count.Tally;
import dev.tavik.phrase.Assumptions;
import dev.tavik.result.Figures;

/**
 * The smallest of the four counts to expect if both groups have the same proportion; the common
 * rule wants five of each for the normal approximation.
 */
record PooledExpectation(double smallest, boolean ofSuccesses) {
  private static final int ENOUGH = 5;

  static PooledExpectation of(Tally first, Tally second) {
    double total = first.trials() + second.trials();
    long successes = first.successes() + second.successes();
    long failures = first.failures() + second.failures();
    long smaller = Math.min(first.trials(), second.trials());
    boolean fewSuccesses = successes <= failures;
    return new PooledExpectation(smaller * (Math.min(successes, failures) / total), fewSuccesses);
  }

  boolean enough() {
    return smallest >= ENOUGH * (1 - 1e-12);
  }

  /** Such as {@code 1 success is} or {@code 22.2 successes are}. */
  String withVerb() {
    String counted = inWords();
    return counted + (counted.startsWith("1 ") ? " is" : " are");
  }

  String inWords() {
    String number = Figures.plain(Double.parseDouble(Figures.significant(smallest, 3)));
    return ofSuccesses
        ? Figures.counted(number, "success", "successes")
        : Figures.counted(number, "failure", "failures");
  }

  Condition condition() {
    return Assumptions.expectedOfGroups(inWords(), withVerb(), ENOUGH, enough());
  }
}
