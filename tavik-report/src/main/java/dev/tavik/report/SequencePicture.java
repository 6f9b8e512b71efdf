package dev.tavik.report;

import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.result.Figures;
import dev.tavik.study.Answer;
import dev.tavik.study.FollowedRate;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.Locale;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws the Bayes factor of a rate after each observation. */
public final class SequencePicture {
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
  public static Picture of(Answer answer) {
    if (answer instanceof RateAnswer rate) {
      RateBayes bayes = rate.bayes();
      if (bayes != null && bayes.followed() != null) {
        return of(rate, bayes, bayes.followed());
      }
    }
    throw new IllegalArgumentException(
        "the picture of a sequence is of one rate, followed through a file in its order: --sequence");
  }

  private static Picture of(RateAnswer answer, RateBayes bayes, FollowedRate followed) {
    BayesFactorPath path = followed.path();
    NumberAxis across = ChartStyle.axis("observations, in the order of the file");
    double room = 1.25;
    across.setRange(0, path.size() * room);
    ChartStyle.plain(across);
    EvidencePlot plot =
        new EvidencePlot(
            across, path.logs().min().orElse(0) / LN_10, path.logs().max().orElse(0) / LN_10);
    plot.curve(thinned(path), PATH, new BasicStroke(1.6f));
    double end = path.log(path.size()) / LN_10;
    plot.point(path.size(), end, PATH);
    plot.write(
        RateBayes.times(bayes.logBayesFactor()),
        path.size() * 1.012,
        end,
        TextAnchor.CENTER_LEFT,
        PATH,
        true);
    plot.ends(
        BayesText.alternative(answer.settings().hypothesis()),
        BayesText.none(answer.settings().hypothesis()));
    String subject = answer.label().isEmpty() ? "The rate" : answer.label();
    return plot.picture(
        String.format(
            Locale.ROOT,
            "%s: the Bayes factor after each of %s observations",
            subject,
            Figures.count(path.size())),
        String.format(
            Locale.ROOT,
            "prior %s; bands by Kass and Raftery; it starts at 1, where nothing is known",
            bayes.prior()));
  }

  /** Of a long path the least, the most and the last of every stretch. */
  private static XYSeries thinned(BayesFactorPath path) {
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

  private static void add(XYSeries points, BayesFactorPath path, int observations) {
    points.add(observations, path.log(observations) / LN_10);
  }
}
