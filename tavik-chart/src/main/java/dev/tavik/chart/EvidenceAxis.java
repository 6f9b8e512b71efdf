package dev.tavik.chart;

import dev.tavik.bayes.Evidence;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.jfree.chart.axis.AxisState;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTick;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.TextAnchor;

/**
 * An axis of decimal logarithms of Bayes factors, labelled on either side of 1 with how many times
 * likelier: 100, 10, 1, 10, 100.
 */
final class EvidenceAxis extends NumberAxis {
  private static final long serialVersionUID = 1L;
  private static final int MOST_TICKS = 12;
  private static final double FEW_DECADES = 4.5;

  EvidenceAxis(String label) {
    super(label);
  }

  @Override
  public List<NumberTick> refreshTicks(
      Graphics2D graphics, AxisState state, Rectangle2D area, RectangleEdge edge) {
    List<NumberTick> ticks = new ArrayList<>();
    double step = Math.max(1, ChartStyle.step(getRange().getLength(), MOST_TICKS));
    double last = Math.max(getRange().getUpperBound(), -getRange().getLowerBound());
    boolean few = getRange().getLength() < FEW_DECADES;
    for (double power = 0; power <= last; power += step) {
      tick(power, ticks);
      if (few) {
        tick(power + Math.log10(3), ticks);
      }
    }
    return ticks;
  }

  private void tick(double power, List<NumberTick> ticks) {
    String times =
        power == 0 ? "1" : Evidence.times(power * Math.log(10)).replaceAll("\\.0+(?=$|e)", "");
    for (double place : power == 0 ? new double[] {0} : new double[] {power, -power}) {
      if (getRange().contains(place)) {
        ticks.add(new NumberTick(place, times, TextAnchor.CENTER_RIGHT, TextAnchor.CENTER, 0));
      }
    }
  }
}
