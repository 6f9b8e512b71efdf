package dev.tavik.answer;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/** Holds figures of the cells of a table, layer upon layer: counts, expected counts, residuals. */
public final class Cells implements Finding {
  private final List<String> rows;
  private final List<String> columns;
  private final List<Layer> layers = new ArrayList<>();
  private String key = "cells";
  private boolean flat;

  private record Layer(String key, @Nullable String title, List<List<Value>> values) {}

  private Cells(List<String> rows, List<String> columns) {
    this.rows = List.copyOf(rows);
    this.columns = List.copyOf(columns);
  }

  /**
   * Begins a table with names of its rows and columns.
   *
   * @param rows the rows, in order
   * @param columns the columns, in order
   * @return the cells
   */
  public static Cells of(List<String> rows, List<String> columns) {
    return new Cells(rows, columns);
  }

  /** {@return the names of its rows} */
  public List<String> rows() {
    return rows;
  }

  /** {@return the names of its columns} */
  public List<String> columns() {
    return columns;
  }

  /** {@return these cells for readers only, their figures standing in another finding} */
  public Cells read() {
    key = "";
    return this;
  }

  /** {@return these cells, of one column, as plain lists for machines} */
  public Cells flat() {
    flat = true;
    return this;
  }

  /**
   * {@return a figure}
   *
   * @param layer its key
   * @param row its row, from 0
   * @param column its column, from 0
   */
  public double figure(String layer, int row, int column) {
    return layers.stream()
        .filter(each -> each.key().equals(layer))
        .findFirst()
        .map(each -> each.values().get(row).get(column).bare())
        .map(each -> ((Number) each).doubleValue())
        .orElse(Double.NaN);
  }

  /**
   * Adds figures for machines.
   *
   * @param key the key that machines see
   * @param value the value
   * @return this builder
   */
  public Cells layer(String key, BiFunction<Integer, Integer, Value> value) {
    layers.add(new Layer(key, null, values(value, 0)));
    return this;
  }

  /**
   * Adds figures for readers, under a heading.
   *
   * @param title what stands above it
   * @param value the value
   * @return this builder
   */
  public Cells shown(String title, BiFunction<Integer, Integer, Value> value) {
    layers.add(new Layer("", title, values(value, 0)));
    return this;
  }

  /**
   * Adds figures for readers with a row and a column more, of totals.
   *
   * @param title what stands above it
   * @param value the value
   * @return this builder
   */
  public Cells withTotals(String title, BiFunction<Integer, Integer, Value> value) {
    layers.add(new Layer("", title, values(value, 1)));
    return this;
  }

  private List<List<Value>> values(BiFunction<Integer, Integer, Value> value, int more) {
    List<List<Value>> values = new ArrayList<>();
    for (int i = 0; i < rows.size() + more; i++) {
      List<Value> row = new ArrayList<>();
      for (int j = 0; j < columns.size() + more; j++) {
        row.add(value.apply(i, j));
      }
      values.add(row);
    }
    return values;
  }

  @Override
  public String key() {
    return key;
  }

  @Override
  public Value figures() {
    Value.Fields fields =
        Value.fields().with("rows", Value.words(rows)).with("columns", Value.words(columns));
    for (Layer layer : layers) {
      if (!layer.key().isEmpty()) {
        fields.with(
            layer.key(),
            Value.list(layer.values(), row -> flat ? row.get(0) : Value.list(row, value -> value)));
      }
    }
    return fields;
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>();
    for (Layer layer : layers) {
      String title = layer.title();
      if (title != null) {
        boolean totals = layer.values().size() > rows.size();
        blocks.add(Block.heading(title));
        blocks.add(
            new Block.Grid(
                totals ? withAll(rows) : rows,
                totals ? withAll(columns) : columns,
                layer.values()));
      }
    }
    return blocks;
  }

  private static List<String> withAll(List<String> names) {
    List<String> more = new ArrayList<>(names);
    more.add("all");
    return more;
  }
}
