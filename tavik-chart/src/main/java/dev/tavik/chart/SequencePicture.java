package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.chart.ChancePlot.Beside;
import dev.tavik.plot.SequencePlot;
import dev.tavik.result.Figures;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.List;
import java.util.TreeSet;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Draws how the evidence about a rate grew row by row: above the chance that the alternative is
 * true, below the rate so far with its credible interval, both over the same observations.
 */
record SequencePicture(SequencePlot shown) {
  private static final int WIDTH = 960;
  private static final int CHANCE_HEIGHT = 330;
  private static final int RATE_HEIGHT = 270;
  private static final int MOST_STEPS = 1200;
  private static final double SETTLED = 0.05;
  private static final double ROOM = 0.17;
  private static final Color PATH = new Color(0x00, 0x50, 0x8C);
  private static final Color NULL = new Color(0xB0, 0x3F, 0x00);

  static Picture of(Answer answer) {
    return answer
        .plot(SequencePlot.class)
        .map(plot -> new SequencePicture(plot).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of a sequence is of one rate, followed through a file in its"
                        + " order: --sequence"));
  }

  private List<Double> logs() {
    return shown.logs();
  }

  private Picture picture() {
    return new Picture(
        List.of(
            new Picture.Part(
                ChartStyle.titled(chances(), shown.title(), shown.subtitle()), CHANCE_HEIGHT),
            new Picture.Part(ChartStyle.untitled(rates()), RATE_HEIGHT)),
        WIDTH);
  }

  private NumberAxis rows(String label) {
    return new EndingAxis(label, 0, logs().size(), ROOM);
  }

  private XYPlot chances() {
    ChancePlot plot = new ChancePlot(rows(""));
    XYSeries path = new XYSeries("path", false);
    path.add(0, 50);
    for (int n : steps()) {
      path.add(n, ChancePlot.chance(logs().get(n - 1)));
    }
    plot.curve(path, PATH, new BasicStroke(1.6f));
    marked(plot);
    plot.ends(shown.alternative(), shown.none());
    return plot.plot();
  }

  /** The farthest points on either side and the end, in words. */
  private void marked(ChancePlot plot) {
    int least = 1;
    int most = 1;
    for (int n = 1; n <= logs().size(); n++) {
      least = logs().get(n - 1) < logs().get(least - 1) ? n : least;
      most = logs().get(n - 1) > logs().get(most - 1) ? n : most;
    }
    int last = logs().size();
    TreeSet<Integer> places = new TreeSet<>(List.of(least, most, last));
    for (int n : places) {
      double log = logs().get(n - 1);
      boolean near = n != last && last - n < SETTLED * last;
      boolean extreme = n == most ? log > 0 : log < 0;
      if (n == last || (extreme && !near)) {
        String what = n == last ? "end" : n == most ? "highest, row" : "lowest, row";
        plot.point(
            n,
            log,
            say("%s%s: %s", what, n == last ? "" : " " + Figures.count(n), ChancePlot.words(log)),
            n == last ? PATH : ChartStyle.INK,
            n == last ? Beside.LEVEL : n == most ? Beside.ABOVE : Beside.BELOW);
      }
    }
  }

  private XYPlot rates() {
    XYSeries rates = new XYSeries("rate", false);
    XYSeries lower = new XYSeries("lower", false);
    XYSeries upper = new XYSeries("upper", false);
    double top = 100 * shown.against();
    for (SequencePlot.Rate each : shown.rates()) {
      rates.add(each.n(), 100 * each.rate());
      lower.add(each.n(), 100 * each.lower());
      upper.add(each.n(), 100 * each.upper());
      // The first intervals cover nearly everything; the axis is not made for them.
      top = each.n() >= SETTLED * logs().size() ? Math.max(top, 100 * each.upper()) : top;
    }
    XYSeriesCollection curves = new XYSeriesCollection(rates);
    curves.addSeries(lower);
    curves.addSeries(upper);
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setDrawSeriesLineAsPath(true);
    for (int i = 0; i < 3; i++) {
      renderer.setSeriesPaint(i, PATH);
      renderer.setSeriesStroke(i, new BasicStroke(i == 0 ? 1.8f : 0.7f));
    }
    NumberAxis up = ChartStyle.axis("rate so far");
    up.setRange(0, Math.min(100, 1.1 * top));
    up.setNumberFormatOverride(ChartStyle.format("0.##'%'"));
    ChartStyle.plain(up);
    XYPlot plot = new XYPlot();
    ChartStyle.frame(plot, curves, renderer, rows("observations, in the order of the file"), up);
    ChartStyle.room(plot);
    against(plot);
    return plot;
  }

  private void against(XYPlot plot) {
    double against = 100 * shown.against();
    plot.addRangeMarker(ChartStyle.marker(against, NULL, new BasicStroke(1.4f)));
    ChartStyle.write(
        plot,
        "held against " + Figures.exactPercent(shown.against()),
        logs().size() * (1 + ROOM),
        against,
        TextAnchor.BOTTOM_RIGHT,
        NULL,
        BundledFonts.plain(12));
  }

  /** Of a long path the least, the most and the last of every stretch. */
  private TreeSet<Integer> steps() {
    TreeSet<Integer> steps = new TreeSet<>();
    int stretch = Math.max(1, logs().size() / MOST_STEPS);
    for (int from = 1; from <= logs().size(); from += stretch) {
      int to = Math.min(logs().size(), from + stretch - 1);
      int least = from;
      int most = from;
      for (int n = from; n <= to; n++) {
        least = logs().get(n - 1) < logs().get(least - 1) ? n : least;
        most = logs().get(n - 1) > logs().get(most - 1) ? n : most;
      }
      steps.addAll(List.of(least, most, to));
    }
    return steps;
  }
}
