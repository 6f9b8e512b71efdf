package dev.tavik.association;

import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import java.util.Optional;

/**
 * The odds ratio that all strata have in common, Σ(ad/n)/Σ(bc/n) (Mantel and Haenszel 1959, Journal
 * of the National Cancer Institute 22, 719-748), with the variance of its logarithm by Robins,
 * Breslow and Greenland (1986, Biometrics 42, 311-323).
 */
public final class CommonOddsRatio {
  private CommonOddsRatio() {}

  /**
   * The estimate.
   *
   * @param tables the strata
   * @return the common odds ratio, infinite where no stratum has b·c, NaN where none has a·d
   *     either; its standard error, by the delta method from that of the logarithm, NaN at 0 and
   *     infinity
   */
  public static Estimate of(StratifiedTables tables) {
    Sums sums = sums(tables);
    double ratio = sums.diagonal / sums.other;
    return new Estimate(
        Estimand.COMMON_ODDS_RATIO, "", ratio, ratio * Math.sqrt(sums.logVariance()));
  }

  /**
   * A two-sided interval, symmetric on the log scale.
   *
   * @param tables the strata
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval; none where the estimate is 0, infinite or missing
   * @throws IllegalArgumentException if the level is out of its range
   */
  public static Optional<Interval> interval(StratifiedTables tables, double level) {
    Proportion.require("level", level);
    Sums sums = sums(tables);
    if (!(sums.diagonal > 0 && sums.other > 0)) {
      return Optional.empty();
    }
    double ratio = sums.diagonal / sums.other;
    double reach = Normal.upperQuantile((1 - level) / 2) * Math.sqrt(sums.logVariance());
    return Optional.of(
        new Interval(
            Estimand.COMMON_ODDS_RATIO,
            StrengthInterval.MANTEL_HAENSZEL,
            level,
            Side.TWO_SIDED,
            ratio * Math.exp(-reach),
            ratio * Math.exp(reach)));
  }

  /** Σ of R = ad/n, S = bc/n, PR, PS + QR and QS with P = (a + d)/n and Q = (b + c)/n. */
  private record Sums(double diagonal, double other, double alike, double mixed, double otherwise) {
    double logVariance() {
      return diagonal > 0 && other > 0
          ? alike / (2 * diagonal * diagonal)
              + mixed / (2 * diagonal * other)
              + otherwise / (2 * other * other)
          : Double.NaN;
    }
  }

  private static Sums sums(StratifiedTables tables) {
    double diagonal = 0;
    double other = 0;
    double alike = 0;
    double mixed = 0;
    double otherwise = 0;
    for (Stratum stratum : tables.strata()) {
      double a = stratum.first().successes();
      double b = stratum.first().failures();
      double c = stratum.second().successes();
      double d = stratum.second().failures();
      double n = a + b + c + d;
      double r = a * d / n;
      double s = b * c / n;
      double p = (a + d) / n;
      double q = (b + c) / n;
      diagonal += r;
      other += s;
      alike += p * r;
      mixed += p * s + q * r;
      otherwise += q * s;
    }
    return new Sums(diagonal, other, alike, mixed, otherwise);
  }
}
