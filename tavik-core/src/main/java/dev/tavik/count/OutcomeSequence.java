package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.BitSet;
import java.util.List;

/** The outcomes of trials in the order in which they were made. */
public final class OutcomeSequence {
  private final BitSet successes;
  private final int size;

  private OutcomeSequence(BitSet successes, int size) {
    this.successes = successes;
    this.size = size;
  }

  /**
   * A sequence.
   *
   * @param outcomes whether each trial was a success, at least one
   * @return the sequence
   * @throws IllegalArgumentException if there is none
   */
  public static OutcomeSequence of(List<Boolean> outcomes) {
    BitSet successes = new BitSet();
    for (int i = 0; i < outcomes.size(); i++) {
      successes.set(i, outcomes.get(i));
    }
    return of(successes, outcomes.size());
  }

  /**
   * A sequence.
   *
   * @param successes the positions of the successes, from 0
   * @param size how many trials there are, at least one
   * @return the sequence
   * @throws IllegalArgumentException if there is none, or a position is beyond
   */
  public static OutcomeSequence of(BitSet successes, int size) {
    require(
        size >= 1 && successes.length() <= size,
        "a sequence needs a trial or more, and successes among them, got %s trials and the"
            + " last success at %s",
        size,
        successes.length());
    return new OutcomeSequence((BitSet) successes.clone(), size);
  }

  /**
   * How many trials there are.
   *
   * @return their number, at least one
   */
  public int size() {
    return size;
  }

  /**
   * What became of one.
   *
   * @param trial its position, from 0
   * @return whether it was a success
   */
  public boolean isSuccess(int trial) {
    return successes.get(trial);
  }

  /**
   * All together.
   *
   * @return successes and trials
   */
  public Tally tally() {
    return Tally.of(successes.cardinality(), size);
  }

  /**
   * How many runs of the same outcome there are: few where the trials were sorted.
   *
   * @return their number, at least one
   */
  public int runs() {
    int runs = 1;
    for (int i = 1; i < size; i++) {
      if (successes.get(i) != successes.get(i - 1)) {
        runs++;
      }
    }
    return runs;
  }
}
