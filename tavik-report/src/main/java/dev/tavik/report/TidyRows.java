package dev.tavik.report;

import dev.tavik.answer.Value;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The figures of answers as rows that are all alike: estimates, tests, intervals and the decisions
 * of a study each have one, all other figures one each with the path of their keys.
 */
final class TidyRows {
  /** The columns of the rows. */
  enum Column {
    QUESTION("question"),
    LABEL("label"),
    GROUP("group"),
    KIND("kind"),
    QUANTITY("quantity"),
    METHOD("method"),
    VALUE("value"),
    STANDARD_ERROR("standardError"),
    LOWER("lower"),
    UPPER("upper"),
    LEVEL("level"),
    SIDE("side"),
    STATISTIC("statistic"),
    DF("df"),
    P("pValue"),
    LOG10_P("log10PValue"),
    ADJUSTED_P("adjustedPValue"),
    LOG10_ADJUSTED_P("log10AdjustedPValue"),
    REJECTS("rejects"),
    ALPHA("alpha"),
    FAMILY("family"),
    SURVIVES("survives");

    private final String key;

    Column(String key) {
      this.key = key;
    }

    static final List<String> NAMES =
        Arrays.stream(values()).map(each -> each.name().toLowerCase(Locale.ROOT)).toList();
  }

  /** What holds for all rows of an answer. */
  private record Place(String question, String label, String group) {}

  private static final Map<String, String> TIDY =
      Map.of(
          "estimates", "estimate",
          "tests", "test",
          "overall", "test",
          "intervals", "interval",
          "decisions", "decision");

  private static final Set<String> OF_A_ROW =
      Arrays.stream(Column.values()).map(each -> each.key).collect(Collectors.toUnmodifiableSet());

  private final Consumer<List<Object>> rows;

  TidyRows(Consumer<List<Object>> rows) {
    this.rows = rows;
  }

  /** Adds all figures of an answer, a study or an overview. */
  void add(Value.Fields figures) {
    add(figures, "", "");
  }

  private void add(Value.Fields figures, String question, String group) {
    Map<String, Value> fields = figures.bare();
    Place place =
        new Place(
            question.isEmpty() ? words(fields.get("question")) : question,
            words(fields.get("label")),
            group);
    fields.forEach(
        (key, value) -> {
          if (!key.equals("question") && !(key.equals("label") && value.bare() instanceof String)) {
            add(place, key, key, value);
          }
        });
  }

  private static String words(@Nullable Value value) {
    return value != null && value.bare() instanceof String text ? text : "";
  }

  private void add(Place place, String kind, String path, Value value) {
    @Nullable Object bare = value.bare();
    if (value instanceof Value.Fields fields) {
      if (fields.kind() == Value.Fields.Kind.ANSWER) {
        boolean part = !place.question().isEmpty();
        add(fields, part ? place.question() : "", part ? words(fields.bare().get("label")) : "");
      } else if (fields.kind() == Value.Fields.Kind.RESULT) {
        tidy(place, kind, path, fields);
      } else {
        fields.bare().forEach((key, each) -> add(place, kind, path + "/" + escaped(key), each));
      }
    } else if (bare instanceof List<?> values) {
      for (int i = 0; i < values.size(); i++) {
        add(place, kind, path + "/" + (i + 1), (Value) values.get(i));
      }
    } else {
      Map<Column, Object> row = row(place, kind);
      row.put(Column.QUANTITY, path);
      row.put(Column.VALUE, bare == null ? "" : bare);
      write(row);
    }
  }

  private static Map<Column, Object> row(Place place, String kind) {
    Map<Column, Object> row = new LinkedHashMap<>();
    row.put(Column.QUESTION, place.question());
    row.put(Column.LABEL, place.label());
    row.put(Column.GROUP, place.group());
    row.put(Column.KIND, TIDY.getOrDefault(kind, kind));
    return row;
  }

  private void tidy(Place place, String kind, String path, Value.Fields fields) {
    Map<Column, Object> row = row(place, kind);
    Map<String, Value> rest = new LinkedHashMap<>();
    fields
        .bare()
        .forEach(
            (key, value) -> {
              boolean decision = kind.equals("decisions");
              if (key.equals("label")) {
                row.put(decision ? Column.LABEL : Column.GROUP, words(value));
              } else if (decision && key.equals("part")) {
                row.put(Column.GROUP, cell(value));
              } else if (decision && key.equals("number")) {
                row.put(Column.QUESTION, cell(value));
              } else if (key.equals("statistic") && value instanceof Value.Fields statistic) {
                row.put(Column.QUANTITY, words(statistic.bare().get("name")));
                row.put(Column.STATISTIC, cell(statistic.bare().get("value")));
              } else if (OF_A_ROW.contains(key) && value.isSingle()) {
                column(key).forEach(column -> row.put(column, cell(value)));
              } else {
                rest.put(key, value);
              }
            });
    write(row);
    rest.forEach(
        (key, value) ->
            add(place, TIDY.getOrDefault(kind, kind), path + "/" + escaped(key), value));
  }

  private static List<Column> column(String key) {
    return Arrays.stream(Column.values()).filter(each -> each.key.equals(key)).toList();
  }

  private static Object cell(@Nullable Value value) {
    @Nullable Object bare = value == null ? null : value.bare();
    return bare == null ? "" : bare;
  }

  private void write(Map<Column, Object> row) {
    List<Object> cells =
        Arrays.stream(Column.values()).map(column -> row.getOrDefault(column, "")).toList();
    rows.accept(Collections.unmodifiableList(cells));
  }

  /** A key may be a label from data; the slash parts keys. */
  private static String escaped(String key) {
    return key.replace("~", "~0").replace("/", "~1");
  }
}
