package dev.tavik.bench;

import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.SplittableRandom;

/** Bayesian views. */
final class BayesWork {
  private static final int MILLION = 1_000_000;

  private BayesWork() {}

  static List<Benchmark> all() {
    List<Benchmark> work = new ArrayList<>();
    BetaPrior prior = BetaPrior.UNIFORM;
    BitSet successes = new BitSet();
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < MILLION; i++) {
      successes.set(i, random.nextDouble() < 0.052);
    }
    OutcomeSequence sequence = OutcomeSequence.of(successes, MILLION);
    for (Alternative side : List.of(Alternative.LESS, Alternative.TWO_SIDED)) {
      work.add(
          Benchmark.of(
              "a sequence of 1000000, " + side.id(),
              i -> sequence(successes, against(i)),
              i ->
                  BayesFactorPath.of(sequence, new Hypothesis(against(i), side), prior)
                      .log(MILLION - 1),
              "7-9",
              "2"));
    }
    for (long n : new long[] {400, MILLION}) {
      work.add(
          Benchmark.of(
              "odds ratio, highest density, n = " + n,
              i -> compared(prior, n, i).equalTailed(Estimand.ODDS_RATIO, 0.95).lower(),
              i -> compared(prior, n, i).highestDensity(Estimand.ODDS_RATIO, 0.95).lower(),
              "10",
              "3"));
    }
    return work;
  }

  private static double against(int i) {
    return 0.05 + i % 10 * 1e-4;
  }

  private static ComparedRates compared(BetaPrior prior, long n, int i) {
    return ComparedRates.of(
        prior, Tally.of(MethodWork.some(n, i), n), Tally.of(MethodWork.some(n, i + 5), n));
  }

  /** The two logarithms that every step needs: of the density's change and of the tail over it. */
  private static double sequence(BitSet successes, double p) {
    double a = 1;
    double b = 1;
    double density = 0;
    double ratio = 1;
    double[] logs = new double[MILLION];
    for (int i = 0; i < MILLION; i++) {
      boolean success = successes.get(i);
      ratio = (success ? a * ratio + 1 : b * ratio - 1) / ((success ? p : 1 - p) * (a + b));
      ratio = ratio > 0 ? ratio : 1;
      density += Math.log(success ? p * (a + b) / a : (1 - p) * (a + b) / b);
      a += success ? 1 : 0;
      b += success ? 0 : 1;
      logs[i] = Math.log(ratio) - density;
    }
    return logs[MILLION - 1];
  }
}
