package dev.tavik.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The words at the end of a curve.
 *
 * @param y how high they stand
 * @param curve which curve it is
 * @param words what they say
 */
record CurveEnd(double y, int curve, String words) {
  /** The ends with overlapping words moved apart, from the highest down. */
  static List<CurveEnd> apart(List<CurveEnd> ends, double gap) {
    List<CurveEnd> apart = new ArrayList<>();
    double next = Double.POSITIVE_INFINITY;
    for (CurveEnd end :
        ends.stream().sorted(Comparator.comparingDouble(CurveEnd::y).reversed()).toList()) {
      double y = Math.min(end.y, next);
      apart.add(new CurveEnd(y, end.curve, end.words));
      next = y - gap;
    }
    return apart;
  }
}
