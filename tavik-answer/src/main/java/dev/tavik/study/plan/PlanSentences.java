package dev.tavik.study.plan;

import dev.tavik.answer.Caution;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.planning.Sizes;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Words a plan: what was solved for, and a sentence that could stand in a protocol. */
record PlanSentences(PlanWords words) {

  /** What was solved for, over all lines. */
  String conclusion(PlanQuestion asked, List<PlanLine> lines) {
    List<PlanLine> solved = lines.stream().filter(line -> line.plan() != null).toList();
    if (solved.size() == 1) {
      return solved.get(0).sentence();
    }
    List<Plan> plans = solved.stream().map(line -> Objects.requireNonNull(line.plan())).toList();
    if (asked.effects().isEmpty()) {
      return effects(solved);
    }
    if (asked.powers().isEmpty()) {
      return PlanVerdicts.power(
          solved.get(0).description().power(),
          plans.stream().mapToDouble(Plan::power).min().orElse(0),
          plans.stream().mapToDouble(Plan::power).max().orElse(0));
    }
    long least = plans.stream().mapToLong(plan -> plan.sizes().total()).min().orElse(0);
    long most = plans.stream().mapToLong(plan -> plan.sizes().total()).max().orElse(0);
    return PlanVerdicts.needed(least, most, words.units());
  }

  private String effects(List<PlanLine> solved) {
    if (solved.size() != 2 || !solved.get(0).design().equals(solved.get(1).design())) {
      return PlanVerdicts.effects();
    }
    Plan below = Objects.requireNonNull(solved.get(0).plan());
    Plan above = Objects.requireNonNull(solved.get(1).plan());
    if (!below.sizes().equals(above.sizes())) {
      return PlanVerdicts.effects();
    }
    return PlanVerdicts.found(
        sizes(below.sizes()),
        below.effect(),
        above.effect(),
        Objects.requireNonNull(solved.get(0).wanted()));
  }

  String sizes(Sizes sizes) {
    return PlanVerdicts.sizes(sizes, words.units(), words.group());
  }

  /** The sizes from which on every number reaches the power, if those are others. */
  private @Nullable String holdsFrom(Plan plan) {
    return plan.holdsFrom().equals(plan.sizes()) ? null : sizes(plan.holdsFrom());
  }

  /** Why there is no plan, with the test as its subject. */
  static String refusal(PlanLine line) {
    String why = line.refused();
    boolean predicate = why.matches("(?:is|has|isn't|goes|would|tests|not) .*");
    return predicate ? line.design().test() + (why.startsWith("not ") ? ": " : " ") + why : why;
  }

  /** The sentence about a plan, with what exact power says beside it. */
  String of(PlanDescription description, Plan plan, @Nullable Plan exact) {
    String sentence = description.sentence(sizes(plan.sizes()), plan);
    if (exact == null) {
      return sentence;
    }
    return sentence
        + " "
        + (exact.sizes().equals(plan.sizes())
            ? PlanVerdicts.exactly(exact.power())
            : PlanVerdicts.exactSizes(sizes(exact.sizes()), holdsFrom(exact)));
  }

  /**
   * The sentence if the exact plan leads, because the normal distribution fails below one expected
   * count.
   */
  String led(PlanDescription exactly, Plan exact, Plan plan) {
    return exactly.sentence(sizes(exact.sizes()), exact)
        + " "
        + PlanVerdicts.besideExact(holdsFrom(exact), plan.sizes().first());
  }

  Caution sawTooth(Plan plan) {
    return PlanVerdicts.sawTooth(sizes(plan.sizes()), sizes(plan.holdsFrom()));
  }
}
