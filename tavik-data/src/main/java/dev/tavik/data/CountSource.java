package dev.tavik.data;

import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;

/** Data that can be counted. Each kind of source answers in its own best way. */
public interface CountSource {
  /**
   * Counts combinations of levels.
   *
   * @param request what to count
   * @return the counts, and what was left out
   * @throws DataException if the data can't be read or lack what is asked for
   */
  Tabulation count(CountRequest request);

  /**
   * What the data hold.
   *
   * @return the columns, their levels and missing values
   * @throws DataException if the data can't be read
   */
  DataOverview overview();
}
