package dev.tavik.proportion;

import java.util.Arrays;
import java.util.PriorityQueue;

/**
 * The supremum over a common proportion π of Σ h(s) b(s; N, π), the chance of being at least as
 * extreme.
 *
 * <p>In θ = asin √π the information on one trial is 4 whatever θ is, and the second derivative of
 * the sum is at most 4N times the range of h: with ℓ the log likelihood it is E[h (ℓ″ + ℓ′²)],
 * where E[ℓ″ + ℓ′²] = 0, -E[ℓ″] = E[ℓ′²] = 4N. So between two points the sum stays below the line
 * that joins them plus a parabola, and branch and bound finds the supremum reliably, however many
 * peaks there are: intervals are halved, the most promising first, until none can hold more than
 * the best point by a relative 4·10⁻¹⁰.
 *
 * @param logSize the natural logarithm of the supremum
 * @param proportion the proportion at which it is reached; 0 or 1 where it is approached at an end
 */
record SizeSupremum(double logSize, double proportion) {
  private static final double TOLERANCE = 4e-10;
  private static final double NEGLIGIBLE = 1e-19;

  /** Number of standard deviations beyond which the binomial has a probability below 10⁻²³. */
  private static final double BEYOND = 10;

  /** Contribution to the curvature of totals farther out. */
  private static final double NOTHING = 1e-12;

  private static final int MOST_EVALUATIONS = 1_000_000;

  private record Piece(double from, double size, double to, double sizeAtEnd, double bound) {}

  static SizeSupremum of(double[] logs) {
    double largest = Double.NEGATIVE_INFINITY;
    for (double each : logs) {
      largest = Math.max(largest, each);
    }
    if (largest == Double.NEGATIVE_INFINITY) {
      throw new ArithmeticException("no table is as extreme as the observed one");
    }
    SizeSupremum scaled = new Search(scaled(logs, largest)).largest(Double.POSITIVE_INFINITY);
    return new SizeSupremum(largest + scaled.logSize(), scaled.proportion());
  }

  /** Whether the supremum is above a value, which is known long before the supremum itself. */
  static boolean exceeds(double[] logs, double value) {
    double largest = Arrays.stream(logs).max().orElseThrow();
    double wanted = value / Math.exp(largest);
    return wanted < 1
        && Math.exp(new Search(scaled(logs, largest)).largest(wanted).logSize()) > wanted;
  }

  private static double[] scaled(double[] logs, double largest) {
    return Arrays.stream(logs).map(log -> Math.exp(log - largest)).toArray();
  }

  private static final class Search {
    private final double[] heights;
    private final int trials;
    private final double curvature;
    private double best = -1;
    private double bestAngle;
    private int evaluations;

    Search(double[] heights) {
      this.heights = heights;
      this.trials = heights.length - 1;
      double least = 1;
      for (double height : heights) {
        least = Math.min(least, height);
      }
      this.curvature = 4.0 * trials * (1 - least);
    }

    /** The supremum; or any size above a value that is enough, or one below if all are. */
    SizeSupremum largest(double enough) {
      PriorityQueue<Piece> pieces =
          new PriorityQueue<>((one, two) -> Double.compare(two.bound(), one.bound()));
      // 1. Peaks are about 1/√N wide on this scale, so that many intervals are a good beginning.
      int parts = 4 + 2 * (int) Math.sqrt((double) trials);
      double from = 0;
      double size = at(from);
      for (int part = 1; part <= parts; part++) {
        double to = Math.PI / 2 * part / parts;
        double sizeAtEnd = at(to);
        pieces.add(piece(from, size, to, sizeAtEnd));
        from = to;
        size = sizeAtEnd;
      }
      // 2. The interval with the highest bound is halved, until no bound is above the best point or
      // it is known on which side of the wanted value the supremum lies.
      boolean wanted = enough < Double.POSITIVE_INFINITY;
      while (!pieces.isEmpty()
          && pieces.peek().bound() > best * (1 + TOLERANCE)
          && !(wanted && (best > enough || pieces.peek().bound() <= enough))) {
        Piece piece = pieces.remove();
        double middle = piece.from() + (piece.to() - piece.from()) / 2;
        double sizeThere = at(middle);
        pieces.add(piece(piece.from(), piece.size(), middle, sizeThere));
        pieces.add(piece(middle, sizeThere, piece.to(), piece.sizeAtEnd()));
      }
      // 3. The proportion is sin² θ.
      double sine = Math.sin(bestAngle);
      return new SizeSupremum(Math.log(best), sine * sine);
    }

    /** The line between the ends plus the parabola of the largest curvature. */
    private Piece piece(double from, double size, double to, double sizeAtEnd) {
      double width = to - from;
      double bow = curvature(from, to) * width * width / 2;
      double rise = Math.abs(sizeAtEnd - size);
      double bound =
          rise >= bow
              ? Math.max(size, sizeAtEnd)
              : (size + sizeAtEnd) / 2 + bow / 4 + rise * rise / (4 * bow);
      // A mean is at most the largest of what is averaged, of which 1 is the largest of all.
      return new Piece(from, size, to, sizeAtEnd, Math.min(1, bound));
    }

    /**
     * Only totals that occur at such proportions count: where h is nearly the same for all of them,
     * as on a plateau, the sum hardly bends.
     */
    private double curvature(double from, double to) {
      double least = Math.sin(from);
      double most = Math.sin(to);
      double deviation = Math.sqrt(trials) / 2;
      int first = (int) Math.max(0, trials * least * least - BEYOND * deviation);
      int last = (int) Math.min(trials, Math.ceil(trials * most * most + BEYOND * deviation));
      if (last - first > trials / 2) {
        return curvature;
      }
      double low = heights[first];
      double high = low;
      for (int s = first + 1; s <= last; s++) {
        low = Math.min(low, heights[s]);
        high = Math.max(high, heights[s]);
      }
      return Math.min(curvature, 4.0 * trials * (high - low) + NOTHING);
    }

    private double at(double angle) {
      if (++evaluations > MOST_EVALUATIONS) {
        throw new ArithmeticException(
            "supremum not found within " + MOST_EVALUATIONS + " evaluations");
      }
      double tangent = Math.tan(angle);
      double size = angle == 0 ? heights[0] : expected(tangent * tangent);
      if (size > best) {
        best = size;
        bestAngle = angle;
      }
      return size;
    }

    /** The mean of h over the binomial with these odds, summed outwards from its mode. */
    private double expected(double odds) {
      int mode = (int) Math.min(trials, (trials + 1.0) * (odds / (1 + odds)));
      double total = 1;
      double sum = heights[mode];
      double term = 1;
      double n = trials;
      int s = mode;
      for (double at = mode; s < trials && term > NEGLIGIBLE; at++) {
        term *= odds * (n - at) / (at + 1);
        total += term;
        sum += term * heights[++s];
      }
      term = 1;
      s = mode;
      for (double at = mode; s > 0 && term > NEGLIGIBLE; at--) {
        term *= at / (odds * (n - at + 1));
        total += term;
        sum += term * heights[--s];
      }
      return sum / total;
    }
  }
}
