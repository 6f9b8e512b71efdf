package dev.tavik.answer;

import dev.tavik.result.Figures;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Curves of a chance over something that varies, such as power over the number of observations.
 * They are computed when a picture, a program or a reader of the working asks for them.
 */
public final class Curves implements Finding {
  /** About how many points of a curve are read. */
  private static final int SHOWN = 8;

  private final Kind kind;
  private final Lazy<Plot> plot;

  /** What curves are of, and over what. */
  public enum Kind {
    /** Power over the number of observations. */
    POWER_OVER_SIZES("powerOverSizes"),
    /** Power over what is expected. */
    POWER_OVER_EFFECTS("powerOverEffects"),
    /** The chance of the alternative over priors. */
    CHANCE_OVER_PRIORS("chanceOverPriors"),
    /** True coverage over the true rate. */
    COVERAGE_OVER_RATES("coverageOverRates");

    private final String key;

    Kind(String key) {
      this.key = key;
    }
  }

  private Curves(Kind kind, Lazy<Plot> plot) {
    this.kind = kind;
    this.plot = plot;
  }

  /**
   * {@return curves that are computed once, when they are asked for}
   *
   * @param kind what they are of
   * @param plot computes them; throws {@code IllegalArgumentException} if they can't be drawn
   */
  public static Curves of(Kind kind, Supplier<Plot> plot) {
    return new Curves(kind, new Lazy<>(plot));
  }

  /**
   * What is drawn.
   *
   * @param title what the curves show
   * @param subtitle by which methods
   * @param across what varies
   * @param up what it makes of it
   * @param curves the curves, at least one
   * @param wanted values of the figure that are wanted; empty for none
   * @param none the value of what varies at which the null is true; null where that isn't one value
   */
  public record Plot(
      String title,
      String subtitle,
      Axis across,
      Axis up,
      List<Curve> curves,
      List<Double> wanted,
      @Nullable Double none) {

    /** Copies the lists. */
    public Plot {
      curves = List.copyOf(curves);
      wanted = List.copyOf(wanted);
    }

    private Sheet sheet() {
      Sheet sheet =
          Sheet.read(
              title,
              Column.words(),
              Column.numbers(across.heading()),
              Column.numbers(up.heading()));
      for (Curve curve : curves) {
        int step = Math.max(1, (curve.x().size() - 1) / SHOWN);
        for (int i = 0; i < curve.x().size(); i += step) {
          sheet.row(
              i == 0 ? curve.name() : "",
              across.value(curve.x().get(i)),
              Value.Share.CHANCE.of(curve.y().get(i)));
        }
      }
      return sheet;
    }

    private Value figures() {
      return Value.fields()
          .with("across", across.name())
          .with("up", up.name())
          .with(
              "curves",
              Value.list(
                  curves,
                  curve ->
                      Value.fields()
                          .with("name", curve.name())
                          .with("x", rounded(curve.x()))
                          .with("y", rounded(curve.y()))));
    }
  }

  /** Rounded to twelve digits, so that they are the same on every machine. */
  private static Value rounded(List<Double> values) {
    return Value.numbers(values.stream().map(Figures::rounded).toList());
  }

  /**
   * An axis.
   *
   * @param name what stands along it
   * @param heading the same above a column
   * @param from its lower end
   * @param to its upper end
   * @param factor what a picture multiplies its values by: 100 for percent
   */
  public record Axis(String name, String heading, double from, double to, double factor) {
    /** A value as it is read: a count whole, anything else to four digits. */
    private Value value(double of) {
      double shown = factor * of;
      return shown == Math.rint(shown)
          ? new Value.Count((long) shown)
          : Value.significant(shown, 4);
    }
  }

  /**
   * A curve.
   *
   * @param name what is said of it
   * @param x what varies, rising
   * @param y the figure at each
   * @param dots points that the answer names
   */
  public record Curve(String name, List<Double> x, List<Double> y, List<Dot> dots) {
    /** Copies the lists. */
    public Curve {
      x = List.copyOf(x);
      y = List.copyOf(y);
      dots = List.copyOf(dots);
    }
  }

  /**
   * A point.
   *
   * @param x what varies
   * @param y the figure
   * @param label what is said of it
   */
  public record Dot(double x, double y, String label) {}

  /**
   * {@return what is drawn}
   *
   * @throws IllegalArgumentException if it can't be drawn, such as too many curves
   */
  public Plot plot() {
    return plot.get();
  }

  /** {@return what they are of} */
  public Kind kind() {
    return kind;
  }

  @Override
  public String key() {
    return kind.key;
  }

  /** Some points of each curve. */
  @Override
  public List<Block> reading() {
    try {
      return plot().sheet().reading();
    } catch (IllegalArgumentException e) {
      return List.of();
    }
  }

  @Override
  public boolean last() {
    return true;
  }

  @Override
  public Depth depth() {
    return Depth.WORKING;
  }

  @Override
  public Value figures() {
    try {
      return plot().figures();
    } catch (IllegalArgumentException e) {
      return Value.none();
    }
  }
}
