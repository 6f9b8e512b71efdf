package dev.tavik.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Value;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * CSV, a row for each estimate, test and interval, and for every other figure one with its place
 * among the keys of the answer; all digits. Words that a spreadsheet would take for a formula begin
 * with an apostrophe.
 */
final class CsvFormat implements ReportFormat {
  @Override
  public String write(Document document) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      csv.writeRecord(TidyRows.Column.NAMES);
      new TidyRows(row -> csv.writeRecord(safe(row))).add(document.figures().get());
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text.toString();
  }

  @Override
  public StudyAnswer write(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    // Not closed here: the caller closes the writer.
    CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(pages.report());
    csv.writeRecord(TidyRows.Column.NAMES);
    TidyRows rows = new TidyRows(row -> csv.writeRecord(safe(row)));
    rows.add(Value.fields().with("tavik", Mark.VERSION).with("study", study.title()));
    StudyAnswer decided =
        study
            .ask()
            .apply(
                answer -> {
                  List<Value.Fields> figures = new ArrayList<>();
                  Answer sound =
                      StudyAnswer.written(answer, each -> figures.add(each.figures(detail)));
                  rows.add(figures.isEmpty() ? sound.figures(detail) : figures.get(0));
                  return sound.decided();
                });
    rows.add(decided.over());
    csv.flush();
    return decided;
  }

  private static List<String> safe(List<Object> row) {
    return row.stream()
        .map(cell -> cell instanceof String words ? safe(words) : String.valueOf(cell))
        .toList();
  }

  private static String safe(String words) {
    return !words.isEmpty() && "=+-@\t\r\n".indexOf(words.charAt(0)) >= 0 ? "'" + words : words;
  }
}
