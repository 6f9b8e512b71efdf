package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Curves;
import java.util.Arrays;
import java.util.List;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws the true coverage of intervals over the true rate. */
final class CoveragePicture {
  private CoveragePicture() {}

  static Picture of(Answer answer) {
    return answer
        .curves(Curves.Kind.COVERAGE_OVER_RATES)
        .map(CoveragePicture::draw)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of coverage is of methods that were assessed"));
  }

  private static Picture draw(Curves.Plot curves) {
    double level = 100 * curves.wanted().get(0);
    double left = 100 * curves.across().from();
    double right = 100 * curves.across().to();
    double[] all =
        curves.curves().stream()
            .flatMap(each -> each.y().stream())
            .mapToDouble(each -> 100 * each)
            .toArray();
    Arrays.sort(all);
    // The deepest dips next to 0 would press everything else flat.
    double low = Math.min(level - 2, Math.max(all[0], all[all.length / 50] - 2));
    NumberAxis across = ChartStyle.axis(curves.across().name());
    across.setRange(left, right);
    NumberAxis up = ChartStyle.axis(curves.up().name());
    double top = 100.4;
    up.setRange(low, top + (top - low) * 0.02);
    CurvePlot plot = new CurvePlot(across, up);
    plot.line(left, level, right, level, ChartStyle.INK, false);
    List<Curves.Curve> methods = curves.curves();
    for (int i = 0; i < methods.size(); i++) {
      XYSeries points = new XYSeries(i);
      for (int k = 0; k < methods.get(i).x().size(); k++) {
        points.add(100 * methods.get(i).x().get(k), 100 * methods.get(i).y().get(k));
      }
      plot.curve(points, i);
      plot.write(
          methods.get(i).name() + mark(i) + " ",
          right,
          low + (top - low) * (0.04 + 0.05 * (methods.size() - 1 - i)),
          TextAnchor.CENTER_RIGHT,
          CurvePlot.ink(i),
          true);
    }
    return plot.picture(curves.title(), curves.subtitle());
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
