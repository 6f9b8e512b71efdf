package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Converts the rows of a sheet to rows of data: the header may stand below titles, empty rows are
 * skipped, and the value of a merged cell applies to every row that it covers.
 */
final class SheetRows implements SheetTaker {
  private static final int MOST_TITLES = 10;

  /** An error value, such as a division by zero. */
  record Cell(@Nullable String text, boolean error) {
    static final Cell EMPTY = new Cell(null, false);

    static Cell of(@Nullable String text) {
      return text == null || text.isBlank() ? EMPTY : new Cell(text, false);
    }

    boolean filled() {
      return text != null;
    }
  }

  private record Merged(long last, Cell cell) {}

  private final String place;
  private final CellRange range;
  private final RowHandler rows;
  private final List<List<Cell>> alone = new ArrayList<>();
  private final List<Long> aloneAt = new ArrayList<>();
  private final List<@Nullable Merged> merged = new ArrayList<>();
  private final Set<String> remarks = new LinkedHashSet<>();
  private int left;
  private int width;
  private long last;

  SheetRows(String name, String sheet, CellRange range, RowHandler rows) {
    this.place = name + ", sheet " + sheet;
    this.range = range;
    this.rows = rows;
    rows.unit("sheet " + sheet + ", row");
  }

  @Override
  public void merge(int column, long lastRow, Cell cell) {
    while (merged.size() <= column) {
      merged.add(null);
    }
    merged.set(column, new Merged(lastRow, cell));
  }

  @Override
  public void row(long number, List<Cell> cells) {
    if (number < range.top() || number > range.bottom()) {
      return;
    }
    List<Cell> cut = range.equals(CellRange.ALL) && merged.isEmpty() ? cells : cut(number, cells);
    int filled = 0;
    for (Cell cell : cut) {
      filled += cell.filled() ? 1 : 0;
    }
    if (filled == 0) {
      return;
    }
    if (width == 0) {
      beforeHeader(number, cut, filled);
    } else {
      data(number, cut);
    }
  }

  private List<Cell> cut(long number, List<Cell> cells) {
    List<Cell> cut = new ArrayList<>();
    int end = (int) Math.min(Math.max(cells.size(), merged.size()), 1L + range.right());
    for (int column = range.left(); column < end; column++) {
      cut.add(cell(number, column, cells));
    }
    return cut;
  }

  private Cell cell(long number, int column, List<Cell> cells) {
    Cell own = column < cells.size() ? cells.get(column) : Cell.EMPTY;
    @Nullable Merged above = column < merged.size() ? merged.get(column) : null;
    if (own.filled() || above == null || number > above.last || !above.cell.filled()) {
      return own;
    }
    remarks.add("merged cells stand for every row that they cover");
    return above.cell;
  }

  private void beforeHeader(long number, List<Cell> cells, int filled) {
    if (filled > 1) {
      alone.forEach(this::title);
      alone.clear();
      header(number, cells);
      return;
    }
    alone.add(cells);
    aloneAt.add(number);
    if (alone.size() > MOST_TITLES) {
      oneColumn();
    }
  }

  private void title(List<Cell> cells) {
    String text = cells.stream().map(Cell::text).filter(Objects::nonNull).findFirst().orElse("");
    remarks.add(
        say("the title '%s' above the header is passed over", Layout.shortened(text.strip())));
  }

  /** Only rows with one value: a sheet with one column. */
  private void oneColumn() {
    if (alone.isEmpty()) {
      return;
    }
    header(aloneAt.get(0), alone.get(0));
    for (int i = 1; i < alone.size(); i++) {
      data(aloneAt.get(i), alone.get(i));
    }
    alone.clear();
  }

  private void header(long number, List<Cell> cells) {
    int end = cells.size();
    while (!cells.get(end - 1).filled()) {
      end--;
    }
    while (!cells.get(left).filled()) {
      left++;
    }
    width = end - left;
    hand(number, cells);
    last = number;
  }

  private void data(long number, List<Cell> cells) {
    for (int column = left + width; column < cells.size(); column++) {
      requireEmpty(number, column, cells.get(column));
    }
    for (int column = 0; column < Math.min(left, cells.size()); column++) {
      requireEmpty(number, column, cells.get(column));
    }
    for (; width == 1 && last + 1 < number; last++) {
      rows.begin(last + 1);
      rows.blank();
    }
    last = number;
    hand(number, cells);
  }

  private void requireEmpty(long number, int column, Cell cell) {
    if (cell.filled()) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s has a value in the cell %s%d, where the header has no name; give the column one, or"
              + " say which part is meant with the range",
          place,
          CellRange.letters(column + range.left()),
          number);
    }
  }

  private void hand(long number, List<Cell> cells) {
    rows.begin(number);
    for (int field = 0; field < width; field++) {
      int column = left + field;
      Cell cell = column < cells.size() ? cells.get(column) : Cell.EMPTY;
      if (cell.error() && rows.wants(field)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s has an error in the cell %s%d (%s); mend it, or leave the cell empty",
            place,
            CellRange.letters(column + range.left()),
            number,
            cell.text());
      }
      rows.field(field, cell.text(), false);
    }
    rows.end(width);
  }

  @Override
  public List<String> end() {
    oneColumn();
    return List.copyOf(remarks);
  }
}
