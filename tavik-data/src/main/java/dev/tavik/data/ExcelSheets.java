package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import dev.tavik.data.SheetRows.Cell;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;
import org.jspecify.annotations.Nullable;

/** A spreadsheet in the Office Open XML format, {@code .xlsx}. Formulas have their stored value. */
record ExcelSheets(String name, Path file, ZipFile zip) {
  /** Number of digits that spreadsheets show; further digits come from the binary form. */
  private static final MathContext SHOWN = new MathContext(15);

  private static final Pattern ERROR =
      Pattern.compile("#(DIV/0!|N/A|NAME\\?|NULL!|NUM!|REF!|VALUE!|SPILL!|CALC!)|Err:\\d{3}");

  /** What a number format may hold beside the letters of dates: texts, colours, conditions. */
  private static final Pattern ORNAMENT =
      Pattern.compile("\"[^\"]*\"|\\\\.|_.|\\[(?!h|m|s)[^]]*]|AM/PM|General|E[+-]");

  SourceDescription read(ReadOptions said, Function<String, SheetTaker> takers) throws IOException {
    PackedXml packed = new PackedXml(name, zip);
    Map<String, List<CellRange>> merged = packed.inspect();
    boolean dated = packed.dated();
    if (dated) {
      Path plain = Files.createTempFile("tavik", ".xlsx");
      try {
        packed.writeWithoutDates(plain);
        return read(said, takers, plain, merged, true);
      } finally {
        Files.deleteIfExists(plain);
      }
    }
    return read(said, takers, file, merged, false);
  }

  private SourceDescription read(
      ReadOptions said,
      Function<String, SheetTaker> takers,
      Path from,
      Map<String, List<CellRange>> merged,
      boolean dated)
      throws IOException {
    try (ReadableWorkbook workbook =
        new ReadableWorkbook(from.toFile(), new ReadingOptions(styled(), true))) {
      List<Sheet> all = workbook.getSheets().toList();
      Sheets sheets =
          new Sheets(
              name,
              all.stream().map(Sheet::getName).toList(),
              all.stream().map(each -> each.getVisibility() != SheetVisibility.VISIBLE).toList());
      int chosen = sheets.chosen(said);
      Sheet sheet = all.get(chosen);
      SheetTaker taken = takers.apply(sheet.getName());
      try (Stream<Row> lines = sheet.openStream()) {
        new Reader(merged.getOrDefault(sheet.getId(), List.of()), taken, dated)
            .read(lines.iterator());
      }
      List<String> remarks = new ArrayList<>(sheets.remarks(said, chosen));
      remarks.addAll(taken.end());
      return new SourceDescription("a spreadsheet (.xlsx), sheet " + sheet.getName(), remarks);
    } catch (DataException e) {
      throw e;
    } catch (IOException e) {
      if (e.getCause() instanceof XMLStreamException) {
        throw damaged(e);
      }
      throw e;
    } catch (RuntimeException e) {
      throw damaged(e);
    }
  }

  /** Without styles dates can't be distinguished from numbers. */
  private boolean styled() {
    return zip.getEntry("xl/styles.xml") != null;
  }

  private DataException damaged(Exception e) {
    Throwable last = e;
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof DataException found) {
        return found;
      }
      last = cause;
    }
    return new DataException(
        DataException.Code.MALFORMED,
        "%s cannot be read as a spreadsheet (%s); open it and save it again",
        name,
        String.valueOf(last.getMessage()).lines().findFirst().orElse(""));
  }

  private static final class Reader {
    private final Map<Long, List<CellRange>> merged;
    private final SheetTaker taken;
    private final Map<String, Boolean> dates = new HashMap<>();
    private final boolean dated;

    Reader(List<CellRange> merged, SheetTaker taken, boolean dated) {
      this.dated = dated;
      this.merged =
          merged.stream()
              .filter(range -> range.bottom() > range.top())
              .collect(Collectors.groupingBy(CellRange::top));
      this.taken = taken;
    }

    void read(Iterator<Row> rows) {
      while (rows.hasNext()) {
        Row row = rows.next();
        List<Cell> cells = new ArrayList<>(row.getCellCount());
        for (int column = 0; column < row.getCellCount(); column++) {
          cells.add(cell(row.getCell(column)));
        }
        for (CellRange range : merged.getOrDefault((long) row.getRowNum(), List.of())) {
          Cell first = range.left() < cells.size() ? cells.get(range.left()) : Cell.EMPTY;
          taken.merge(range.left(), range.bottom(), first);
        }
        taken.row(row.getRowNum(), cells);
      }
    }

    private Cell cell(org.dhatim.fastexcel.reader.@Nullable Cell cell) {
      Object value = cell == null ? null : cell.getValue();
      if (cell == null || value == null) {
        return Cell.EMPTY;
      }
      if (value instanceof BigDecimal number) {
        return Cell.of(
            number.signum() >= 0 && isDate(cell.getDataFormatString())
                ? date(cell, number)
                : shown(cell.getDataFormatString(), number));
      }
      if (value instanceof Boolean truth) {
        return Cell.of(truth ? "TRUE" : "FALSE");
      }
      String text = value.toString();
      return isError(text) ? new Cell(text, true) : Cell.of(dated ? Moments.plain(text) : text);
    }

    private boolean isDate(@Nullable String format) {
      return format != null && dates.computeIfAbsent(format, Reader::hasDate);
    }

    private static boolean hasDate(String format) {
      return bare(format).matches("(?i).*[ymdhs].*");
    }

    private static String date(org.dhatim.fastexcel.reader.Cell cell, BigDecimal number) {
      LocalDateTime date = cell.asDate();
      return number.compareTo(BigDecimal.ONE) < 0
          ? Moments.of(date.toLocalTime())
          : Moments.of(date);
    }
  }

  /** The part of a number format for positive numbers, without literal text. */
  private static String bare(String format) {
    return ORNAMENT.matcher(format.split(";", -1)[0]).replaceAll("");
  }

  /** Whether a cell shows that a formula failed. */
  static boolean isError(String text) {
    return (text.startsWith("#") || text.startsWith("Err:")) && ERROR.matcher(text).matches();
  }

  /**
   * A number in its format: a code keeps the zeros that it begins with, a percentage its sign. The
   * digits behind the point are all shown, since values that only look alike are different.
   */
  private static String shown(@Nullable String format, BigDecimal number) {
    String bare = format == null ? "" : bare(format);
    if (bare.endsWith("%")) {
      return percent(number);
    }
    String plain = plain(number);
    boolean code = bare.length() > 1 && bare.length() <= 20 && bare.matches("0+");
    return code && plain.matches("\\d+") && plain.length() < bare.length()
        ? "0".repeat(bare.length() - plain.length()) + plain
        : plain;
  }

  static String percent(BigDecimal number) {
    return plain(number.round(SHOWN).movePointRight(2)) + "%";
  }

  /** A number as a spreadsheet shows it: whole ones without a point. */
  static String plain(BigDecimal number) {
    BigDecimal shown = number.round(SHOWN).stripTrailingZeros();
    return shown.signum() == 0 ? "0" : shown.toPlainString();
  }
}
