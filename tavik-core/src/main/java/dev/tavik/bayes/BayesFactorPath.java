package dev.tavik.bayes;

import dev.tavik.count.OutcomeSequence;
import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import java.util.Arrays;
import java.util.stream.DoubleStream;

/** How the Bayes factor of a rate moves with every observation. */
public final class BayesFactorPath {
  /** Loss of digits after which a tail that is updated step by step is computed anew. */
  private static final double MOST_LOSS = 300;

  private static final double HALF = Math.log(0.55);

  private final double[] logs;

  private BayesFactorPath(double[] logs) {
    this.logs = logs;
  }

  /**
   * Follows a sequence.
   *
   * @param sequence the outcomes in their order
   * @param hypothesis the null value and the alternative
   * @param prior what is believed of the proportion under the alternative
   * @return the Bayes factor after each observation, each as right as {@link RateBayesFactor#log},
   *     the last equal to it
   */
  public static BayesFactorPath of(
      OutcomeSequence sequence, Hypothesis hypothesis, BetaPrior prior) {
    DecimalFraction against = DecimalFraction.of(hypothesis.against());
    Beta before = new Beta(prior.a(), prior.b());
    double start = before.logDensity(against);
    Alternative side = hypothesis.alternative();
    double share =
        switch (side) {
          case TWO_SIDED -> 0;
          case LESS -> before.logLower(against);
          case GREATER -> before.logUpper(against);
        };
    double[] logs = new double[sequence.size()];
    Density density = new Density(against, prior);
    Tail tail = new Tail(against, side == Alternative.LESS);
    for (int i = 0; i < logs.length; i++) {
      boolean success = sequence.isSuccess(i);
      if (side == Alternative.TWO_SIDED) {
        logs[i] = start - density.step(success);
      } else {
        tail.step(success, density.a, density.b);
        density.step(success);
        logs[i] = start + tail.overDensity(density) - share;
      }
    }
    logs[logs.length - 1] = RateBayesFactor.log(sequence.tally(), hypothesis, prior);
    return new BayesFactorPath(logs);
  }

  /**
   * How many observations there are.
   *
   * @return their number, at least one
   */
  public int size() {
    return logs.length;
  }

  /**
   * After some observations.
   *
   * @param observations how many, from 1
   * @return ln of the Bayes factor, alternative over null
   */
  public double log(int observations) {
    return logs[observations - 1];
  }

  /**
   * All of them.
   *
   * @return ln of the Bayes factor after each observation
   */
  public DoubleStream logs() {
    return Arrays.stream(logs);
  }

  /**
   * The logarithm of a posterior's density at the null value, followed from observation to
   * observation: one more success multiplies the density by p(a + b)/a. It is computed anew now and
   * then, so that rounding doesn't add up.
   */
  private static final class Density {
    private static final int ANEW = 256;

    private final DecimalFraction against;
    private double a;
    private double b;
    private double log;
    private int steps;

    Density(DecimalFraction against, BetaPrior prior) {
      this.against = against;
      this.a = prior.a();
      this.b = prior.b();
    }

    double step(boolean success) {
      double factor =
          success ? against.value() * ((a + b) / a) : against.complement() * ((a + b) / b);
      a += success ? 1 : 0;
      b += success ? 0 : 1;
      log = steps % ANEW == 0 ? whole().logDensity(against) : log + Math.log(factor);
      steps++;
      return log;
    }

    Beta whole() {
      return new Beta(a, b);
    }
  }

  /**
   * The tail of a posterior on one side of the null value, followed from observation to observation
   * as a multiple of the density: one more success adds to the upper tail and takes from the lower
   * one what the density says. Only the smaller tail is followed, and where it shrinks so that
   * digits are lost, it is computed anew.
   */
  private static final class Tail {
    private final DecimalFraction against;
    private final double logWidth;
    private final boolean lowerWanted;
    private boolean lower;
    private double ratio = Double.NaN;
    private double loss;

    Tail(DecimalFraction against, boolean lowerWanted) {
      this.against = against;
      this.logWidth = Math.log(against.value()) + Math.log(against.complement());
      this.lowerWanted = lowerWanted;
    }

    /** Adds one observation to a and b. */
    void step(boolean success, double a, double b) {
      double own = success ? a : b;
      double scaled = own * ratio;
      double changed = success == lower ? scaled - 1 : scaled + 1;
      loss = Math.abs(loss * scaled / changed) + 1;
      ratio = changed / ((success ? against.value() : against.complement()) * (a + b));
    }

    /** ln of the wanted tail over the density; no large logarithms cancel. */
    double overDensity(Density posterior) {
      double density = posterior.log;
      double log = Math.log(ratio) + density + logWidth;
      if (!(loss < MOST_LOSS) || !(log < HALF)) {
        Beta after = posterior.whole();
        lower = after.lowerIsSmaller(against);
        ratio = after.smallerTailRatio(against);
        loss = 1;
        log = Math.min(0, Math.log(ratio) + density + logWidth);
      }
      return lower == lowerWanted
          ? Math.log(ratio) + logWidth
          : Math.log1p(-Math.exp(log)) - density;
    }
  }
}
