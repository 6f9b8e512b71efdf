package dev.tavik.study.assess;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Curves;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Curves of true coverage over the true rate. */
final class CoveragePlot {
  private static final int POINTS = 400;
  private static final int POINTS_OF_PAIRS = 40;
  private static final int MOST = 5;
  private static final double AROUND = 3;
  private static final double LEAST_RATE = 0.002;

  private CoveragePlot() {}

  /** From a third of the least rate asked for to three times the greatest; or over their range. */
  static Curves.Plot of(AssessQuestion asked) {
    int methods = asked.intervals().size();
    require(
        methods >= 1 && methods <= MOST,
        "the picture of coverage shows one to five intervals, got %s",
        methods);
    List<Assessed.AssessedRate> lines = asked.over(rates(asked));
    List<Curves.Curve> curves = new ArrayList<>();
    List<Double> x = lines.stream().map(line -> line.rates().get(0)).toList();
    for (int i = 0; i < methods; i++) {
      int method = i;
      curves.add(
          new Curves.Curve(
              asked.intervals().get(i).id(),
              x,
              lines.stream()
                  .map(line -> line.intervals().get(method).coverage().coverage())
                  .toList(),
              List.of()));
    }
    return new Curves.Plot(
        say(
            "True coverage of %s intervals with %s trials",
            Figures.exactPercent(asked.level()),
            String.join(" and ", asked.sizes().stream().map(Figures::count).toList())),
        "exact, every outcome weighted by its probability; the line is the level",
        new Curves.Axis(
            asked.sizes().size() == 1
                ? "true rate, in percent"
                : "true rate of both groups, in percent",
            "true rate, %",
            x.get(0),
            x.get(x.size() - 1),
            100),
        new Curves.Axis("true coverage, in percent", "covers", 0, 1, 100),
        curves,
        List.of(asked.level()),
        null);
  }

  private static List<Double> rates(AssessQuestion asked) {
    double least = Collections.min(asked.rates());
    double most = Collections.max(asked.rates());
    // Around one rate, or pair of rates, its surroundings; over a range the range.
    double reach = asked.rates().size() > asked.sizes().size() ? 1 : AROUND;
    double low = Math.max(LEAST_RATE, least / reach);
    double high = Math.min(1 - LEAST_RATE, reach * most);
    boolean pairs = asked.sizes().size() == 2;
    int points = pairs ? POINTS_OF_PAIRS : POINTS;
    List<Double> rates = new ArrayList<>();
    for (int i = 0; i <= points; i++) {
      double rate = low + (high - low) * i / points;
      rates.add(rate);
      if (pairs) {
        rates.add(rate);
      }
    }
    return rates;
  }
}
