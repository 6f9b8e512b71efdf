package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.result.Figures;
import dev.tavik.study.assess.AssessQuestion;
import dev.tavik.study.assess.Assessed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws the true coverage of intervals over the true rate. */
final class CoveragePicture {
  private static final int POINTS = 400;
  private static final int POINTS_OF_PAIRS = 40;
  private static final int MOST = 5;
  private static final double AROUND = 3;
  private static final double LEAST_RATE = 0.002;

  private CoveragePicture() {}

  /**
   * The picture: from a third of the least rate asked for to three times the greatest.
   *
   * @param answer an answer about the behaviour of methods
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, or about more than five
   *     intervals
   */
  public static Picture of(Answer answer) {
    Assessed assessed =
        answer
            .find(Assessed.class)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of coverage is of methods that were assessed"));
    int methods = assessed.lines().get(0).intervals().size();
    require(
        methods >= 1 && methods <= MOST,
        "the picture of coverage shows one to five intervals, got %s",
        methods);
    return draw(over(assessed.asked()));
  }

  private static Assessed over(AssessQuestion asked) {
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
    return new AssessQuestion(
            asked.label(), asked.sizes(), rates, asked.alternative(), asked.choices())
        .tests(List.of())
        .ask()
        .find(Assessed.class)
        .orElseThrow();
  }

  private static Picture draw(Assessed answer) {
    int methods = answer.lines().get(0).intervals().size();
    double level = 100 * answer.asked().level();
    double[] all = new double[methods * answer.lines().size()];
    double right = 100 * answer.lines().get(answer.lines().size() - 1).rates().get(0);
    double left = 100 * answer.lines().get(0).rates().get(0);
    List<XYSeries> curves = new ArrayList<>();
    for (int i = 0; i < methods; i++) {
      XYSeries curve = new XYSeries(i);
      for (Assessed.AssessedRate line : answer.lines()) {
        double coverage = 100 * line.intervals().get(i).coverage().coverage();
        curve.add(100 * line.rates().get(0), coverage);
        all[(curve.getItemCount() - 1) * methods + i] = coverage;
      }
      curves.add(curve);
    }
    Arrays.sort(all);
    // The deepest dips next to 0 would press everything else flat.
    double low = Math.min(level - 2, Math.max(all[0], all[all.length / 50] - 2));
    NumberAxis across =
        ChartStyle.axis(
            answer.asked().sizes().size() == 1
                ? "true rate, in percent"
                : "true rate of both groups, in percent");
    across.setRange(left, right);
    NumberAxis up = ChartStyle.axis("true coverage, in percent");
    double top = 100.4;
    up.setRange(low, top + (top - low) * 0.02);
    CurvePlot plot = new CurvePlot(across, up);
    plot.line(left, level, right, level, ChartStyle.INK, false);
    for (int i = 0; i < methods; i++) {
      plot.curve(curves.get(i), i);
      plot.write(
          answer.lines().get(0).intervals().get(i).method().id() + mark(i) + " ",
          right,
          low + (top - low) * (0.04 + 0.05 * (methods - 1 - i)),
          TextAnchor.CENTER_RIGHT,
          CurvePlot.ink(i),
          true);
    }
    String sizes =
        String.join(" and ", answer.asked().sizes().stream().map(Figures::count).toList());
    return plot.picture(
        say(
            "True coverage of %s intervals with %s trials",
            Figures.exactPercent(answer.asked().level()), sizes),
        "exact, every outcome weighted by its probability; the line is the level");
  }

  private static String mark(int curve) {
    return switch (curve) {
      case 0 -> " (solid)";
      case 1 -> " (long dashes)";
      case 2 -> " (dots)";
      case 3 -> " (dash and dot)";
      default -> " (short dashes)";
    };
  }
}
