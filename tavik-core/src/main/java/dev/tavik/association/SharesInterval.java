package dev.tavik.association;

import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.List;

/**
 * Names the confidence intervals for the shares of several categories, which are always two-sided.
 */
public enum SharesInterval implements Method {
  /**
   * Simultaneous: all hold together at the level. Wilson's interval of each share, at the level
   * that leaves each of k categories one k-th of the error.
   */
  GOODMAN(
      "goodman",
      "Goodman",
      "for all shares together: Wilson's, each with a k-th of the error",
      Exactness.APPROXIMATE,
      "Goodman 1965, Technometrics 7, 247-254"),
  /**
   * Simultaneous, and usually narrower: every share within the same distance of its estimate, found
   * so that all counts together stay within it with the level's probability. That probability is
   * summed exactly here, where the paper approximates it. Declines for counts so large that the sum
   * would take long.
   */
  SISON_GLAZ(
      "sison-glaz",
      "Sison-Glaz",
      "for all shares together, usually narrower; its probability is summed exactly",
      Exactness.APPROXIMATE,
      "Sison and Glaz 1995, Journal of the American Statistical Association 90, 366-369"),
  /** One at a time: each holds at the level for itself, all together seldomer. */
  WILSON(
      "wilson",
      "Wilson",
      "for each share alone, and said so",
      Exactness.APPROXIMATE,
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212");

  private final MethodInfo info;

  SharesInterval(
      String id, String title, String description, Exactness exactness, String reference) {
    this.info = new MethodInfo(id, title, description, reference, exactness);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * An interval for each category's share.
   *
   * @param counts the counts
   * @param level the confidence level, strictly between 0 and 1
   * @return one interval a category, in order
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   * @throws NotApplicableException if the work would pass its budget
   */
  public List<Interval> of(CategoryCounts counts, double level) {
    Proportion.require("level", level);
    return switch (this) {
      case WILSON -> wilson(counts, level, level);
      case GOODMAN ->
          wilson(
              counts,
              level,
              DecimalFraction.complement(DecimalFraction.complement(level) / counts.size()));
      case SISON_GLAZ -> SisonGlazInterval.of(this, counts, level);
    };
  }

  private List<Interval> wilson(CategoryCounts counts, double level, double each) {
    List<Interval> intervals = new ArrayList<>();
    for (int i = 0; i < counts.size(); i++) {
      Interval interval = ProportionInterval.WILSON.of(counts.tally(i), each);
      intervals.add(share(level, interval.lower(), interval.upper()));
    }
    return intervals;
  }

  Interval share(double level, double lower, double upper) {
    return new Interval(Estimand.SHARE, this, level, Side.TWO_SIDED, lower, upper);
  }

  /**
   * Whether all intervals hold together at the level.
   *
   * @return whether it is simultaneous
   */
  public boolean simultaneous() {
    return this != WILSON;
  }
}
