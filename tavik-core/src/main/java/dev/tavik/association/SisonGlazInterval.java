package dev.tavik.association;

import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/**
 * Sison and Glaz (1995, "Simultaneous confidence intervals and sample size determination for
 * multinomial proportions", Journal of the American Statistical Association 90, 366-369).
 *
 * <p>ν(c) is the probability that every count of a multinomial sample with the observed shares is
 * within c of the observed one. With ν(c) &lt; level ≤ ν(c + 1), the limits are p - c/n and p + (c
 * + 2γ)/n, γ = (level - ν(c))/(ν(c + 1) - ν(c)).
 *
 * <p>Multinomial counts are Poisson ones, given their sum; ν is the observed outcome's probability
 * times the sum, over all deviations that cancel, of the products of Poisson ratios: a convolution
 * of k short arrays or, of many categories, a product of characteristic functions, where the paper
 * takes an Edgeworth approximation.
 */
final class SisonGlazInterval {
  /** Multiplications that one sum may take; a search needs about six sums. */
  private static final double MOST_WORK = 4e8;

  /** Cost of one point in multiplications. */
  private static final double OF_A_WAVE = 4;

  /** Number of standard deviations from the mean beyond which sums don't occur. */
  private static final double DEVIATIONS = 12;

  private static final double SILENT = 1e-22;

  private final CategoryCounts counts;
  private final double logObserved;
  private final Map<Long, Double> known = new HashMap<>();

  private SisonGlazInterval(CategoryCounts counts) {
    this.counts = counts;
    this.logObserved = logObserved(counts);
  }

  static List<Interval> of(SharesInterval method, CategoryCounts counts, double level) {
    SisonGlazInterval search = new SisonGlazInterval(counts);
    long most = 0;
    for (long count : counts.counts()) {
      most = Math.max(most, Math.max(count, counts.total() - count));
    }
    long guess = Math.min(most, search.guess(level));
    long step = 1;
    long c = guess;
    while (c > 0 && search.within(c) >= level) {
      c = Math.max(0, c - step);
      step *= 2;
    }
    step = 1;
    long beyond = Math.max(c + 1, guess);
    while (beyond < most && search.within(beyond) < level) {
      c = beyond;
      beyond += step;
      step *= 2;
    }
    while (beyond - c > 1) {
      long middle = c + (beyond - c) / 2;
      if (search.within(middle) < level) {
        c = middle;
      } else {
        beyond = middle;
      }
    }
    if (search.within(0) >= level) {
      c = -1;
    }
    double below = c < 0 ? 0 : search.within(c);
    double gamma = (level - below) / (search.within(c + 1) - below);
    double n = counts.total();
    List<Interval> intervals = new ArrayList<>();
    for (long count : counts.counts()) {
      intervals.add(
          method.share(
              level,
              Math.max(0, (count - Math.max(0, c)) / n),
              Math.min(1, (count + Math.max(0, c) + 2 * gamma) / n)));
    }
    return intervals;
  }

  /** Where all counts together would be within c of theirs, were they independent and normal. */
  private long guess(double level) {
    double n = counts.total();
    DoubleUnaryOperator logWithin =
        c ->
            counts.counts().stream()
                .filter(count -> count > 0 && count < counts.total())
                .mapToDouble(
                    count ->
                        Math.log1p(
                            -2
                                * Math.exp(
                                    Normal.logUpper(
                                        (c + 0.5) / Math.sqrt(count * (1 - count / n))))))
                .sum();
    return Bisection.first(
        0, counts.total(), c -> logWithin.applyAsDouble((double) c) >= Math.log(level));
  }

  /** The probability of the observed counts if the shares are the observed ones. */
  private static double logObserved(CategoryCounts counts) {
    double log = 0;
    long left = counts.total();
    for (long count : counts.counts()) {
      if (count > 0 && count < left) {
        DecimalFraction share =
            new DecimalFraction((double) count / left, 0, (double) (left - count) / left);
        log += new Binomial(left, share).logMass(count);
      }
      left -= count;
    }
    return log;
  }

  /** ν(c). */
  private double within(long c) {
    return known.computeIfAbsent(c, this::summed);
  }

  private double summed(long c) {
    double byArrays = (double) counts.size() * counts.size() * c * c;
    double byWaves = counts.size() * (2.0 * c + 1) * OF_A_WAVE * waves((double) c);
    if (Math.min(byArrays, byWaves) > MOST_WORK) {
      throw new NotApplicableException(NotApplicableReason.LONG_SUM);
    }
    return byArrays <= byWaves ? byArrays(c) : byWaves(c);
  }

  /** Estimates how many points of the circle matter: few if there are many categories. */
  private double waves(double c) {
    double root = Math.sqrt(counts.size());
    double points = 2 * DEVIATIONS * c * root;
    double lobe = Math.pow(SILENT, -1.0 / counts.size()) / Math.PI;
    return Math.min(points / 2, DEVIATIONS * root * (2 * lobe + 2));
  }

  /** The deviations of the categories so far, by their sum, from -(kc) to kc. */
  private double byArrays(long c) {
    int reach = (int) c;
    double[] sums = {1};
    double logScale = logObserved;
    for (long count : counts.counts()) {
      double[] ratios = poissonRatios(count, reach);
      double[] next = new double[sums.length + 2 * reach];
      for (int i = 0; i < sums.length; i++) {
        for (int j = 0; j < ratios.length && sums[i] > 0; j++) {
          next[i + j] += sums[i] * ratios[j];
        }
      }
      // The largest is kept at 1: of many categories the sums would pass what a double holds.
      double largest = Arrays.stream(next).max().orElse(1);
      logScale += Math.log(largest);
      Arrays.setAll(next, i -> next[i] / largest);
      sums = next;
    }
    return Math.min(1, Math.exp(logScale + Math.log(sums[sums.length / 2])));
  }

  /**
   * The chance that deviations of all categories, each within c, cancel: the mean over a circle of
   * the product of their characteristic functions, at more points than sums can be apart, so that
   * none is taken for another. Away from 0 the product soon vanishes.
   */
  private double byWaves(long c) {
    int categories = counts.size();
    int reach = (int) c;
    double[][] shares = new double[categories][];
    double logScale = logObserved;
    double mean = 0;
    double variance = 0;
    for (int i = 0; i < categories; i++) {
      double[] ratios = poissonRatios(counts.counts().get(i), reach);
      double sum = Arrays.stream(ratios).sum();
      double first = 0;
      double second = 0;
      for (int j = 0; j < ratios.length; j++) {
        ratios[j] /= sum;
        first += (j - reach) * ratios[j];
        second += (double) (j - reach) * (j - reach) * ratios[j];
      }
      shares[i] = ratios;
      logScale += Math.log(sum);
      mean += first;
      variance += second - first * first;
    }
    double apart = 2 * Math.ceil(Math.abs(mean) + DEVIATIONS * Math.sqrt(variance)) + 1;
    double points = Math.min(2.0 * categories * reach + 1, apart);
    return Math.min(1, Math.exp(logScale + Math.log(cancelling(shares, points))));
  }

  /** The mean over so many points; those of both halves of the circle are alike. */
  private static double cancelling(double[][] shares, double points) {
    int reach = shares[0].length / 2;
    double sum = 1;
    double silent = 0;
    // Of a sum of few deviations the product comes and goes, with a wave of 2π/c at most.
    double wave = points / Math.max(1, reach);
    for (double k = 1; 2 * k < points && silent <= wave; k++) {
      double part = product(shares, 2 * Math.PI * k / points);
      sum += 2 * part;
      silent = Math.abs(part) < SILENT ? silent + 1 : 0;
    }
    return sum / points;
  }

  /** The real part of the product of Σ shareⱼ e^(i t (j - c)), each by Horner's rule. */
  private static double product(double[][] shares, double t) {
    double cosine = Math.cos(t);
    double sine = Math.sin(t);
    double re = 1;
    double im = 0;
    int reach = shares[0].length / 2;
    double backRe = Math.cos(reach * t);
    double backIm = -Math.sin(reach * t);
    for (double[] share : shares) {
      double x = 0;
      double y = 0;
      for (int j = share.length - 1; j >= 0; j--) {
        double turned = x * cosine - y * sine + share[j];
        y = x * sine + y * cosine;
        x = turned;
      }
      double ownRe = x * backRe - y * backIm;
      double ownIm = x * backIm + y * backRe;
      double next = re * ownRe - im * ownIm;
      im = re * ownIm + im * ownRe;
      re = next;
      if (Math.abs(re) + Math.abs(im) < SILENT) {
        return 0;
      }
    }
    return re;
  }

  /**
   * The Poisson probabilities around a count that is its own mean, as multiples of that count's.
   */
  private static double[] poissonRatios(long count, int reach) {
    double[] ratios = new double[2 * reach + 1];
    ratios[reach] = 1;
    for (int away = 1; away <= reach; away++) {
      ratios[reach + away] = ratios[reach + away - 1] * (count / (double) (count + away));
      ratios[reach - away] =
          count - away < 0 ? 0 : ratios[reach - away + 1] * ((count - away + 1) / (double) count);
    }
    return ratios;
  }
}
