package dev.tavik.data;

import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Data that can be counted. Each kind of source counts in the way that suits it best. */
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
   * Counts each column of a request by itself, with the same filters and frequency; what one column
   * lacks leaves nothing out of another.
   *
   * @param request what to count; of its columns, one that is written {@code first,second} and is
   *     no column of that name, stands for those it names
   * @return the counts, a tabulation a column
   * @throws DataException if the data can't be read or lack what is asked for
   */
  default List<Tabulation> countEach(CountRequest request) {
    return request.columns().stream()
        .flatMap(each -> Names.parts(each).stream())
        .map(column -> count(request.columns(List.of(column))))
        .toList();
  }

  /**
   * Counts many columns, each against the same groups. Files do so in one pass, however many there
   * are.
   *
   * @param group the column of groups
   * @param rules which columns, {@code *} for all; frequency and missing values as for {@link
   *     #count}, filters exactly as written, recodings of columns that are filtered only
   * @return a tabulation a column, and which columns are no classification
   * @throws DataException if the data can't be read or lack what is asked for
   */
  default Crossings countAgainst(String group, CountRequest rules) {
    List<Tabulation> tables = new ArrayList<>();
    Map<String, String> leftOut = new LinkedHashMap<>();
    List<String> columns = new ArrayList<>(rules.columns());
    if (columns.equals(List.of("*"))) {
      columns.clear();
      for (DataOverview.Column each : overview().columns()) {
        if (each.distinct() >= SweptColumn.MOST_LEVELS) {
          leftOut.put(each.name(), "very many different values");
        } else if (!rules.filters().containsKey(each.name())) {
          columns.add(each.name());
        }
      }
    }
    for (String each : columns) {
      if (!each.equalsIgnoreCase(group) && !each.equals(rules.frequency())) {
        tables.add(count(rules.columns(List.of(each, group))));
      }
    }
    return new Crossings(tables, leftOut);
  }

  /**
   * What the data hold.
   *
   * @return the columns, their levels and missing values
   * @throws DataException if the data can't be read
   */
  DataOverview overview();

  /**
   * Counts as {@link #count} does, and keeps the order of the first column's levels, where rows
   * have an order that means something, such as the time of making.
   *
   * @param request what to count, without a frequency column
   * @return the counts, and the levels of every row that was counted
   * @throws DataException if the rows of such data have no order, the data can't be read or lack
   *     what is asked for, or more than {@value RowsInOrder#MOST} rows are counted
   * @throws IllegalArgumentException if there is a frequency column
   */
  default RowsInOrder inOrder(CountRequest request) {
    throw new DataException(
        DataException.Code.MALFORMED,
        "such data have no order of rows; give a file with a row for each unit");
  }

  /**
   * Counts a designed sample: combinations of levels with the sums of weights by stratum and
   * cluster. Files do so in one pass, memory holding clusters and never rows.
   *
   * @param design the columns that say how the sample was drawn
   * @param requests what to count, one or more
   * @return what was counted, one for each request
   * @throws DataException if the data can't be read or lack what is asked for, or weights, strata,
   *     clusters and populations are not as they should be
   */
  default List<SurveyCounts> survey(SampleDesign design, List<CountRequest> requests) {
    throw new DataException(
        DataException.Code.MALFORMED,
        "such data can't be counted by a design; give a file or a database");
  }
}
