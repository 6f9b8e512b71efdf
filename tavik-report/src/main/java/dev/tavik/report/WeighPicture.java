package dev.tavik.report;

import dev.tavik.result.Figures;
import dev.tavik.study.Answer;
import dev.tavik.study.WeighAnswer;
import dev.tavik.study.WeighQuestion;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;
import org.jspecify.annotations.Nullable;

/** Draws the true coverage of intervals over the true rate. */
public final class WeighPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 520;
  private static final int POINTS = 400;
  private static final int POINTS_OF_PAIRS = 40;
  private static final int MOST = 5;
  private static final double LEAST_RATE = 0.002;
  private static final Color[] INKS = {
    new Color(0x00, 0x50, 0x8C),
    new Color(0xB8, 0x47, 0x00),
    new Color(0x2E, 0x7D, 0x4F),
    new Color(0x7A, 0x4E, 0x9E),
    new Color(0x55, 0x55, 0x55)
  };
  private static final float[][] DASHES = {{1, 0}, {8, 4}, {2, 3}, {10, 3, 2, 3}, {5, 5}};

  private WeighPicture() {}

  /**
   * The picture: from a third of the least rate asked for to three times the greatest.
   *
   * @param answer an answer about the behaviour of methods
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, or about more than five
   *     intervals
   */
  public static Picture of(Answer answer) {
    if (!(answer instanceof WeighAnswer weighed)) {
      throw new IllegalArgumentException("the picture of coverage is of methods that were weighed");
    }
    int methods = weighed.lines().get(0).intervals().size();
    if (methods < 1 || methods > MOST) {
      throw new IllegalArgumentException(
          "the picture of coverage shows one to five intervals, got " + methods);
    }
    return draw(over(weighed.asked()));
  }

  private static WeighAnswer over(WeighQuestion asked) {
    double low = Math.max(LEAST_RATE, Collections.min(asked.rates()) / 3);
    double high = Math.min(1 - LEAST_RATE, 3 * Collections.max(asked.rates()));
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
    return new WeighQuestion(
            asked.label(),
            asked.sizes(),
            rates,
            asked.level(),
            asked.alpha(),
            asked.alternative(),
            asked.intervals(),
            List.of(),
            asked.comparisons(),
            List.of())
        .ask();
  }

  private static Picture draw(WeighAnswer answer) {
    XYSeriesCollection curves = new XYSeriesCollection();
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setDrawSeriesLineAsPath(true);
    int methods = answer.lines().get(0).intervals().size();
    double least = 100 * answer.asked().level();
    double[] all = new double[methods * answer.lines().size()];
    XYPlot plot = new XYPlot();
    double right = 100 * answer.lines().get(answer.lines().size() - 1).rates().get(0);
    double left = 100 * answer.lines().get(0).rates().get(0);
    for (int i = 0; i < methods; i++) {
      XYSeries curve = new XYSeries(i);
      for (WeighAnswer.Line line : answer.lines()) {
        double coverage = 100 * line.intervals().get(i).coverage().coverage();
        curve.add(100 * line.rates().get(0), coverage);
        all[(curve.getItemCount() - 1) * methods + i] = coverage;
      }
      curves.addSeries(curve);
      renderer.setSeriesPaint(i, INKS[i]);
      renderer.setSeriesStroke(
          i,
          new BasicStroke(1.6f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1f, dashes(i), 0f));
    }
    Arrays.sort(all);
    // The deepest dips next to 0 would press everything else flat.
    double low = Math.min(least - 2, Math.max(all[0], all[all.length / 50] - 2));
    NumberAxis across =
        new NumberAxis(
            answer.asked().sizes().size() == 1
                ? "true rate, in percent"
                : "true rate of both groups, in percent");
    across.setRange(left, right);
    ChartStyle.plain(across);
    NumberAxis up = new NumberAxis("true coverage, in percent");
    double top = 100.4;
    up.setRange(low, top + (top - low) * 0.02);
    ChartStyle.plain(up);
    plot.setDataset(curves);
    plot.setRenderer(renderer);
    plot.setDomainAxis(across);
    plot.setRangeAxis(up);
    plot.setBackgroundPaint(Color.WHITE);
    plot.setOutlineVisible(false);
    plot.setDomainGridlinesVisible(false);
    plot.setRangeGridlinesVisible(false);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    ValueMarker level = new ValueMarker(100 * answer.asked().level());
    level.setPaint(ChartStyle.INK);
    level.setStroke(new BasicStroke(1f));
    plot.addRangeMarker(level);
    for (int i = 0; i < methods; i++) {
      XYTextAnnotation name =
          new XYTextAnnotation(
              answer.lines().get(0).intervals().get(i).method() + mark(i) + " ",
              right,
              low + (top - low) * (0.04 + 0.05 * (methods - 1 - i)));
      name.setFont(BundledFonts.bold(12));
      name.setPaint(INKS[i]);
      name.setTextAnchor(TextAnchor.CENTER_RIGHT);
      plot.addAnnotation(name);
    }
    String sizes =
        String.join(" and ", answer.asked().sizes().stream().map(Figures::count).toList());
    return new Picture(
        ChartStyle.titled(
            plot,
            "True coverage of "
                + Figures.exactPercent(answer.asked().level())
                + " intervals with "
                + sizes
                + " trials",
            "exact, every outcome weighted by its probability; the line is the level"),
        WIDTH,
        HEIGHT);
  }

  private static float @Nullable [] dashes(int curve) {
    return curve == 0 ? null : DASHES[curve];
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
