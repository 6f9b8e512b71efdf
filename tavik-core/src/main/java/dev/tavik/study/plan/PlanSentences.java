package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.planning.Sizes;
import dev.tavik.result.Caution;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Line;
import dev.tavik.study.plan.Plans.Plan;
import java.util.List;
import java.util.Objects;

/** Words a plan: what was solved for, and a sentence that could stand in a protocol. */
record PlanSentences(PlanWords words) {

  /** What was solved for, over all lines. */
  String conclusion(PlanQuestion asked, List<Line> lines) {
    List<Line> solved = lines.stream().filter(line -> line.plan() != null).toList();
    if (solved.size() == 1) {
      return solved.get(0).sentence();
    }
    List<Plan> plans = solved.stream().map(line -> Objects.requireNonNull(line.plan())).toList();
    if (asked.effects().isEmpty()) {
      return effects(solved);
    }
    if (asked.powers().isEmpty()) {
      return say(
          "The %s runs from %s to %s.",
          solved.get(0).description().power(),
          Figures.chance(plans.stream().mapToDouble(Plan::power).min().orElse(0)),
          Figures.chance(plans.stream().mapToDouble(Plan::power).max().orElse(0)));
    }
    long least = plans.stream().mapToLong(plan -> plan.sizes().total()).min().orElse(0);
    long most = plans.stream().mapToLong(plan -> plan.sizes().total()).max().orElse(0);
    return least == most
        ? say("%s %s in all are needed.", Figures.count(least), units())
        : say(
            "From %s to %s %s in all are needed, depending on what is planned.",
            Figures.count(least), Figures.count(most), units());
  }

  private String effects(List<Line> solved) {
    if (solved.size() != 2 || !solved.get(0).design().equals(solved.get(1).design())) {
      return "The smallest effects that these sizes find stand in the table.";
    }
    Plan below = Objects.requireNonNull(solved.get(0).plan());
    Plan above = Objects.requireNonNull(solved.get(1).plan());
    if (!below.sizes().equals(above.sizes())) {
      return "The smallest effects that these sizes find stand in the table.";
    }
    return say(
        "%s find a rate of %s or less, or of %s or more, with a power of %s.",
        sizes(below.sizes()),
        Figures.rate(below.effect()),
        Figures.rate(above.effect()),
        Figures.chance(Objects.requireNonNull(solved.get(0).wanted())));
  }

  private String counted(long n) {
    String units = units();
    boolean one = n == 1 && units.endsWith("s") && !units.endsWith("ss");
    return Figures.count(n) + " " + (one ? units.substring(0, units.length() - 1) : units);
  }

  String units() {
    return words.units();
  }

  /** 750 tiles from each kiln (1,500 in all). */
  String sizes(Sizes sizes) {
    if (sizes.groups().size() == 1) {
      return counted(sizes.first());
    }
    String group = words.group();
    String each =
        sizes.equal()
            ? say(
                "%s %s %s",
                Figures.count(sizes.first()),
                units(),
                group.isEmpty() ? "in each group" : "from each " + group)
            : say(
                "%s %s %s and %s %s",
                Figures.count(sizes.groups().get(0)),
                units(),
                group.isEmpty() ? "in the base group" : "from the first " + group,
                Figures.count(sizes.groups().get(1)),
                group.isEmpty() ? "in the other" : "from the second");
    return each + " (" + Figures.count(sizes.total()) + " in all)";
  }

  /** A sentence for a protocol. */
  String of(PlanDescription description, Plan plan) {
    return description.sentence("With " + sizes(plan.sizes()), plan);
  }

  /** Why there is no plan, with the test as its subject. */
  static String refusal(Line line) {
    String why = line.refused();
    boolean predicate = why.matches("(?:is|has|isn't|goes|would|tests|not) .*");
    return predicate ? line.design().test() + (why.startsWith("not ") ? ": " : " ") + why : why;
  }

  /** What the normal approximation says, beside an exact plan that leads. */
  String besideExact(Plan plan, Plan exact) {
    return say(
        "%sThe normal distribution, which doesn't hold where less than one success or failure"
            + " is expected, would say %s.",
        exact.holdsFrom().equals(exact.sizes())
            ? ""
            : "From " + sizes(exact.holdsFrom()) + " on every number reaches it. ",
        Figures.count(plan.sizes().first()));
  }

  /** What exact power says where the normal approximation is poor. */
  String beside(Plan plan, Plan exact) {
    return exact.sizes().equals(plan.sizes())
        ? "Exactly, the power is " + Figures.chance(exact.power()) + "."
        : say(
            "By exact power %s reach it%s.",
            sizes(exact.sizes()),
            exact.holdsFrom().equals(exact.sizes())
                ? ""
                : ", and from " + sizes(exact.holdsFrom()) + " on every number does");
  }

  Caution sawTooth(Plan plan) {
    return new Caution(
        Caution.Code.SAW_TOOTH,
        say(
            "Counts are whole numbers, so exact power swings as n grows: %s reach it, some larger"
                + " numbers don't, and from %s on all do. Take those if the number may still change.",
            sizes(plan.sizes()), sizes(plan.holdsFrom())));
  }

  /** A test that rejects a true null more often than alpha. */
  static Caution trueAlpha(Line line) {
    return new Caution(
        Caution.Code.FEW_SUCCESSES,
        say(
            "At this size the test rejects a true null in %s of samples, not in %s. Plan with the"
                + " exact test, or with another size.",
            Figures.percent(line.trueAlpha()), Figures.exactPercent(line.design().alpha())));
  }

  static Caution poor(Line line, Plan plan) {
    Plan exact = line.exact();
    String expected =
        Figures.upTo(line.description().approximation(plan).orElseThrow().fewest(), 2);
    return new Caution(
        Caution.Code.FEW_SUCCESSES,
        say(
            "Only %s successes or failures are expected somewhere, too few for the normal"
                + " approximation. %s",
            expected,
            exact == null
                ? "Ask for exact power instead."
                : "Exact power of the same test stands beside it; plan with that."));
  }
}
