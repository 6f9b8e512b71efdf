package dev.tavik.planning;

/** Wilson's limits (1927) of a proportion of n observations, not necessarily whole numbers. */
record Wilson(double lower, double upper) {
  static Wilson of(double p, double n, double z) {
    double square = z * z / n;
    double center = (p + square / 2) / (1 + square);
    double half = z / (1 + square) * Math.sqrt(p * (1 - p) / n + square / n / 4);
    return new Wilson(center - half, center + half);
  }
}
