package dev.tavik.bench;

/** The unconditional test that the first proportion is below the second, ordered by z. */
final class SizeKernel {
  private static final double NEGLIGIBLE = 1e-21;

  private SizeKernel() {}

  /** The largest chance, over the common proportion, of a z as low as that of x and y of n each. */
  static double barnard(int x, int y, int n) {
    double wanted = z(x, y, n);
    double[] chances = new double[2 * n + 1];
    double[] weights = new double[n + 1];
    for (int s = 0; s <= 2 * n; s++) {
      chances[s] = below(s, n, wanted, weights);
    }
    int parts = 4 + 2 * (int) Math.sqrt(2.0 * n);
    double best = 0;
    double at = 0;
    for (int part = 1; part < parts; part++) {
      double size = size(chances, Math.PI / 2 * part / parts);
      at = size > best ? Math.PI / 2 * part / parts : at;
      best = Math.max(best, size);
    }
    for (double step = Math.PI / 4 / parts; step > 1e-6; step /= 2) {
      for (int direction = -1; direction <= 1; direction += 2) {
        double size = size(chances, at + direction * step);
        at = size > best ? at + direction * step : at;
        best = Math.max(best, size);
      }
    }
    return best;
  }

  private static double z(int x, int y, int n) {
    double s = (double) x + y;
    double variance = s * (2 * n - s);
    return variance == 0 ? 0 : (x - y) / Math.sqrt(variance);
  }

  /** The chance of a z so low with s successes in all. */
  private static double below(int s, int n, double wanted, double[] weights) {
    int least = Math.max(0, s - n);
    int most = Math.min(n, s);
    int mode = Math.max(least, Math.min(most, (s + 1) / 2));
    weights[mode] = 1;
    double total = 1;
    double weight = 1;
    int low = mode;
    for (double at = mode; low > least && weight > NEGLIGIBLE; at--) {
      weight *= at * (n - s + at) / ((n - at + 1) * (s - at + 1));
      weights[--low] = weight;
      total += weight;
    }
    weight = 1;
    int high = mode;
    for (double at = mode; high < most && weight > NEGLIGIBLE; at++) {
      weight *= (n - at) * (s - at) / ((at + 1) * (n - s + at + 1));
      weights[++high] = weight;
      total += weight;
    }
    double sum = 0;
    for (int first = low; first <= high && z(first, s - first, n) <= wanted; first++) {
      sum += weights[first];
    }
    return sum / total;
  }

  private static double size(double[] chances, double angle) {
    double tangent = Math.tan(angle);
    double odds = tangent * tangent;
    double n = chances.length - 1.0;
    int mode = (int) Math.min(n, (n + 1) * (odds / (1 + odds)));
    double total = 1;
    double sum = chances[mode];
    double term = 1;
    int s = mode;
    for (double at = mode; at < n && term > NEGLIGIBLE; at++) {
      term *= odds * (n - at) / (at + 1);
      total += term;
      sum += term * chances[++s];
    }
    term = 1;
    s = mode;
    for (double at = mode; at > 0 && term > NEGLIGIBLE; at--) {
      term *= at / (odds * (n - at + 1));
      total += term;
      sum += term * chances[--s];
    }
    return sum / total;
  }
}
