package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.planning.EffectRange;
import dev.tavik.planning.Power;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.EffectScale;
import dev.tavik.study.plan.PlanDescription;
import dev.tavik.study.plan.Plans;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.awt.Color;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws plans: power over n, power over what is expected, and both errors. */
final class PlanPicture {
  private static final int MOST_CURVES = 6;
  private static final int POINTS = 240;

  private static final double TOP = 1.04;

  /** For the words at the ends of curves, a little and for each character. */
  private static final double ROOM = 0.03;

  private static final double CHARACTER = 0.011;

  /** For the piece of line before a name. */
  private static final double KEY = 0.05;

  private static final double LINE = 0.055;
  static final Color QUIET = new Color(0x66, 0x66, 0x66);

  private final Plans answer;
  private final List<PlanLine> lines;

  private PlanPicture(Answer answer) {
    Plans plan =
        answer
            .find(Plans.class)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of power is of a plan for a test; an interval has none"));
    this.answer = plan;
    this.lines = plan.lines().stream().filter(line -> line.plan() != null).toList();
    require(!lines.isEmpty(), "there is no plan to draw: %s", answer.verdict().text());
  }

  /**
   * Power over the number of observations, a curve for each effect.
   *
   * @param answer an answer about a plan
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, or of more than six curves
   */
  public static Picture ofSizes(Answer answer) {
    return new PlanPicture(answer).sizes();
  }

  /**
   * Power over what is expected, a curve for each number of observations.
   *
   * @param answer an answer about a plan
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, has no single effect, or more
   *     than six curves
   */
  public static Picture ofEffects(Answer answer) {
    return new PlanPicture(answer).effects();
  }

  /**
   * What the test would say where nothing is there, and where what is expected is.
   *
   * @param answer an answer about a plan, of whose lines the first is drawn
   * @return the picture
   * @throws IllegalArgumentException if its power doesn't rest on a density
   */
  public static Picture ofErrors(Answer answer) {
    return new PlanPicture(answer).errors();
  }

  private static Plan plan(PlanLine line) {
    return Objects.requireNonNull(line.plan());
  }

  /** A design and an effect, and every plan on their curve. */
  private record Curve(PowerDesign design, double effect, List<Plan> plans) {}

  private List<Curve> curves() {
    List<Curve> curves = new ArrayList<>();
    for (PlanLine line : lines) {
      Plan plan = plan(line);
      Curve same =
          curves.stream()
              .filter(curve -> curve.design.equals(line.design()) && curve.effect == plan.effect())
              .findFirst()
              .orElse(null);
      if (same == null) {
        same = new Curve(line.design(), plan.effect(), new ArrayList<>());
        curves.add(same);
      }
      same.plans.add(plan);
    }
    requireFew(curves.size());
    return curves;
  }

  private static void requireFew(int curves) {
    require(
        curves <= MOST_CURVES,
        "the picture of power shows one to six curves, got %s; ask for fewer",
        curves);
  }

  private Picture sizes() {
    List<Curve> curves = curves();
    double most =
        1.5 * lines.stream().mapToLong(line -> plan(line).holdsFrom().first()).max().orElse(1);
    long reach = (long) Math.max(20, Math.min(most, (double) lines.get(0).design().most()));
    boolean named = curves.size() > 1;
    double room = named ? room(curves.stream().map(this::words).toList()) : 0;
    EndingAxis across = new EndingAxis(sizesName(), 0, (double) reach, room);
    CurvePlot plot = new CurvePlot(across, powerAxis());
    targets(plot, across);
    List<CurveEnd> ends = new ArrayList<>();
    for (int number = 0; number < curves.size(); number++) {
      Curve curve = curves.get(number);
      XYSeries points = overSizes(curve, reach);
      plot.curve(points, number);
      ends.add(
          new CurveEnd(points.getY(points.getItemCount() - 1).doubleValue(), number, words(curve)));
      for (Plan each : curve.plans) {
        double n = each.sizes().first();
        plot.line(n, 0, n, each.power(), CurvePlot.ink(number), true);
        plot.dot(n, each.power(), CurvePlot.ink(number));
      }
    }
    if (named) {
      CurveEnd.apart(ends, LINE)
          .forEach(
              end ->
                  plot.write(
                      " " + end.words(),
                      (double) reach,
                      end.y(),
                      TextAnchor.CENTER_LEFT,
                      CurvePlot.ink(end.curve()),
                      true));
    } else {
      curves.get(0).plans.forEach(each -> sized(plot, each));
    }
    wanted(plot, across);
    String only = curves.size() == 1 ? ": " + name(curves.get(0)) : "";
    return plot.picture(
        titled(some().powerAxis() + " over the number of " + answer.asked().words().units() + only),
        subtitle(true));
  }

  /** Room beyond an axis for the longest of some words. */
  private static double room(List<String> words) {
    return ROOM + CHARACTER * words.stream().mapToInt(String::length).max().orElse(0);
  }

  /** Labels a dot of the only curve. */
  private void sized(CurvePlot plot, Plan plan) {
    plot.beside(size(plan), (double) plan.sizes().first(), plan.power(), CurvePlot.ink(0), true);
  }

  private String size(Plan plan) {
    return "n = "
        + Figures.count(plan.sizes().first())
        + (asksPower() ? ", " + Figures.chance(plan.power()) : "");
  }

  /** What is said at the end of a curve: its name, and of a single plan on it the size. */
  private String words(Curve curve) {
    return curve.plans.size() > 1 ? name(curve) : name(curve) + ": " + size(curve.plans.get(0));
  }

  private boolean asksPower() {
    return answer.asked().powers().isEmpty();
  }

  private static XYSeries overSizes(Curve curve, long reach) {
    XYSeries points = new XYSeries(System.identityHashCode(curve), false, true);
    long step = Math.max(1, reach / PlanDescription.of(curve.design).points());
    Power power = null;
    for (long n = 1; n <= reach; n += step) {
      Sizes sizes = curve.design.sizes((double) n);
      power = power == null ? curve.design.at(sizes) : curve.design.at(sizes, power);
      points.add((double) n, power.at(curve.effect));
    }
    return points;
  }

  private void targets(CurvePlot plot, EndingAxis across) {
    for (double power : answer.asked().powers()) {
      plot.line(across.getLowerBound(), power, across.end(), power, QUIET, true);
    }
  }

  /** Labels the power that is wanted, after everything else is drawn. */
  private void wanted(CurvePlot plot, EndingAxis across) {
    for (double power : answer.asked().powers()) {
      plot.along(
          Figures.exactPercent(power) + " wanted",
          across.getLowerBound(),
          across.end(),
          power,
          QUIET);
    }
  }

  private NumberAxis powerAxis() {
    NumberAxis up = ChartStyle.axis(some().powerAxis().toLowerCase(Locale.ROOT));
    up.setRange(0, TOP);
    up.setTickUnit(
        new NumberTickUnit(
            0.2, new DecimalFormat("0%", DecimalFormatSymbols.getInstance(Locale.ROOT))));
    return up;
  }

  private PlanDescription some() {
    return lines.get(0).description();
  }

  private String sizesName() {
    Sizes some = plan(lines.get(0)).sizes();
    String units = answer.asked().words().units();
    return some.groups().size() == 1
        ? units
        : some.equal() ? units + " in each group" : units + " in the base group";
  }

  private String name(Curve curve) {
    return name(curve.design, curve.effect);
  }

  private String name(PowerDesign design, double effect) {
    PlanDescription description = PlanDescription.of(design);
    boolean tests =
        lines.stream().map(line -> line.description().testName()).distinct().count() > 1;
    boolean alphas = lines.stream().map(line -> line.design().alpha()).distinct().count() > 1;
    return description.text(effect)
        + (tests ? ", " + description.testName() : "")
        + (alphas ? ", alpha " + Figures.plain(design.alpha()) : "");
  }

  private String titled(String title) {
    return answer.asked().label().isEmpty() ? title : answer.asked().label() + ": " + title;
  }

  private String subtitle(boolean swings) {
    boolean several = lines.stream().map(line -> line.design().test()).distinct().count() > 1;
    boolean mixed = lines.stream().map(line -> line.design().theory()).distinct().count() > 1;
    return some().test(several) + (mixed ? "" : some().theory(swings));
  }

  /** A design and sizes, and every plan on their curve. */
  private record Sized(PowerDesign design, Sizes sizes, List<Plan> plans) {
    String named() {
      return plans.stream()
          .map(each -> expected(design, each))
          .collect(Collectors.joining(", ", Plans.sizes(sizes) + ": ", ""));
    }
  }

  /** The effect alone, as its axis says what it is. */
  private static String expected(PowerDesign design, Plan plan) {
    return PlanDescription.of(design).scale() == EffectScale.W
        ? Figures.upTo(plan.effect(), 3)
        : Figures.rate(plan.effect());
  }

  private static void sizedEffect(CurvePlot plot, PowerDesign design, Plan plan) {
    plot.beside(
        Plans.sizes(plan.sizes()) + ": " + expected(design, plan),
        PlanDescription.of(design).scale().factor() * plan.effect(),
        plan.power(),
        CurvePlot.ink(0),
        true);
  }

  private Picture effects() {
    List<Sized> curves = new ArrayList<>();
    for (PlanLine line : lines) {
      require(
          line.design().hasEffect(),
          "the picture of power over what is expected needs a single effect");
      Plan plan = plan(line);
      Sized same =
          curves.stream()
              .filter(
                  curve -> curve.design.equals(line.design()) && curve.sizes.equals(plan.sizes()))
              .findFirst()
              .orElse(null);
      if (same == null) {
        same = new Sized(line.design(), plan.sizes(), new ArrayList<>());
        curves.add(same);
      }
      same.plans.add(plan);
    }
    requireFew(curves.size());
    double[] range = effectRange();
    double scale = some().scale().factor();
    boolean named = curves.size() > 1;
    List<String> names = curves.stream().map(Sized::named).toList();
    EndingAxis across =
        new EndingAxis(
            some().scale().axis(),
            scale * range[0],
            scale * range[1],
            named ? KEY + room(names) : 0);
    CurvePlot plot = new CurvePlot(across, powerAxis());
    targets(plot, across);
    for (int i = 0; i < curves.size(); i++) {
      Sized curve = curves.get(i);
      Power power = curve.design.at(curve.sizes);
      XYSeries points = new XYSeries(i, false, true);
      for (int k = 0; k <= POINTS; k++) {
        double effect = range[0] + (range[1] - range[0]) * k / POINTS;
        points.add(scale * effect, power.at(effect));
      }
      plot.curve(points, i);
      for (Plan each : curve.plans) {
        plot.dot(scale * each.effect(), each.power(), CurvePlot.ink(i));
      }
    }
    boolean nullInside = range[0] < some().none() && some().none() < range[1];
    double none = scale * some().none();
    if (nullInside) {
      plot.line(none, 0, none, TOP, QUIET, true);
    }
    for (int i = 0; i < curves.size(); i++) {
      if (named) {
        plot.key(i, names.get(i), across.end(), 0.97 - i * LINE);
      } else {
        curves.get(i).plans.forEach(each -> sizedEffect(plot, curves.get(0).design, each));
      }
    }
    wanted(plot, across);
    if (nullInside) {
      plot.upright("the null", none, QUIET);
    }
    return plot.picture(titled(some().powerAxis() + " over what is expected"), subtitle(false));
  }

  /** As far beyond the effects as they are from the null, inside what is possible. */
  private double[] effectRange() {
    PowerDesign design = lines.get(0).design();
    double none = some().none();
    double farthest =
        lines.stream().mapToDouble(line -> Math.abs(plan(line).effect() - none)).max().orElse(0);
    farthest = Math.max(farthest, 0.02);
    EffectRange effects = design.effects();
    double inside = 1e-6;
    double low = Math.max(effects.least() + inside, none - 1.8 * farthest);
    double high = Math.min(effects.most() - inside, none + 1.8 * farthest);
    if (none <= effects.least() || design.alternative() == Alternative.GREATER) {
      low = Math.max(effects.least() + inside, none - 0.2 * farthest);
    } else if (design.alternative() == Alternative.LESS) {
      high = Math.min(effects.most() - inside, none + 0.2 * farthest);
    }
    return new double[] {low, high};
  }

  private Picture errors() {
    PlanLine line = lines.get(0);
    String title =
        titled(
            say(
                "What the test would say in two worlds, with %s %s",
                Plans.sizes(plan(line).sizes()), answer.asked().words().units()));
    return new ErrorsPicture(line.design(), plan(line)).picture(title);
  }
}
