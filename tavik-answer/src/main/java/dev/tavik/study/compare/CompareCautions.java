package dev.tavik.study.compare;

import dev.tavik.answer.Caution;
import dev.tavik.phrase.SampleCautions;
import dev.tavik.phrase.TestCautions;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Side;
import dev.tavik.study.parts.DecisionCautions;
import java.util.ArrayList;
import java.util.List;

/** What to be careful of in the answer to one comparison, the gravest first. */
record CompareCautions(CompareFound found) {
  static List<Caution> of(CompareFound found) {
    return new CompareCautions(found).all();
  }

  private List<Caution> all() {
    List<Caution> cautions = new ArrayList<>(otherDirection());
    cautions.addAll(found.data().cautions(found));
    if (!found.decided()) {
      return cautions;
    }
    DecisionCautions decisions = found.decisions();
    cautions.addAll(decisions.disagree());
    cautions.addAll(
        DecisionCautions.levelAlpha(
            found.asked().settings(),
            TestCautions.rejected(),
            found.claim().goal() == ComparisonGoal.EQUIVALENT));
    cautions.addAll(withinMargin());
    cautions.addAll(decisions.nearAlpha());
    return cautions;
  }

  /** A caution where the data point the other way than the alternative says. */
  private List<Caution> otherDirection() {
    ComparisonClaim claim = found.claim();
    return !claim.isOpposite(found.difference())
        ? List.of()
        : List.of(
            TestCautions.otherWay(
                TestCautions.claim(
                    found.one(), found.two(), claim.alternative(), claim.hypothesis().against()),
                claim.alternative(),
                /* support= */ true));
  }

  /** A caution where a difference is significant, but smaller than what matters. */
  private List<Caution> withinMargin() {
    ComparisonClaim claim = found.claim();
    if (claim.goal() != ComparisonGoal.DIFFERENCE || !found.rejects()) {
      return List.of();
    }
    return found.intervals().stream()
        .filter(each -> each.side() == Side.TWO_SIDED && claim.hasWithinMargin(each))
        .limit(1)
        .map(each -> SampleCautions.withinMargin(each.method(), claim.margin()))
        .toList();
  }
}
