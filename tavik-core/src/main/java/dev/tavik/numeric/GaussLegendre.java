package dev.tavik.numeric;

import java.util.function.DoubleUnaryOperator;

/** Integrals of smooth functions over short ranges (Gauss and Legendre's rule of 20 points). */
final class GaussLegendre {
  private static final int POINTS = 20;
  private static final double[] NODES = new double[POINTS];
  private static final double[] WEIGHTS = new double[POINTS];

  static {
    for (int i = 0; i < POINTS; i++) {
      double x = Math.cos(Math.PI * (i + 0.75) / (POINTS + 0.5));
      double derivative = 0;
      for (int step = 0; step < 10; step++) {
        double before = 1;
        double value = x;
        for (int j = 2; j <= POINTS; j++) {
          double next = ((2 * j - 1) * x * value - (j - 1) * before) / j;
          before = value;
          value = next;
        }
        derivative = POINTS * (x * value - before) / (x * x - 1);
        x -= value / derivative;
      }
      NODES[i] = x;
      WEIGHTS[i] = 2 / ((1 - x * x) * derivative * derivative);
    }
  }

  private GaussLegendre() {}

  /** The integral between two ends, in so many panels of equal length. */
  static double integral(DoubleUnaryOperator f, double from, double to, int panels) {
    double half = (to - from) / panels / 2;
    double sum = 0;
    for (int panel = 0; panel < panels; panel++) {
      double middle = from + (2 * panel + 1) * half;
      for (int i = 0; i < POINTS; i++) {
        sum += WEIGHTS[i] * f.applyAsDouble(middle + half * NODES[i]);
      }
    }
    return sum * half;
  }
}
