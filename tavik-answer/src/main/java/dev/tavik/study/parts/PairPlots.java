package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.NamedTally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;

/** What the plots of all comparisons have. */
public final class PairPlots {
  private PairPlots() {}

  /** The rates, a row a group, with Wilson's intervals. */
  public static IntervalPlot.Panel rates(List<NamedTally> groups, double level) {
    return IntervalRows.proportions(
        groups.stream()
            .map(
                group ->
                    new IntervalPlot.Row(
                        say(
                            "%s  %s",
                            Figures.shortened(group.name()),
                            Figures.outOf(group.tally().successes(), group.tally().trials())),
                        group.tally().proportion(),
                        ProportionInterval.WILSON.of(group.tally(), level),
                        Figures.percent(group.tally().proportion()),
                        true))
            .toList(),
        List.of());
  }

  /** The differences that a claim is about. */
  public static List<Double> references(ComparisonClaim claim) {
    List<Double> references = new ArrayList<>();
    Double margin = claim.largest();
    references.add(claim.hypothesis().against());
    // For non-inferiority only one end of the margin matters, and that is the null.
    if (claim.goal() != ComparisonGoal.NONINFERIOR && margin != null) {
      references.add(-margin);
      references.add(margin);
    }
    return references;
  }
}
