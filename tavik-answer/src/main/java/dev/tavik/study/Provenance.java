package dev.tavik.study;

import dev.tavik.answer.Value;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Where the counts of a question came from, when they came from a file.
 *
 * @param data the source's name
 * @param outcome the outcome column
 * @param success the levels that count as success
 * @param group the column of groups; null without groups
 * @param rows which rows were counted
 * @param doubts what of the data may not be meant as it was read
 * @param remarks how the source was read, where that isn't plain; each the end of a sentence
 */
public record Provenance(
    String data,
    String outcome,
    List<String> success,
    @Nullable String group,
    Rows rows,
    Doubts doubts,
    List<String> remarks) {

  /**
   * Which rows of a source were counted.
   *
   * @param read how many rows were read
   * @param filtered how many rows the filter left out
   * @param count the frequency column; null where each row counts once
   * @param where the filter, in the analyst's words; empty without one
   * @param missing how many units each column left out for lack of a value
   */
  public record Rows(
      long read,
      long filtered,
      @Nullable String count,
      List<String> where,
      Map<String, Long> missing) {}

  /**
   * What of the data may not be meant as it was read.
   *
   * @param similarLevels levels of one column that differ only in case or blanks
   * @param totals rows and columns of totals that were found in a table and left out
   * @param mayBeTotal a column that was taken for an outcome, but whose name or numbers are those
   *     of a total; null for none
   * @param unusedWeight a column that is called like a weight and was not used; empty for none
   */
  public record Doubts(
      List<List<String>> similarLevels,
      List<String> totals,
      @Nullable String mayBeTotal,
      String unusedWeight) {}

  private static final String ROWS_OF_TABLE = "rows of the table";

  /**
   * Describes how a tabulation was made.
   *
   * @param counts the tabulation, its first column the outcome and its second, if any, the groups
   * @param success the levels that count as success
   * @param count the frequency column; null where each row counts once
   * @param where the filters, in the analyst's words
   * @return the description
   */
  public static Provenance of(
      Tabulation counts, List<String> success, @Nullable String count, List<String> where) {
    String group = counts.columns().size() > 1 ? counts.columns().get(1) : null;
    return counted(List.of(counts), counts.columns().get(0), group, success, count, where);
  }

  /**
   * Describes how pairs were counted.
   *
   * @param counts the tabulation of both columns
   * @param success the levels that count as success
   * @param count the frequency column; null where each row counts once
   * @param where the filters, in the analyst's words
   * @return the description; its outcome names both columns
   */
  public static Provenance pairs(
      Tabulation counts, List<String> success, @Nullable String count, List<String> where) {
    String outcome = String.join(", ", counts.columns());
    return counted(List.of(counts), outcome, null, success, count, where);
  }

  /**
   * Describes a two-way table.
   *
   * @param table the table's name
   * @param outcome what the columns are, in words
   * @param success the columns that count as success
   * @param groups the names of the rows
   * @param totals rows and columns of totals that were left out
   * @return the description
   */
  public static Provenance table(
      String table,
      String outcome,
      List<String> success,
      List<String> groups,
      List<String> totals) {
    return new Provenance(
        table,
        outcome,
        List.copyOf(success),
        ROWS_OF_TABLE,
        new Rows(groups.size(), 0, null, List.of(), Map.of()),
        new Doubts(similar(groups), List.copyOf(totals), null, ""),
        List.of());
  }

  /**
   * With a doubt whether a column that was taken for an outcome is a total.
   *
   * @param column its name
   * @return the description
   */
  public Provenance doubting(String column) {
    Doubts more =
        new Doubts(doubts.similarLevels(), doubts.totals(), column, doubts.unusedWeight());
    return new Provenance(data, outcome, success, group, rows, more, remarks);
  }

  /**
   * Describes how several columns were counted, each by itself.
   *
   * @param counts the tabulation of each column
   * @param success the levels that count as success
   * @param count the frequency column; null where each row counts once
   * @param where the filters, in the analyst's words
   * @return the description; its outcome names all columns
   */
  public static Provenance each(
      List<Tabulation> counts, List<String> success, @Nullable String count, List<String> where) {
    String outcome =
        counts.stream().map(each -> each.columns().get(0)).collect(Collectors.joining(", "));
    return counted(counts, outcome, null, success, count, where);
  }

  private static Provenance counted(
      List<Tabulation> counts,
      String outcome,
      @Nullable String group,
      List<String> success,
      @Nullable String count,
      List<String> where) {
    Map<String, Long> missing = new LinkedHashMap<>();
    List<List<String>> similar = new ArrayList<>();
    Set<String> remarks = new LinkedHashSet<>();
    for (Tabulation each : counts) {
      missing.putAll(each.missing());
      similar.addAll(similar(each));
      remarks.addAll(each.remarks());
    }
    Tabulation first = counts.get(0);
    return new Provenance(
        first.source(),
        outcome,
        List.copyOf(success),
        group,
        new Rows(first.rows(), first.filtered(), count, List.copyOf(where), missing),
        new Doubts(similar.stream().distinct().toList(), List.of(), null, first.unusedWeight()),
        List.copyOf(remarks));
  }

  /**
   * Which rows of which file were counted, for a reader.
   *
   * @return such as {@code From firing-log.csv, rows with kiln=North only: 403 of 1,200}
   */
  public String inWords() {
    if (ofTable()) {
      return "From the table " + data;
    }
    StringBuilder words = new StringBuilder("From ").append(data);
    if (rows.where().isEmpty()) {
      words.append(", ").append(Figures.counted(rows.read(), "row", "rows"));
    } else {
      words
          .append(", rows with ")
          .append(String.join(" and ", rows.where()))
          .append(" only: ")
          .append(Figures.count(rows.read() - rows.filtered()))
          .append(" of ")
          .append(Figures.count(rows.read()));
    }
    if (rows.count() != null) {
      words.append(", each as often as ").append(rows.count()).append(" says");
    }
    remarks.forEach(remark -> words.append("; ").append(remark));
    return words.toString();
  }

  private boolean ofTable() {
    return ROWS_OF_TABLE.equals(group);
  }

  private static List<List<String>> similar(Tabulation counts) {
    List<List<String>> similar = new ArrayList<>();
    for (int column = 0; column < counts.columns().size(); column++) {
      similar.addAll(similar(counts.levels(column)));
    }
    return similar;
  }

  private static List<List<String>> similar(List<String> levels) {
    Map<String, List<String>> alike = new LinkedHashMap<>();
    for (String level : levels) {
      String folded =
          Normalizer.normalize(level, Normalizer.Form.NFKC)
              .replaceAll("[\\p{Cf}\\p{Cc}&&[^\\s]]", "")
              .replaceAll("[\\s\\p{Z}]+", " ")
              .strip()
              .toLowerCase(Locale.ROOT);
      alike.computeIfAbsent(folded, key -> new ArrayList<>()).add(level);
    }
    return alike.values().stream().filter(each -> each.size() > 1).toList();
  }

  /** {@return what machines see of it} */
  public Value.Fields figures() {
    Value.Fields lacking = Value.fields();
    rows.missing().forEach((column, units) -> lacking.with(column, units.longValue()));
    Value.Fields fields =
        Value.fields()
            .with("data", data)
            .with("outcome", outcome)
            .with("success", Value.words(success))
            .with("group", group)
            .with("count", rows.count())
            .with("where", Value.words(rows.where()))
            .with("rows", rows.read())
            .with("filtered", rows.filtered())
            .with("missing", lacking);
    return remarks.isEmpty() ? fields : fields.with("remarks", Value.words(remarks));
  }
}
