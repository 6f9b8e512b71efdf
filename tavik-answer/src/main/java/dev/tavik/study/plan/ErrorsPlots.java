package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.planning.Errors;
import dev.tavik.planning.PowerDesign;
import dev.tavik.plot.ErrorsPlot;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.DoubleUnaryOperator;

/** Plots what a planned test would say in two worlds, each in slices of one in forty results. */
final class ErrorsPlots {
  private static final int SLICES = 40;
  private static final int GRID = 4_000;
  private static final double UNSEEN = 0.0005;

  private final PowerDesign design;
  private final Plan plan;
  private final Errors errors;
  private final boolean table;
  private final double scale;

  private ErrorsPlots(PowerDesign design, Plan plan) {
    this.design = design;
    this.plan = plan;
    this.errors =
        design
            .errors(plan.sizes(), plan.effect())
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        say(
                            "the picture of both errors is of one test by the normal distribution or of"
                                + " chi-square, not of %s (%s)",
                            design.test(), design.theory().id())));
    EffectScale effects = PlanDescription.of(design).scale();
    this.scale = effects.factor();
    this.table = effects == EffectScale.W;
  }

  /** The first line of a plan that came to something. */
  static ErrorsPlot of(Plans plans, String refused) {
    PlanLine line =
        plans.lines().stream()
            .filter(each -> each.plan() != null)
            .findFirst()
            .orElseThrow(
                () -> new IllegalArgumentException("there is no plan to draw: " + refused));
    Plan plan = Objects.requireNonNull(line.plan());
    String title =
        say(
            "What the test would say in two worlds, with %s %s",
            Plans.sizes(plan.sizes()), plans.asked().words().units());
    String label = plans.asked().label();
    return new ErrorsPlots(line.design(), plan)
        .plot(label.isEmpty() ? title : label + ": " + title);
  }

  private ErrorsPlot plot(String title) {
    String none = table ? "no association" : value(errors.none().value());
    String expected = table ? EffectScale.W.text(plan.effect()) : value(errors.expected().value());
    List<ErrorsPlot.Edge> edges = new ArrayList<>();
    edge(edges, errors.kept().from(), "rejected up to ");
    edge(edges, errors.kept().to(), "rejected from ");
    return new ErrorsPlot(
        title,
        say(
            "each slice is one in %d results; orange: the test rejects; alpha %s, power %s",
            SLICES, Figures.plain(design.alpha()), Figures.chance(plan.power())),
        new ErrorsPlot.Axis(
            errors.quantity()
                + (table ? "" : difference() ? ", in percentage points" : ", in percent"),
            scale * errors.drawn().from(),
            scale * errors.drawn().to()),
        table,
        edges,
        List.of(
            world("where nothing is there: " + none, errors.none().density()),
            world("as expected: " + expected, errors.expected().density())));
  }

  /** A world: its results in slices, and how many of them the test would reject. */
  private ErrorsPlot.World world(String name, DoubleUnaryOperator density) {
    double[] cumulated = cumulated(density);
    List<Double> cuts = new ArrayList<>();
    for (int k = 0; k <= SLICES; k++) {
      double share = k == 0 ? UNSEEN : k == SLICES ? 1 - UNSEEN : (double) k / SLICES;
      cuts.add(scale * quantile(cumulated, share));
    }
    double[] edges = {
      errors.drawn().from(),
      within(errors.kept().from()),
      within(errors.kept().to()),
      errors.drawn().to()
    };
    List<ErrorsPlot.Part> parts = new ArrayList<>();
    for (int region = 0; region < 3; region++) {
      parts.add(
          new ErrorsPlot.Part(
              scale * edges[region],
              scale * edges[region + 1],
              at(cumulated, edges[region + 1]) - at(cumulated, edges[region]),
              region != 1));
    }
    return new ErrorsPlot.World(name, cuts, parts);
  }

  /** The density's integral up to each place of a grid, 1 at its end. */
  private double[] cumulated(DoubleUnaryOperator density) {
    double[] cumulated = new double[GRID + 1];
    for (int i = 1; i <= GRID; i++) {
      double middle = (place(i - 1) + place(i)) / 2;
      cumulated[i] = cumulated[i - 1] + density.applyAsDouble(middle);
    }
    double all = cumulated[GRID] == 0 ? 1 : cumulated[GRID];
    for (int i = 0; i <= GRID; i++) {
      cumulated[i] /= all;
    }
    return cumulated;
  }

  private double quantile(double[] cumulated, double share) {
    int at = 0;
    while (cumulated[at] < share) {
      at++;
    }
    return place(at);
  }

  private double place(int step) {
    return errors.drawn().from() + (errors.drawn().to() - errors.drawn().from()) * step / GRID;
  }

  private double at(double[] cumulated, double value) {
    double step =
        GRID * (value - errors.drawn().from()) / (errors.drawn().to() - errors.drawn().from());
    int below = (int) Math.max(0, Math.min(GRID - 1.0, Math.floor(step)));
    double part = Math.max(0, Math.min(1, step - below));
    return cumulated[below] + part * (cumulated[below + 1] - cumulated[below]);
  }

  private double within(double edge) {
    return Math.max(errors.drawn().from(), Math.min(errors.drawn().to(), edge));
  }

  private void edge(List<ErrorsPlot.Edge> edges, double at, String words) {
    if (at > errors.drawn().from() && at < errors.drawn().to()) {
      edges.add(
          new ErrorsPlot.Edge(
              scale * at,
              words + Figures.significant(scale * at, 3) + (table || difference() ? "" : "%")));
    }
  }

  private boolean difference() {
    return errors.quantity().contains("difference");
  }

  private String value(double value) {
    return difference() ? Figures.upTo(100 * value, 4) + " points" : Figures.rate(value);
  }
}
