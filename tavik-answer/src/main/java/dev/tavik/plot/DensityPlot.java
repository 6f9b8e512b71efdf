package dev.tavik.plot;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A distribution, and areas of it.
 *
 * @param title which distribution
 * @param subtitle what is shaded
 * @param discrete whether the heights are probabilities of whole counts, or a density
 * @param step how many counts, or how much of the axis, one height stands for
 * @param outline the whole distribution
 * @param shaded the areas
 */
public record DensityPlot(
    String title,
    String subtitle,
    boolean discrete,
    double step,
    List<NullPlot.Point> outline,
    List<Shaded> shaded)
    implements Plot {
  /** Copies the lists. */
  public DensityPlot {
    outline = List.copyOf(outline);
    shaded = List.copyOf(shaded);
  }

  /**
   * An area.
   *
   * @param from its lower end; null where it has none
   * @param to its upper end; null where it has none
   * @param words what it is
   * @param outline its values and their heights
   */
  public record Shaded(
      @Nullable Double from, @Nullable Double to, String words, List<NullPlot.Point> outline) {
    /** Copies the lists. */
    public Shaded {
      outline = List.copyOf(outline);
    }
  }
}
