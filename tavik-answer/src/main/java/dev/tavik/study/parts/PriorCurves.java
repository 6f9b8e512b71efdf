package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Curves;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPrior;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The chance of the alternative over priors from wide to strong, around one half and around a rate:
 * does the conclusion depend on the prior?
 *
 * @param subject what is asked about
 * @param own the prior that was chosen
 * @param centre the rate that the other priors are around
 * @param centreName what that rate is
 * @param least the smallest parameter of a prior
 * @param log the natural logarithm of the Bayes factor by a prior
 */
public record PriorCurves(
    String subject,
    BetaPrior own,
    double centre,
    String centreName,
    double least,
    ToDoubleFunction<BetaPrior> log) {

  private static final int POINTS = 80;
  private static final double WIDEST = 0.5;
  private static final double STRONGEST = 1000;

  /** The curves, computed when they are asked for. */
  public Curves finding() {
    return Curves.of(Curves.Kind.CHANCE_OVER_PRIORS, this::plot);
  }

  private Curves.Plot plot() {
    double strength = own.a() + own.b();
    Curves.Dot chosen =
        new Curves.Dot(
            strength, chance(own), own + ": " + Value.Share.CHANCE.of(chance(own)).text());
    return new Curves.Plot(
        subject + ": does it depend on the prior?",
        say(
            "the chance of the alternative, had both been equally likely; solid: priors around one"
                + " half; dashed: around %s; the dot is the prior chosen",
            centreName),
        new Curves.Axis(
            "how strong the prior is: as much as so many observations, a + b",
            "a + b",
            Math.min(WIDEST, strength),
            Math.max(STRONGEST, strength),
            1),
        new Curves.Axis("chance that the alternative is true", "chance", 0, 1, 100),
        List.of(
            curve("around one half", 0.5, List.of(chosen)),
            curve("around " + centreName, centre, List.of())),
        List.of(),
        null);
  }

  /** The chance of the alternative, had both been equally likely. */
  private double chance(BetaPrior prior) {
    return 1 / (1 + Math.exp(-log.applyAsDouble(prior)));
  }

  private Curves.Curve curve(String name, double mean, List<Curves.Dot> dots) {
    List<Double> x = new ArrayList<>();
    List<Double> y = new ArrayList<>();
    double step = Math.log(STRONGEST / WIDEST) / POINTS;
    for (int i = 0; i <= POINTS; i++) {
      double strength = WIDEST * Math.exp(step * i);
      if (strength * Math.min(mean, 1 - mean) >= least) {
        x.add(strength);
        y.add(chance(new BetaPrior(strength * mean, strength * (1 - mean))));
      }
    }
    return new Curves.Curve(name, x, y, dots);
  }
}
