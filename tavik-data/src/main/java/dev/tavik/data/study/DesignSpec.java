package dev.tavik.data.study;

import dev.tavik.count.Names;
import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SampleDesign.Lone;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Makes the design of a sample from its word: {@code weight=COLUMN,strata=COLUMN,cluster=COLUMN},
 * or a mapping of these in a study.
 */
final class DesignSpec {
  private static final List<String> PARTS =
      List.of(
          "weight",
          "strata",
          "cluster",
          "nest",
          "population",
          "lone",
          "replicates",
          "method",
          "scale",
          "df");

  private static final String FAY = "balanced-fay";

  private final QuestionArguments spec;
  private final Map<String, String> parts = new LinkedHashMap<>();

  private DesignSpec(QuestionArguments spec) {
    this.spec = spec;
    for (String written : spec.list("design")) {
      int equals = written.indexOf('=');
      String name = (equals < 0 ? written : written.substring(0, equals)).strip();
      String value = equals < 0 ? "" : written.substring(equals + 1).strip();
      spec.check(
          PARTS.contains(name), "{design} has no part '%s'%s", name, Names.hint(name, PARTS));
      spec.check(
          name.equals("nest") || !value.isEmpty(),
          "{design} must be written weight=COLUMN,strata=COLUMN,cluster=COLUMN, got '%s'",
          written);
      spec.check(parts.put(name, value) == null, "{design} has %s twice; give one", name);
    }
  }

  /**
   * The design.
   *
   * @param column the column that is meant by what is written
   */
  static SampleDesign of(QuestionArguments spec, UnaryOperator<String> column) {
    return new DesignSpec(spec).design(column);
  }

  private SampleDesign design(UnaryOperator<String> column) {
    List<String> clusters =
        parts.containsKey("cluster")
            ? Arrays.stream(parts.get("cluster").split("/", -1))
                .map(String::strip)
                .map(column)
                .toList()
            : List.of();
    spec.check(
        clusters.stream().distinct().count() == clusters.size() && !clusters.contains(""),
        "{design} cluster must name different columns, the first stage first, such as"
            + " dealer/customer, got '%s'",
        String.valueOf(parts.get("cluster")));
    spec.check(
        !parts.containsKey("nest") || !clusters.isEmpty(), "{design} nest needs cluster=COLUMN");
    return new SampleDesign(
        column("weight", column),
        column("strata", column),
        clusters,
        parts.containsKey("nest") && !"false".equals(parts.get("nest")),
        population(column),
        lone(),
        replication());
  }

  private @Nullable String column(String part, UnaryOperator<String> column) {
    String written = parts.get(part);
    return written == null ? null : column.apply(written);
  }

  private @Nullable String population(UnaryOperator<String> column) {
    String written = parts.get("population");
    return written == null || written.matches("\\d{1,15}") ? written : column.apply(written);
  }

  private Lone lone() {
    String written = parts.getOrDefault("lone", "fail");
    return Arrays.stream(Lone.values())
        .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(written))
        .findFirst()
        .orElseThrow(
            () -> spec.refusal("{design} lone must be fail, centre or certain, got '%s'", written));
  }

  private @Nullable Replication replication() {
    String columns = parts.get("replicates");
    for (String part : List.of("method", "scale", "df")) {
      spec.check(
          !parts.containsKey(part) || columns != null,
          "{design} %s needs replicates=COLUMNS",
          part);
    }
    if (columns == null) {
      return null;
    }
    String method = parts.get("method");
    spec.check(
        method != null,
        "{design} replicates need method: jackknife, delete-group-jackknife, balanced,"
            + " balanced-fay=0.5 or bootstrap; the survey's documentation says which");
    double fay = 0;
    String kind = String.valueOf(method);
    if (kind.startsWith(FAY)) {
      fay = number("balanced-fay", kind.replaceFirst(FAY + "=?", ""));
      kind = Replication.Kind.BALANCED.id();
    }
    return new Replication(
        Arrays.stream(columns.split("/")).map(String::strip).toList(),
        kind(kind),
        fay,
        scale(),
        df());
  }

  private Replication.Kind kind(String written) {
    List<String> ids = new ArrayList<>();
    for (Replication.Kind each : Replication.Kind.values()) {
      if (each.id().equals(written)) {
        return each;
      }
      ids.add(each.id());
    }
    ids.add(FAY + "=0.5");
    throw spec.refusal("{design} has no method '%s'%s", written, Names.hint(written, ids));
  }

  private List<Double> scale() {
    String written = parts.get("scale");
    return written == null
        ? List.of()
        : Arrays.stream(written.split("/")).map(each -> number("scale", each)).toList();
  }

  private @Nullable Double df() {
    String written = parts.get("df");
    return written == null ? null : (Double) number("df", written);
  }

  private double number(String part, String written) {
    String text = written.strip();
    if (text.matches("\\d{1,9}/\\d{1,9}")) {
      return Double.parseDouble(text.split("/")[0]) / Double.parseDouble(text.split("/")[1]);
    }
    spec.check(
        text.matches("\\d{0,9}\\.?\\d{1,15}"),
        "{design} %s must be a number such as 0.5, got '%s'",
        part,
        written);
    return Double.parseDouble(text);
  }
}
