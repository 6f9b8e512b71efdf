package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.tavik.count.CrossTable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A budget is a budget: of steps, which are counted, with a clock that only guards. */
class ComputeBudgetTest {
  private static final long FIXED_CLOCK = 7;

  private static CrossTable table(int rows, int columns, int units) {
    SplittableRandom random = new SplittableRandom(31L * rows + columns + units);
    long[][] cells = new long[rows][columns];
    for (int i = 0; i < units; i++) {
      // No row and no column is empty.
      int row = i < rows ? i : random.nextInt(rows);
      cells[row][i < columns ? i : random.nextInt(columns)]++;
    }
    return CrossTable.of(cells);
  }

  /** Answered or declined, no more is spent, and twice the same. */
  @ParameterizedTest
  @CsvSource({
    "5, 6, 60",
    "5, 6, 150",
    "3, 50, 400",
    "7, 7, 60",
    "7, 7, 150",
    "4, 4, 400",
    "3, 12, 400",
    "4, 8, 150",
    "5, 5, 100",
    "2, 200, 900",
    "3, 3, 3000",
    "9, 9, 60"
  })
  void noTableTakesMoreThanItsBudget(int rows, int columns, int units) {
    CrossTable table = table(rows, columns, units);
    double seconds = 0.2;
    long budget = (long) (seconds * ComputeBudget.STEPS_A_SECOND);
    long[] spent = new long[2];
    String[] answers = new String[2];
    for (int turn = 0; turn < 2; turn++) {
      ComputeBudget work = ComputeBudget.of(seconds, 10, () -> FIXED_CLOCK);
      try {
        answers[turn] = String.valueOf(ExactTable.pValue(table, work));
      } catch (NotApplicableException e) {
        answers[turn] = e.getMessage();
        assertThat(e.reason()).isEqualTo(NotApplicableReason.OVER_BUDGET);
        assertThat(e.values()).startsWith(0.2);
      }
      spent[turn] = work.spent();
    }
    assertThat(spent[0]).isBetween(1L, budget + budget / 10).isEqualTo(spent[1]);
    assertThat(answers[0]).isEqualTo(answers[1]);
  }

  /** A machine that is three times as slow as any that was timed is not waited for. */
  @Test
  void theClockEndsWhatTakesThreeTimesAsLong() {
    AtomicLong clock = new AtomicLong();
    ComputeBudget slow = ComputeBudget.of(1, 10, clock::get);
    slow.spend(4_000_000);
    clock.set(2_900_000_000L);
    slow.spend(4_000_000);
    clock.set(3_100_000_000L);
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> slow.spend(4_000_000))
        .withMessageStartingWith("over-budget (1.0, ");
    assertThat(slow.spent()).isEqualTo(12_000_000);
  }
}
