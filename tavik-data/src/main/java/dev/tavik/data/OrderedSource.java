package dev.tavik.data;

/** Data whose rows have an order that means something, such as the time of making. */
public interface OrderedSource {
  /**
   * Counts as {@link CountSource#count} does, and keeps the order of the first column's levels.
   *
   * @param request what to count, without a frequency column
   * @return the counts, and the levels of every row that was counted
   * @throws DataException if the data can't be read or lack what is asked for, or more than {@value
   *     RowsInOrder#MOST} rows are counted
   * @throws IllegalArgumentException if there is a frequency column
   */
  RowsInOrder inOrder(CountRequest request);
}
