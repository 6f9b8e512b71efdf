package dev.tavik.planning;

/**
 * How narrow an interval will be, before data: half its length where the proportions observed are
 * those expected. It falls with the number of observations.
 */
public sealed interface Precision permits RatePrecision, DifferencePrecision {
  /**
   * The id of the interval.
   *
   * @return such as {@code wilson}
   */
  String interval();

  /**
   * The confidence level.
   *
   * @return the level
   */
  double level();

  /**
   * The sizes of all groups.
   *
   * @param first the size of the first group, not necessarily whole
   * @return sizes rounded up
   */
  Sizes sizes(double first);

  /**
   * Half the length of the interval.
   *
   * @param sizes the sizes of all groups
   * @return half the length
   */
  double halfWidth(Sizes sizes);

  /**
   * The same before sizes are rounded.
   *
   * @param first the size of the first group, not necessarily whole
   * @return half the length
   */
  double halfWidth(double first);

  /**
   * The largest first group that there can be.
   *
   * @return such as the size of the population
   */
  long most();
}
