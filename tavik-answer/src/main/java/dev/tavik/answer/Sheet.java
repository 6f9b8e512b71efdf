package dev.tavik.answer;

import static dev.tavik.result.Figures.require;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * Is a plain table under a heading, rows of typed figures. Columns without a key are for readers,
 * hidden ones for machines.
 */
public final class Sheet implements Finding {
  private final String key;
  private final String title;
  private final List<Column> columns;
  private final List<List<Value>> rows = new ArrayList<>();

  private Sheet(String key, String title, List<Column> columns) {
    this.key = key;
    this.title = title;
    this.columns = List.copyOf(columns);
  }

  /**
   * Begins a table whose figures stand under a key.
   *
   * @param key the key
   * @param title the heading; empty for none
   * @param columns the columns
   * @return the sheet
   */
  public static Sheet of(String key, String title, Column... columns) {
    return new Sheet(key, title, List.of(columns));
  }

  /**
   * Begins a table for readers, whose figures stand in other findings.
   *
   * @param title what stands above it
   * @param columns the columns, in order
   * @return the sheet
   */
  public static Sheet read(String title, Column... columns) {
    return new Sheet("", title, List.of(columns));
  }

  /**
   * Begins a table for readers, whose figures stand in other findings.
   *
   * @param title what stands above it
   * @param columns the columns, in order
   * @return the sheet
   */
  public static Sheet read(String title, List<Column> columns) {
    return new Sheet("", title, columns);
  }

  /**
   * Adds a row.
   *
   * @param cells a {@link Value} for each column, or words
   * @return this builder
   */
  public Sheet row(Object... cells) {
    require(
        cells.length == columns.size(),
        "a row must have %s cells, got %s",
        columns.size(),
        cells.length);
    List<Value> row = new ArrayList<>();
    for (Object cell : cells) {
      row.add(cell instanceof Value value ? value : new Value.Words((String) cell));
    }
    rows.add(row);
    return this;
  }

  /**
   * Adds a row.
   *
   * @param cells what stands in it, column by column
   * @return this builder
   */
  public Sheet row(List<Value> cells) {
    return row(cells.toArray());
  }

  /** {@return its rows} */
  public List<List<Value>> rows() {
    return List.copyOf(rows);
  }

  @Override
  public String key() {
    return key;
  }

  @Override
  public Value figures() {
    return Value.list(
        rows,
        row -> {
          Value.Fields fields = Value.fields();
          for (int i = 0; i < row.size(); i++) {
            if (!columns.get(i).key().isEmpty()) {
              fields.with(columns.get(i).key(), row.get(i));
            }
          }
          return fields;
        });
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    if (!title.isEmpty()) {
      blocks.add(Block.heading(title));
    }
    blocks.add(table());
    return blocks;
  }

  private Block table() {
    List<Column> seen = columns.stream().filter(column -> column.show() != Column.Show.NO).toList();
    List<List<Value>> cells = new ArrayList<>();
    for (List<Value> row : rows) {
      List<Value> shown = new ArrayList<>();
      for (int i = 0; i < row.size(); i++) {
        if (columns.get(i).show() != Column.Show.NO) {
          shown.add(Objects.requireNonNull(row.get(i)));
        }
      }
      cells.add(shown);
    }
    return new Block.Table(seen, cells);
  }
}
