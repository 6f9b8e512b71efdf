package dev.tavik.plot;

import java.util.List;

/**
 * What a planned test would say in two worlds: that in which nothing is there, and that which is
 * expected.
 *
 * @param title with how many observations
 * @param subtitle at which alpha, with which power
 * @param axis what the test sees
 * @param oneTail whether only large values can be rejected
 * @param edges where rejection begins, in words, within the axis
 * @param worlds the worlds, the null first
 */
public record ErrorsPlot(
    String title, String subtitle, Axis axis, boolean oneTail, List<Edge> edges, List<World> worlds)
    implements Plot {
  /** Copies the lists. */
  public ErrorsPlot {
    edges = List.copyOf(edges);
    worlds = List.copyOf(worlds);
  }

  /**
   * An axis.
   *
   * @param name what stands along it
   * @param from where it begins
   * @param to where it ends
   */
  public record Axis(String name, double from, double to) {}

  /**
   * A critical value.
   *
   * @param at its place on the axis
   * @param words what it says
   */
  public record Edge(double at, String words) {}

  /**
   * A world.
   *
   * @param name what is true there
   * @param cuts the places between slices of equally many results, from end to end
   * @param parts what the test rejects and what it doesn't, from left to right
   */
  public record World(String name, List<Double> cuts, List<Part> parts) {
    /** Copies the lists. */
    public World {
      cuts = List.copyOf(cuts);
      parts = List.copyOf(parts);
    }
  }

  /**
   * A part of the axis.
   *
   * @param from where it begins
   * @param to where it ends
   * @param share the share of results in it
   * @param rejected whether the test rejects there
   */
  public record Part(double from, double to, double share, boolean rejected) {}
}
