package dev.tavik.study.rate;

import dev.tavik.answer.Answer;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.plot.Plots;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What rates are asked of, by value: tallies or a designed sample. */
interface RateSample {
  /**
   * Fills in the methods that are usual for such data where none was chosen.
   *
   * @throws IllegalArgumentException if a setting doesn't fit the data
   */
  RateSettings complete(RateSettings settings);

  /** The rates, and what the data contribute to the answer about them. */
  Rates rates(RateQuestion question);

  Plots plots(RateQuestion question, Answer answer);

  /** The tally, where there is one alone. */
  default Optional<Tally> tally() {
    return Optional.empty();
  }

  /** The outcomes in their order, where they are followed. */
  default @Nullable OutcomeSequence sequence() {
    return null;
  }
}
