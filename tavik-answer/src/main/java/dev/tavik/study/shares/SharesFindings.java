package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.NotApplicable;
import dev.tavik.answer.Value;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.study.parts.Observed;
import dev.tavik.study.parts.Refusals;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Puts the answer about claimed shares together. */
record SharesFindings(SharesFound found) {
  Answer answer() {
    SharesAsked asked = found.asked();
    SharesData data = found.data();
    return asked
        .begin(data)
        .addAll(data.about())
        .add(new Estimates(data.estimates()))
        .addAll(data.observed(found))
        .addAll(Observed.source(asked.question().from()))
        .addAll(data.context())
        .add(
            data.tests(
                "Tests: null, the shares are as claimed; alpha " + Figures.plain(asked.alpha()),
                found))
        .addAll(Refusals.said(found.refusals()))
        .addAll(data.beside(found))
        .add(intervals())
        .addAll(Refusals.said(without()))
        .addAll(data.after(found))
        .add(found.basis().finding())
        .addAll(data.last(found))
        .conditions(data.conditions())
        .cautions(found.cautions())
        .concluded(found.verdict());
  }

  private List<NotApplicable> without() {
    return found.limits().stream().flatMap(each -> each.refused().stream()).distinct().toList();
  }

  private Intervals intervals() {
    SharesAsked asked = found.asked();
    Intervals intervals =
        Intervals.of("Intervals of the shares, level " + Figures.exactPercent(asked.level()));
    for (SharesFound.Limits limits : found.limits()) {
      @Nullable Method last = null;
      for (int i = 0; i < limits.each().size(); i++) {
        Interval interval = limits.each().get(i);
        Method method = interval.method();
        intervals.row(
            interval,
            interval.contains(asked.claimed().share(i)) ? "" : "not the claimed",
            Value.fields().with("label", asked.levels().get(i)),
            method == last
                ? ""
                : method.id() + (limits.together() ? ", together" : ", one at a time"),
            asked.levels().get(i));
        last = method;
      }
      limits.refused().forEach(intervals::declined);
    }
    return intervals;
  }
}
