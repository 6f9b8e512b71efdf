package dev.tavik.plot;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** The plots of an answer, one of a kind. Each is made when it is asked for. */
public final class Plots {
  private final Map<Class<? extends Plot>, Supplier<? extends Plot>> byKind = new LinkedHashMap<>();

  private Plots() {}

  /** {@return no plots} */
  public static Plots none() {
    return new Plots();
  }

  /**
   * {@return one plot}
   *
   * @param kind its kind
   * @param plot makes it; throws {@code IllegalArgumentException} if there is nothing to draw
   * @param <P> its kind
   */
  public static <P extends Plot> Plots of(Class<P> kind, Supplier<P> plot) {
    return none().with(kind, plot);
  }

  /**
   * Adds a plot.
   *
   * @param kind its kind
   * @param plot makes it; throws {@code IllegalArgumentException} if there is nothing to draw
   * @param <P> its kind
   * @return these plots
   */
  public <P extends Plot> Plots with(Class<P> kind, Supplier<P> plot) {
    byKind.put(kind, plot);
    return this;
  }

  /**
   * {@return the plot of a kind; empty where such a question has none}
   *
   * @param kind its kind
   * @param <P> its kind
   * @throws IllegalArgumentException if this answer has nothing to draw
   */
  public <P extends Plot> Optional<P> find(Class<P> kind) {
    return Optional.ofNullable(byKind.get(kind)).map(plot -> kind.cast(plot.get()));
  }
}
