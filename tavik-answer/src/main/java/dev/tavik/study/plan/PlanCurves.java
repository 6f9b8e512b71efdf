package dev.tavik.study.plan;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Curves;
import dev.tavik.planning.EffectRange;
import dev.tavik.planning.Power;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Power over the number of observations, and over what is expected. */
final class PlanCurves {
  private static final int MOST = 6;
  private static final int POINTS = 240;
  private static final double LEAST_DISTANCE = 0.02;

  private final PlanQuestion asked;
  private final List<PlanLine> lines;

  private PlanCurves(Plans plans) {
    this.asked = plans.asked();
    this.lines = plans.lines().stream().filter(line -> line.plan() != null).toList();
  }

  static List<Curves> of(Plans plans) {
    PlanCurves curves = new PlanCurves(plans);
    return List.of(
        Curves.of(Curves.Kind.POWER_OVER_SIZES, curves::overSizes),
        Curves.of(Curves.Kind.POWER_OVER_EFFECTS, curves::overEffects));
  }

  private static Plan plan(PlanLine line) {
    return Objects.requireNonNull(line.plan());
  }

  private PlanDescription some() {
    return lines.get(0).description();
  }

  private Curves.Axis power() {
    return new Curves.Axis(
        some().powerAxis().toLowerCase(Locale.ROOT),
        some().threshold().isPresent() ? "chance" : "power",
        0,
        1,
        1);
  }

  private String titled(String title) {
    return asked.label().isEmpty() ? title : asked.label() + ": " + title;
  }

  private String subtitle(boolean swings) {
    boolean several = lines.stream().map(line -> line.design().test()).distinct().count() > 1;
    boolean mixed = lines.stream().map(line -> line.design().theory()).distinct().count() > 1;
    return some().test(several) + (mixed ? "" : some().theory(swings));
  }

  private static void requireFew(int curves) {
    require(
        curves <= MOST,
        "the picture of power shows one to six curves, got %s; ask for fewer",
        curves);
  }

  /** The lines whose plans lie on one curve, in the order in which the curves begin. */
  private Collection<List<PlanLine>> alike(Function<PlanLine, Object> curve) {
    return lines.stream()
        .collect(Collectors.groupingBy(curve, LinkedHashMap::new, Collectors.toList()))
        .values();
  }

  private static List<Plan> plans(List<PlanLine> lines) {
    return lines.stream().map(PlanCurves::plan).toList();
  }

  /** A design and an effect, and every plan on their curve. */
  private record Sized(PowerDesign design, double effect, List<Plan> plans) {}

  private Curves.Plot overSizes() {
    List<Sized> all = new ArrayList<>();
    alike(line -> List.of(line.design(), plan(line).effect()))
        .forEach(
            each ->
                all.add(new Sized(each.get(0).design(), plan(each.get(0)).effect(), plans(each))));
    requireFew(all.size());
    double most =
        1.5 * lines.stream().mapToLong(line -> plan(line).holdsFrom().first()).max().orElse(1);
    long reach = (long) Math.max(20, Math.min(most, (double) lines.get(0).design().most()));
    String only = all.size() == 1 ? ": " + name(all.get(0)) : "";
    return new Curves.Plot(
        titled(some().powerAxis() + " over the number of " + asked.words().units() + only),
        subtitle(true),
        new Curves.Axis(sizesName(), sizesName(), 0, (double) reach, 1),
        power(),
        all.stream().map(each -> overSizes(each, reach)).toList(),
        asked.powers(),
        null);
  }

  private Curves.Curve overSizes(Sized curve, long reach) {
    List<Double> x = new ArrayList<>();
    List<Double> y = new ArrayList<>();
    long step = Math.max(1, reach / PlanDescription.of(curve.design).points());
    Power power = null;
    for (long n = 1; n <= reach; n += step) {
      Sizes sizes = curve.design.sizes((double) n);
      power = power == null ? curve.design.at(sizes) : curve.design.at(sizes, power);
      x.add((double) n);
      y.add(power.at(curve.effect));
    }
    List<Curves.Dot> dots =
        curve.plans.stream()
            .map(each -> new Curves.Dot((double) each.sizes().first(), each.power(), size(each)))
            .toList();
    return new Curves.Curve(words(curve), x, y, dots);
  }

  /** What is said at the end of a curve: its name, and of a single plan on it the size. */
  private String words(Sized curve) {
    return curve.plans.size() > 1 ? name(curve) : name(curve) + ": " + size(curve.plans.get(0));
  }

  private String size(Plan plan) {
    return "n = "
        + Figures.count(plan.sizes().first())
        + (asked.powers().isEmpty() ? ", " + Figures.chance(plan.power()) : "");
  }

  private String sizesName() {
    Sizes some = plan(lines.get(0)).sizes();
    String units = asked.words().units();
    return some.groups().size() == 1
        ? units
        : some.equal() ? units + " in each group" : units + " in the base group";
  }

  private String name(Sized curve) {
    PlanDescription description = PlanDescription.of(curve.design);
    boolean tests =
        lines.stream().map(line -> line.description().testName()).distinct().count() > 1;
    boolean alphas = lines.stream().map(line -> line.design().alpha()).distinct().count() > 1;
    return description.text(curve.effect)
        + (tests ? ", " + description.testName() : "")
        + (alphas ? ", alpha " + Figures.plain(curve.design.alpha()) : "");
  }

  /** A design and sizes, and every plan on their curve. */
  private record Expected(PowerDesign design, Sizes sizes, List<Plan> plans) {
    String named() {
      return plans.stream()
          .map(each -> effect(design, each))
          .collect(Collectors.joining(", ", Plans.sizes(sizes) + ": ", ""));
    }
  }

  /** The effect alone, as its axis says what it is. */
  private static String effect(PowerDesign design, Plan plan) {
    return PlanDescription.of(design).scale() == EffectScale.W
        ? Figures.upTo(plan.effect(), 3)
        : Figures.rate(plan.effect());
  }

  private Curves.Plot overEffects() {
    for (PlanLine line : lines) {
      require(
          line.design().hasEffect(),
          "the picture of power over what is expected needs a single effect");
    }
    List<Expected> all = new ArrayList<>();
    alike(line -> List.of(line.design(), plan(line).sizes()))
        .forEach(
            each ->
                all.add(
                    new Expected(each.get(0).design(), plan(each.get(0)).sizes(), plans(each))));
    requireFew(all.size());
    Curves.Axis across = effects();
    boolean nullInside = across.from() < some().none() && some().none() < across.to();
    return new Curves.Plot(
        titled(some().powerAxis() + " over what is expected"),
        subtitle(false),
        across,
        power(),
        all.stream().map(each -> overEffects(each, across)).toList(),
        asked.powers(),
        nullInside ? some().none() : null);
  }

  private static Curves.Curve overEffects(Expected curve, Curves.Axis across) {
    Power power = curve.design.at(curve.sizes);
    List<Double> x = new ArrayList<>();
    List<Double> y = new ArrayList<>();
    for (int k = 0; k <= POINTS; k++) {
      double effect = across.from() + (across.to() - across.from()) * k / POINTS;
      x.add(effect);
      y.add(power.at(effect));
    }
    List<Curves.Dot> dots =
        curve.plans.stream()
            .map(
                each ->
                    new Curves.Dot(
                        each.effect(),
                        each.power(),
                        Plans.sizes(each.sizes()) + ": " + effect(curve.design, each)))
            .toList();
    return new Curves.Curve(curve.named(), x, y, dots);
  }

  /** As far beyond the effects as they are from the null, inside what is possible. */
  private Curves.Axis effects() {
    PowerDesign design = lines.get(0).design();
    double none = some().none();
    double farthest =
        Math.max(
            LEAST_DISTANCE,
            lines.stream()
                .mapToDouble(line -> Math.abs(plan(line).effect() - none))
                .max()
                .orElse(0));
    EffectRange effects = design.effects();
    double inside = 1e-6;
    double low = Math.max(effects.least() + inside, none - 1.8 * farthest);
    double high = Math.min(effects.most() - inside, none + 1.8 * farthest);
    if (none <= effects.least() || design.alternative() == Alternative.GREATER) {
      low = Math.max(effects.least() + inside, none - 0.2 * farthest);
    } else if (design.alternative() == Alternative.LESS) {
      high = Math.min(effects.most() - inside, none + 0.2 * farthest);
    }
    return new Curves.Axis(some().scale().axis(), "expected", low, high, some().scale().factor());
  }
}
