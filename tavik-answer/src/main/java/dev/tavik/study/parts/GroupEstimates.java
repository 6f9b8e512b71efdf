package dev.tavik.study.parts;

import dev.tavik.count.NamedTally;
import dev.tavik.proportion.ComparisonEstimate;
import dev.tavik.result.Estimate;
import java.util.ArrayList;
import java.util.List;

/** What is estimated of two groups: their rates, and what is made of both. */
public final class GroupEstimates {
  private GroupEstimates() {}

  public static List<Estimate> of(NamedTally first, NamedTally second) {
    String one = first.name();
    String two = second.name();
    List<Estimate> estimates = new ArrayList<>();
    estimates.add(Observed.proportion(one, first.tally()));
    estimates.add(Observed.proportion(two, second.tally()));
    for (ComparisonEstimate method : ComparisonEstimate.values()) {
      Estimate estimate = method.of(first.tally(), second.tally());
      String label =
          switch (method) {
            case DIFFERENCE -> one + " minus " + two;
            case RATIO -> one + " divided by " + two;
            case ODDS_RATIO -> "odds of " + one + " divided by odds of " + two + ", a d / (b c)";
            case CONDITIONAL_ODDS_RATIO ->
                "odds of " + one + " divided by odds of " + two + ", conditional likelihood";
            case COHENS_H -> one + " minus " + two + ", 2 asin sqrt p";
          };
      estimates.add(
          new Estimate(estimate.quantity(), label, estimate.value(), estimate.standardError()));
    }
    return estimates;
  }
}
