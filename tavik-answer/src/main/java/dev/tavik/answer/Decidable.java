package dev.tavik.answer;

import java.util.function.BooleanSupplier;

/**
 * Says whether the test that a verdict rests on could have rejected at any outcome that these
 * numbers of observations allow; where it could not, the data decide nothing. It has nothing to
 * read.
 */
public final class Decidable implements Finding {
  private final BooleanSupplier rejecting;

  private Decidable(BooleanSupplier rejecting) {
    this.rejecting = rejecting;
  }

  /**
   * Computes the result when asked, which may take a test or two.
   *
   * @param rejecting whether some outcome would have been rejected
   * @return the same, said when it is asked
   */
  public static Decidable of(BooleanSupplier rejecting) {
    return new Decidable(rejecting);
  }

  /** {@return whether some outcome would have been rejected} */
  public boolean possible() {
    return rejecting.getAsBoolean();
  }
}
