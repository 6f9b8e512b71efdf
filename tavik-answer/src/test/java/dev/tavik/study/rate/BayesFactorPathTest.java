package dev.tavik.study.rate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BayesFactorPathTest {
  private static OutcomeSequence random(int size, double rate, int seed) {
    Random random = new Random(seed);
    BitSet successes = new BitSet();
    for (int i = 0; i < size; i++) {
      successes.set(i, random.nextDouble() < rate);
    }
    return OutcomeSequence.of(successes, size);
  }

  /** Tails that are followed step by step are those that are computed for each tally alone. */
  @ParameterizedTest
  @CsvSource({
    "0.05, 0.05, 4000, 1, 1",
    "0.05, 0.5, 4000, 1, 1",
    "0.5, 0.45, 4000, 0.5, 0.5",
    "0.9, 0.2, 2000, 2, 30",
    "0.3, 0.31, 60000, 1, 1"
  })
  void everyPointIsTheBayesFactorOfWhatWasSeen(
      double against, double rate, int size, double a, double b) {
    OutcomeSequence sequence = random(size, rate, size);
    BetaPrior prior = new BetaPrior(a, b);
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(against, alternative);
      BayesFactorPath path = BayesFactorPath.of(sequence, hypothesis, prior);
      assertThat(path.size()).isEqualTo(size);
      int step = size / 2000;
      long successes = 0;
      for (int i = 1; i <= size; i++) {
        successes += sequence.isSuccess(i - 1) ? 1 : 0;
        if (i % step == 0) {
          double alone = RateBayesFactor.log(Tally.of(successes, i), hypothesis, prior);
          assertThat(path.log(i))
              .as("%s after %d", alternative.id(), i)
              .isCloseTo(alone, within(1e-11 * Math.max(0.1, Math.abs(alone))));
        }
      }
      assertThat(path.log(size))
          .isEqualTo(RateBayesFactor.log(sequence.tally(), hypothesis, prior));
    }
  }

  private static Answer followed(OutcomeSequence sequence) {
    return RateQuestion.of(sequence.tally(), 0.3).following(sequence).ask();
  }

  @Test
  void rowsSortedByTheirOutcomeAreNoticed() {
    BitSet first = new BitSet();
    first.set(0, 30);
    Answer sorted = followed(OutcomeSequence.of(first, 100));
    assertThat(sorted.cautions())
        .extracting(Caution::code)
        .contains(Caution.Code.SORTED_BY_OUTCOME);
    Answer shuffled = followed(random(100, 0.3, 3));
    assertThat(shuffled.cautions())
        .extracting(Caution::code)
        .doesNotContain(Caution.Code.SORTED_BY_OUTCOME);
    assertThat(followed(OutcomeSequence.of(List.of(true))).cautions())
        .extracting(Caution::code)
        .doesNotContain(Caution.Code.SORTED_BY_OUTCOME);
  }

  @Test
  void placesAlongThePathAreItsOwn() {
    Answer answer = followed(random(103, 0.5, 9));
    Posterior bayes = answer.find(Posterior.class).orElseThrow();
    assertThat(bayes.sequence()).hasSize(103);
    assertThat(bayes.sequence().get(102)).isEqualTo(bayes.logBayesFactor());
    int best = bayes.sequence().indexOf(Collections.max(bayes.sequence())) + 1;
    String read = answer.reading(Detail.FINDINGS).toString();
    assertThat(read)
        .contains("Followed through the file in its order")
        .contains("Most for the alternative after " + best + ":");
    assertThat(followed(OutcomeSequence.of(List.of(true, false))).find(Posterior.class))
        .isPresent();
  }

  @Test
  void whatIsNoSequenceIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> OutcomeSequence.of(List.of()))
        .withMessageContaining("a trial or more");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                RateQuestion.of(Tally.of(1, 3), 0.3)
                    .following(OutcomeSequence.of(List.of(true, false))))
        .withMessageContaining("the same counts");
  }
}
