package dev.tavik.simulation;

import dev.tavik.association.AssociationMeasure;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/**
 * Makes intervals by resampling the data: percentiles of the resampled values, and the same
 * corrected for bias and acceleration (Efron 1987, "Better bootstrap confidence intervals", Journal
 * of the American Statistical Association 82, 171-185; of two groups Davison and Hinkley 1997,
 * 5.3).
 *
 * <p>They are simulated, and no better than the data are many: where every trial was a success or
 * none, every resample is the same and there is no interval.
 */
public final class Bootstrap {
  private static final int MOST = 200_000;
  private static final double NUDGE = 1e-6;

  /** Offset of the seed, so that resamples use other random numbers than the null world. */
  private static final long APART = 0x5DEECE66DL;

  private Bootstrap() {}

  /**
   * Of one proportion.
   *
   * @param tally the data
   * @param level the confidence level, strictly between 0 and 1
   * @param draws how many resamples, of which at most 200,000 are made
   * @return both intervals; none where every trial was a success or none
   */
  public static List<Interval> ofRate(Tally tally, double level, Draws draws) {
    if (tally.successes() == 0 || tally.failures() == 0) {
      return List.of();
    }
    XoShiRo256PlusPlus random = Engine.generator(draws.seed() ^ APART);
    double[] values = new double[(int) Math.min(MOST, draws.most())];
    for (int i = 0; i < values.length; i++) {
      values[i] =
          (double) CountDraws.binomial(random, tally.trials(), tally.proportion()) / tally.trials();
    }
    double p = tally.proportion();
    double acceleration =
        acceleration(new double[] {cubes(tally, 1)}, new double[] {squares(tally, 1)});
    return intervals(Estimand.PROPORTION, values, p, acceleration, level);
  }

  /**
   * Of difference, ratio and odds ratio.
   *
   * @param first the first tally
   * @param second the second tally
   * @param level the confidence level, strictly between 0 and 1
   * @param draws how many resamples, of which at most 200,000 are made
   * @return both intervals of each; none where every trial of a group was a success or none
   */
  public static List<Interval> ofComparison(Tally first, Tally second, double level, Draws draws) {
    if (Math.min(first.successes(), first.failures()) == 0
        || Math.min(second.successes(), second.failures()) == 0) {
      return List.of();
    }
    XoShiRo256PlusPlus random = Engine.generator(draws.seed() ^ APART);
    double[] ones = new double[(int) Math.min(MOST, draws.most())];
    double[] twos = new double[ones.length];
    double p1 = first.proportion();
    double p2 = second.proportion();
    for (int i = 0; i < ones.length; i++) {
      ones[i] = (double) CountDraws.binomial(random, first.trials(), p1) / first.trials();
      twos[i] = (double) CountDraws.binomial(random, second.trials(), p2) / second.trials();
    }
    List<Interval> all = new ArrayList<>();
    // How a measure moves with each proportion; a factor that both have in common doesn't matter.
    all.addAll(of(Estimand.DIFFERENCE, (a, b) -> a - b, ones, twos, first, second, level, 1, -1));
    all.addAll(
        of(Estimand.RATIO, (a, b) -> a / b, ones, twos, first, second, level, 1 / p1, -1 / p2));
    all.addAll(
        of(
            Estimand.ODDS_RATIO,
            (a, b) -> a / (1 - a) / (b / (1 - b)),
            ones,
            twos,
            first,
            second,
            level,
            1 / (p1 * (1 - p1)),
            -1 / (p2 * (1 - p2))));
    return all;
  }

  /**
   * Of Cramér's V, the units of the table resampled.
   *
   * @param table the data
   * @param level the confidence level, strictly between 0 and 1
   * @param draws how many resamples, of which at most 200,000 are made
   * @return both intervals; none where every unit lies in one cell
   */
  public static List<Interval> ofTable(CrossTable table, double level, Draws draws) {
    int height = table.rows().size();
    int width = table.columns().size();
    double[] counts = new double[height * width];
    for (int i = 0; i < counts.length; i++) {
      counts[i] = table.count(i / width, i % width);
    }
    double n = table.total();
    double estimate = cramersV(counts, height, width);
    double[] influences = new double[counts.length];
    double mean = 0;
    for (int i = 0; i < counts.length; i++) {
      double[] more = counts.clone();
      more[i] += NUDGE * n;
      influences[i] = cramersV(more, height, width) - estimate;
      mean += counts[i] / n * influences[i];
    }
    double cubes = 0;
    double squares = 0;
    for (int i = 0; i < counts.length; i++) {
      double influence = influences[i] - mean;
      cubes += counts[i] * influence * influence * influence;
      squares += counts[i] * influence * influence;
    }
    if (!(squares > 0)) {
      return List.of();
    }
    XoShiRo256PlusPlus random = Engine.generator(draws.seed() ^ APART);
    double[] values = new double[(int) Math.min(MOST, draws.most())];
    double[] resample = new double[counts.length];
    for (int draw = 0; draw < values.length; draw++) {
      long left = table.total();
      double share = n;
      for (int i = 0; i < counts.length; i++) {
        long drawn =
            share <= counts[i] ? left : CountDraws.binomial(random, left, counts[i] / share);
        resample[i] = drawn;
        left -= drawn;
        share -= counts[i];
      }
      values[draw] = cramersV(resample, height, width);
    }
    return intervals(
        Estimand.CRAMERS_V, values, estimate, cubes / (6 * Math.pow(squares, 1.5)), level);
  }

  /**
   * V of counts row by row; a row or column that is empty has no part in X², but keeps its place.
   */
  private static double cramersV(double[] counts, int height, int width) {
    double[] rows = new double[height];
    double[] columns = new double[width];
    for (int i = 0; i < counts.length; i++) {
      rows[i / width] += counts[i];
      columns[i % width] += counts[i];
    }
    double sum = -1;
    for (int i = 0; i < counts.length; i++) {
      if (counts[i] > 0) {
        sum += counts[i] / rows[i / width] * (counts[i] / columns[i % width]);
      }
    }
    return AssociationMeasure.cramersV(Math.max(0, sum), height, width);
  }

  private static List<Interval> of(
      Estimand quantity,
      DoubleBinaryOperator measure,
      double[] ones,
      double[] twos,
      Tally first,
      Tally second,
      double level,
      double moveOne,
      double moveTwo) {
    double[] values = new double[ones.length];
    int made = 0;
    for (int i = 0; i < ones.length; i++) {
      double value = measure.applyAsDouble(ones[i], twos[i]);
      // 0/0 is undefined and carries no information.
      if (!Double.isNaN(value)) {
        values[made++] = value;
      }
    }
    return intervals(
        quantity,
        Arrays.copyOf(values, made),
        measure.applyAsDouble(first.proportion(), second.proportion()),
        acceleration(
            new double[] {cubes(first, moveOne), cubes(second, moveTwo)},
            new double[] {squares(first, moveOne), squares(second, moveTwo)}),
        level);
  }

  /** The sum of cubed influences over n³: of a success 1 - p, of a failure -p. */
  private static double cubes(Tally tally, double move) {
    double p = tally.proportion();
    double q = 1 - p;
    double sum = tally.successes() * q * q * q - tally.failures() * p * p * p;
    return move * move * move * sum / Math.pow((double) tally.trials(), 3);
  }

  private static double squares(Tally tally, double move) {
    double p = tally.proportion();
    return move * move * p * (1 - p) / tally.trials();
  }

  private static double acceleration(double[] cubes, double[] squares) {
    return Arrays.stream(cubes).sum() / (6 * Math.pow(Arrays.stream(squares).sum(), 1.5));
  }

  private static List<Interval> intervals(
      Estimand quantity, double[] values, double estimate, double acceleration, double level) {
    Arrays.sort(values);
    double tail = DecimalFraction.complement(level) / 2;
    double below = 0;
    for (double value : values) {
      double distance = value - estimate;
      boolean same = Math.abs(distance) <= 1e-12 * Math.max(1, Math.abs(estimate));
      below += same ? 0.5 : distance < 0 ? 1 : 0;
    }
    double share = Math.max(0.5, Math.min(values.length - 0.5, below)) / values.length;
    double bias = Normal.upperQuantile(1 - share);
    double deviate = Normal.upperQuantile(tail);
    return List.of(
        new Interval(
            quantity,
            BootstrapInterval.PERCENTILE,
            level,
            Side.TWO_SIDED,
            quantile(values, tail),
            quantile(values, 1 - tail)),
        new Interval(
            quantity,
            BootstrapInterval.CORRECTED,
            level,
            Side.TWO_SIDED,
            quantile(values, moved(bias, -deviate, acceleration)),
            quantile(values, moved(bias, deviate, acceleration))));
  }

  private static double moved(double bias, double deviate, double acceleration) {
    double at = bias + (bias + deviate) / (1 - acceleration * (bias + deviate));
    return Math.exp(Normal.logUpper(-at));
  }

  /** Between order statistics, the k-th standing at k/(n + 1). */
  private static double quantile(double[] sorted, double share) {
    double at = share * (sorted.length + 1) - 1;
    int low = (int) Math.max(0, Math.min(sorted.length - 1, Math.floor(at)));
    int high = Math.min(sorted.length - 1, low + 1);
    double part = Math.max(0, Math.min(1, at - low));
    return part == 0 || sorted[low] == sorted[high]
        ? sorted[low]
        : sorted[low] + part * (sorted[high] - sorted[low]);
  }
}
