package dev.tavik.chart;

import dev.tavik.result.Figures;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import org.jfree.chart.axis.AxisState;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTick;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.TextAnchor;

/** An axis of decimal logarithms that is labelled with the numbers themselves: 0.2, 0.5, 1, 2. */
final class RatioAxis extends NumberAxis {
  private static final long serialVersionUID = 1L;
  private static final double[] FEW = {1, 2, 5};
  private static final double[] MANY = {1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8};
  private static final int ENOUGH = 4;
  private static final double WIDE = 3;

  RatioAxis(String label) {
    super(label);
  }

  @Override
  public List<NumberTick> refreshTicks(
      Graphics2D graphics, AxisState state, Rectangle2D area, RectangleEdge edge) {
    double[] round = getRange().getLength() > WIDE ? new double[] {1} : FEW;
    List<NumberTick> ticks = ticks(round);
    return ticks.size() < ENOUGH ? ticks(MANY) : ticks;
  }

  private List<NumberTick> ticks(double... mantissas) {
    List<NumberTick> ticks = new ArrayList<>();
    int from = (int) Math.floor(getRange().getLowerBound());
    int to = (int) Math.ceil(getRange().getUpperBound());
    for (int power = from; power <= to; power++) {
      for (double mantissa : mantissas) {
        double value = mantissa * Math.pow(10, power);
        double place = Math.log10(value);
        if (getRange().contains(place)) {
          ticks.add(
              new NumberTick(
                  place,
                  value >= 1000 ? Figures.count(Math.round(value)) : Figures.upTo(value, 3),
                  TextAnchor.TOP_CENTER,
                  TextAnchor.CENTER,
                  0));
        }
      }
    }
    return ticks;
  }
}
