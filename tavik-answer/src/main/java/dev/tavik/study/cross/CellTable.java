package dev.tavik.study.cross;

/** The figures that may be shown for every cell of a table beside its count. */
public enum CellTable {
  /** The share of the cell in its row. */
  ROW_PERCENTS("row-percents", "Percent of the row"),
  /** The share of the cell in its column. */
  COLUMN_PERCENTS("column-percents", "Percent of the column"),
  /** The share of the cell in all units. */
  TOTAL_PERCENTS("total-percents", "Percent of all"),
  /** The expected count under independence. */
  EXPECTED("expected", "Expected if rows and columns are independent"),
  /** The adjusted residuals. */
  RESIDUALS("residuals", "Adjusted residuals, standard normal under the null; * stands out"),
  /** The Pearson residuals. */
  PEARSON_RESIDUALS("pearson-residuals", "Pearson residuals, whose squares add up to X2"),
  /** Each cell's part of chi-square. */
  CONTRIBUTIONS("contributions", "Contributions to X2");

  private final String id;
  private final String title;

  CellTable(String id, String title) {
    this.id = id;
    this.title = title;
  }

  /**
   * The id.
   *
   * @return such as {@code row-percents}
   */
  public String id() {
    return id;
  }

  /**
   * The heading.
   *
   * @return a heading
   */
  public String title() {
    return title;
  }
}
