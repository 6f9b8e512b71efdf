package dev.tavik.data.study;

import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;
import dev.tavik.data.Codebook;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DataException;
import dev.tavik.data.Missing;
import dev.tavik.data.Recoding;
import dev.tavik.data.SourceOpener;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.NoSuchFileException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What the values of columns are read as: a codebook's labels, then classes of numbers. */
final class Recodings {
  private static final Pattern CUT = Pattern.compile("(.+?):\\s*([-+<>=\\d].*)");
  private static final List<String> COLUMNS =
      List.of("outcome", "outcomes", "group", "rows", "columns", "strata");

  private final QuestionArguments spec;
  private final SourceOpener opening;

  /** The codebook, which is read once, because the file may be a pipe. */
  private Optional<Codebook> read = Optional.empty();

  private boolean sought;

  Recodings(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.opening = opening;
  }

  CountRequest applied(CountRequest asked) {
    CountRequest request = asked;
    Optional<Codebook> codebook = codebook();
    if (codebook.isPresent()) {
      request = request.recode(codebook.get());
    }
    for (Map.Entry<String, Recoding> cut : cuts().entrySet()) {
      request = request.recode(cut.getKey(), cut.getValue());
    }
    return request;
  }

  /** A tabulation of values as they are, with what they are read as in their place. */
  Tabulation read(Tabulation raw, Missing missing) {
    Tabulation read = raw;
    for (int column = 0; column < raw.columns().size(); column++) {
      Optional<Recoding> found = of(raw.columns().get(column));
      if (found.isPresent()) {
        Recoding recoding = found.get();
        if (missing == Missing.FAIL) {
          requireComplete(raw, column, recoding);
        }
        read = read.recoded(column, value -> recoded(recoding, value, missing), recoding.levels());
      }
    }
    return read;
  }

  private static @Nullable String recoded(Recoding recoding, String value, Missing missing) {
    String read = value.equals(Missing.LEVEL_NAME) ? value : recoding.of(value);
    return read == null && missing == Missing.LEVEL ? Missing.LEVEL_NAME : read;
  }

  private static void requireComplete(Tabulation raw, int column, Recoding recoding) {
    for (String value : raw.levels(column)) {
      if (recoding.of(value) == null) {
        throw new DataException(
            DataException.Code.MISSING,
            "%s, column %s has no value in some rows (%s is a code for that); fill it in, or leave"
                + " such rows out",
            raw.source(),
            raw.columns().get(column),
            value);
      }
    }
  }

  /** What is in the data, with codes read as a codebook says. */
  DataOverview described(DataOverview overview) {
    Optional<Codebook> book = codebook();
    if (book.isEmpty()) {
      return overview;
    }
    Map<String, Recoding> recodings = book.get().recodings();
    List<DataOverview.Column> columns =
        overview.columns().stream()
            .map(
                column -> {
                  Recoding recoding = recodings.get(column.name());
                  return recoding == null
                          || column.levels().keySet().stream()
                              .allMatch(level -> level.equals(recoding.of(level)))
                      ? column
                      : described(column, recoding);
                })
            .toList();
    List<String> remarks = new ArrayList<>(overview.remarks());
    if (!columns.equals(overview.columns())) {
      remarks.add("codes are read as " + book.get().name() + " says");
    }
    return new DataOverview(
        overview.source(), overview.layout(), overview.rows(), columns, remarks);
  }

  private static DataOverview.Column described(DataOverview.Column column, Recoding recoding) {
    Map<String, Long> levels = new LinkedHashMap<>();
    long missing = column.missing();
    for (Map.Entry<String, Long> each : column.levels().entrySet()) {
      String read = recoding.of(each.getKey());
      if (read == null) {
        missing += each.getValue();
      } else {
        levels.merge(read, each.getValue(), Long::sum);
      }
    }
    DataOverview.Kind kind =
        switch (levels.size()) {
          case 0 -> DataOverview.Kind.EMPTY;
          case 1 -> DataOverview.Kind.CONSTANT;
          case 2 -> DataOverview.Kind.TWO_LEVELS;
          default ->
              column.kind() == DataOverview.Kind.MANY_VALUES
                  ? column.kind()
                  : DataOverview.Kind.CATEGORY;
        };
    return new DataOverview.Column(
        column.name(), kind, levels, levels.size(), missing, List.of(), 0);
  }

  /** What the values of one column are read as. */
  Optional<Recoding> of(String column) {
    return applied(CountRequest.of(column)).recodings().entrySet().stream()
        .filter(each -> each.getKey().equalsIgnoreCase(column))
        .map(Map.Entry::getValue)
        .findFirst();
  }

  /** The column that is meant, which a codebook may know by its title. */
  String column(String written) {
    return codebook().map(book -> book.column(written)).orElse(written);
  }

  /** With a remark where a codebook says what codes mean, or a comma is a decimal one. */
  Tabulation told(Tabulation counted) {
    List<String> remarks = new ArrayList<>(counted.remarks());
    codebook()
        .filter(book -> counted.columns().stream().anyMatch(book.recodings()::containsKey))
        .ifPresent(book -> remarks.add("codes are read as " + book.name() + " says"));
    for (int column = 0; column < counted.columns().size(); column++) {
      if (Levels.decimalCommas(counted.levels(column))) {
        remarks.add("numbers of " + counted.columns().get(column) + " have a decimal comma");
      }
    }
    return counted.remarking(remarks);
  }

  private Map<String, Recoding> cuts() {
    Map<String, Recoding> cuts = new LinkedHashMap<>();
    for (String written : spec.all("cut")) {
      Matcher parts = CUT.matcher(written);
      spec.check(
          parts.matches(),
          "{cut} must be COLUMN:RANGE=NAME,..., such as score:0-6=low,7-10=high, got '%s'",
          written);
      String column = parts.group(1).strip();
      List<String> used = used();
      spec.check(
          everything() || used.stream().anyMatch(each -> each.equalsIgnoreCase(column)),
          "{cut} names the column %s, which this question doesn't use; it uses %s",
          column,
          String.join(", ", used));
      spec.check(
          cuts.put(column, Recoding.cut(parts.group(2))) == null,
          "{cut} is given twice for %s; write all of its classes in one",
          column);
    }
    return cuts;
  }

  /** Whether all columns are counted, as in a sweep. */
  private boolean everything() {
    List<String> outcomes = spec.list("outcomes");
    return outcomes.equals(List.of("all"))
        || (outcomes.isEmpty() && !spec.has("outcome") && !spec.has("rows"));
  }

  private List<String> used() {
    List<String> used = new ArrayList<>();
    COLUMNS.forEach(word -> used.addAll(spec.list(word)));
    spec.all("where").forEach(filter -> used.add(filter.replaceFirst("=.*", "").strip()));
    return used;
  }

  private Optional<Codebook> codebook() {
    if (!sought) {
      read = found();
      sought = true;
    }
    return read;
  }

  /** The named codebook, else the one beside the data. */
  private Optional<Codebook> found() {
    @Nullable String named = spec.text("codebook");
    if (named != null) {
      return named.equals("none") ? Optional.empty() : Optional.of(Codebook.read(named, opening));
    }
    @Nullable String data = spec.text("data");
    Optional<String> beside = data == null ? Optional.empty() : Codebook.beside(data);
    return beside.filter(this::isThere).map(file -> Codebook.read(file, opening));
  }

  private boolean isThere(String file) {
    try (InputStream found = opening.open(file)) {
      return found != null;
    } catch (NoSuchFileException | SpecException e) {
      // If the codebook may not be read, the data may not either, and the message names the data.
      return false;
    } catch (IOException | RuntimeException e) {
      return !(e instanceof FileNotFoundException);
    }
  }
}
