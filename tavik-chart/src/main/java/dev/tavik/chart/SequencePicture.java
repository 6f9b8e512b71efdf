package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Evidence;
import dev.tavik.result.Figures;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.rate.RateQuestion;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws the Bayes factor of a rate after each observation. */
final class SequencePicture {
  private static final double LN_10 = Math.log(10);
  private static final int MOST_STEPS = 1200;
  private static final Color PATH = new Color(0x00, 0x50, 0x8C);

  private SequencePicture() {}

  /**
   * The picture.
   *
   * @param answer an answer about one rate that was followed in order
   * @return the picture
   * @throws IllegalArgumentException if it wasn't
   */
  static Picture of(Answer answer) {
    Optional<Posterior> bayes =
        answer.find(Posterior.class).filter(each -> !each.sequence().isEmpty());
    if (bayes.isPresent() && answer.question() instanceof RateQuestion rate) {
      return of(rate, bayes.get());
    }
    throw new IllegalArgumentException(
        "the picture of a sequence is of one rate, followed through a file in its order: --sequence");
  }

  private static Picture of(RateQuestion rate, Posterior bayes) {
    Path path = new Path(bayes.sequence());
    DoubleSummaryStatistics logs =
        bayes.sequence().stream().mapToDouble(Double::doubleValue).summaryStatistics();
    NumberAxis across = ChartStyle.axis("observations, in the order of the file");
    double room = 1.25;
    across.setRange(0, path.size() * room);
    ChartStyle.plain(across);
    EvidencePlot plot =
        new EvidencePlot(
            across, Math.min(0, logs.getMin()) / LN_10, Math.max(0, logs.getMax()) / LN_10);
    plot.curve(thinned(path), PATH, new BasicStroke(1.6f));
    double end = path.log(path.size()) / LN_10;
    plot.point(path.size(), end, PATH);
    plot.write(
        Evidence.times(bayes.logBayesFactor()),
        path.size() * 1.012,
        end,
        TextAnchor.CENTER_LEFT,
        PATH,
        true);
    plot.ends(bayes.alternative(), bayes.none());
    BayesSettings view = rate.settings().bayes();
    String subject = rate.label().isEmpty() ? "The rate" : rate.label();
    return plot.picture(
        say(
            "%s: the Bayes factor after each of %s observations",
            subject, Figures.count(path.size())),
        say(
            "prior %s; bands by Kass and Raftery; it starts at 1, where nothing is known",
            view == null ? BetaPrior.uniform() : view.prior()));
  }

  /** Of a long path the least, the most and the last of every stretch. */
  private static XYSeries thinned(Path path) {
    XYSeries points = new XYSeries("path", false);
    points.add(0, 0);
    int stretch = Math.max(1, path.size() / MOST_STEPS);
    for (int from = 1; from <= path.size(); from += stretch) {
      int to = Math.min(path.size(), from + stretch - 1);
      int least = from;
      int most = from;
      for (int i = from; i <= to; i++) {
        least = path.log(i) < path.log(least) ? i : least;
        most = path.log(i) > path.log(most) ? i : most;
      }
      add(points, path, Math.min(least, most));
      if (least != most) {
        add(points, path, Math.max(least, most));
      }
      if (to > Math.max(least, most)) {
        add(points, path, to);
      }
    }
    return points;
  }

  private static void add(XYSeries points, Path path, int observations) {
    points.add(observations, path.log(observations) / LN_10);
  }

  /** The factor's logarithm after so many observations, from 1. */
  private record Path(List<Double> logs) {
    int size() {
      return logs.size();
    }

    double log(int observations) {
      return logs.get(observations - 1);
    }
  }
}
