package dev.tavik.data;

import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;

/** Counts, and the order of the first column's levels in the rows that were counted. */
public final class RowsInOrder {
  /** Maximum number of rows in memory. */
  public static final int MOST = 2_000_000;

  private final Tabulation counts;
  private final List<String> levels;
  private final Log log;

  private RowsInOrder(Tabulation counts, List<String> levels, Log log) {
    this.counts = counts;
    this.levels = levels;
    this.log = log;
  }

  /**
   * The counts.
   *
   * @return how often each level occurs, and what was left out
   */
  public Tabulation counts() {
    return counts;
  }

  /**
   * The outcomes in order.
   *
   * @param success the levels of the first column that count as success
   * @return the sequence
   */
  public OutcomeSequence outcomes(Set<String> success) {
    BitSet successes = new BitSet(log.size);
    for (int row = 0; row < log.size; row++) {
      if (success.contains(levels.get(log.numbers[row]))) {
        successes.set(row);
      }
    }
    return OutcomeSequence.of(successes, log.size);
  }

  /** Records the numbers of the levels as rows are read. */
  static final class Log {
    private final String source;
    private short[] numbers = new short[1024];
    private int size;

    Log(String source) {
      this.source = source;
    }

    void add(int level) {
      if (size == MOST) {
        throw new DataException(
            DataException.Code.COUNT,
            "%s has more than %s rows to be followed in order; follow a part of them, or ask for"
                + " the whole without a sequence",
            source,
            Figures.count(MOST));
      }
      if (size == numbers.length) {
        numbers = Arrays.copyOf(numbers, 2 * size);
      }
      numbers[size] = (short) level;
      size++;
    }

    RowsInOrder with(Tabulation counts, List<String> levels) {
      return new RowsInOrder(counts, List.copyOf(levels), this);
    }
  }
}
