package dev.tavik.study.parts;

import dev.tavik.answer.Column;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import java.util.List;
import java.util.function.Function;

/**
 * A column and how its cells are computed, for tables whose columns depend on the question.
 *
 * @param <R> what a row is made of
 */
public record ColumnOf<R>(Column column, Function<R, Value> cell) {
  public static <R> Sheet sheet(String title, List<ColumnOf<R>> columns, List<R> rows) {
    Sheet sheet = Sheet.read(title, columns.stream().map(ColumnOf::column).toList());
    rows.forEach(
        row -> sheet.row(columns.stream().map(column -> column.cell().apply(row)).toList()));
    return sheet;
  }

  public static <R> ColumnOf<R> words(String heading, Function<R, String> words) {
    return new ColumnOf<>(Column.words(heading), row -> new Value.Words(words.apply(row)));
  }

  public static <R> ColumnOf<R> counts(String heading, Function<R, Value> cell) {
    return new ColumnOf<>(Column.counts(heading), cell);
  }

  public static <R> ColumnOf<R> numbers(String heading, Function<R, Value> cell) {
    return new ColumnOf<>(Column.numbers(heading), cell);
  }
}
