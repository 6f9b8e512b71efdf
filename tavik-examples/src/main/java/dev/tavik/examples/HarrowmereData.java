package dev.tavik.examples;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * Makes the demo data of Harrowmere Tileworks, always the same from the same seed. Its kilns really
 * differ, its customers in the uplands really are less content, and some values are missing.
 */
public final class HarrowmereData {
  private static final long SEED = 20260406L;
  private static final long PANEL_SEED = 20260621L;
  private static final String[] GRADES = {"sound", "crazed", "cracked", "warped"};
  private static final String[] GLAZES = {"ash", "celadon", "cobalt", "iron"};

  private static final String PANEL_CODEBOOK =
      """
      {
        "fields": [
          {"name": "person", "type": "integer"},
          {"name": "region", "title": "Region", "type": "integer", "categories": [
            {"value": 1, "label": "Coast"}, {"value": 2, "label": "Valley"},
            {"value": 3, "label": "Moors"}, {"value": 4, "label": "Uplands"}]},
          {"name": "reorder", "title": "Would order again", "type": "integer", "categories": [
            {"value": 1, "label": "yes"}, {"value": 0, "label": "no"}], "missingValues": ["9"]},
          {"name": "recommend", "title": "Would recommend, 0 to 10", "type": "integer",
            "missingValues": ["99"]},
          {"name": "glazes", "title": "Glazes in stock, several answers", "type": "string"}
        ],
        "missingValues": [""]
      }
      """;

  private final UniformRandomProvider random = RandomSource.XO_SHI_RO_256_PP.create(SEED);

  private HarrowmereData() {}

  /**
   * Writes the data files into a folder.
   *
   * @param arguments the folder; {@code demo} without one
   * @throws IOException if they can't be written
   */
  public static void main(String[] arguments) throws IOException {
    Path folder = Path.of(arguments.length > 0 ? arguments[0] : "demo");
    for (Map.Entry<String, String> file : files().entrySet()) {
      Files.writeString(folder.resolve(file.getKey()), file.getValue());
    }
    try (OutputStream out = Files.newOutputStream(folder.resolve("week-18.xlsx"))) {
      week(new HarrowmereData().firingLog(), out);
    }
  }

  /** The files' names and contents. */
  static Map<String, String> files() {
    HarrowmereData data = new HarrowmereData();
    Map<String, String> files = new LinkedHashMap<>();
    String log = data.firingLog();
    files.put("firing-log.csv", log);
    files.put("scrap-by-kiln.csv", scrapByKiln(log));
    files.put("panel-survey.csv", data.panelSurvey());
    files.put("returns-by-depot.csv", data.returnsByDepot());
    files.put("regrade.csv", data.regrade());
    files.put("panel-codes.csv", data.panelCodes());
    files.put("panel-codes.schema.json", PANEL_CODEBOOK);
    return files;
  }

  private String firingLog() {
    StringBuilder text = new StringBuilder("date,kiln,shift,glaze,grade\n");
    LocalDate first = LocalDate.of(2026, 4, 6);
    for (int row = 0; row < 1_200; row++) {
      String kiln = new String[] {"North", "South", "Tunnel"}[pick(0.33, 0.34, 0.33)];
      String glaze = GLAZES[pick(0.35, 0.25, 0.22, 0.18)];
      double scrap = kiln.equals("South") ? 2.0 : kiln.equals("North") ? 0.75 : 1.25;
      double crazing = glaze.equals("iron") ? 2.0 : 1.0;
      double crazed = 0.06 * crazing;
      double cracked = 0.05 * scrap;
      double warped = 0.028 * scrap;
      String grade = GRADES[pick(1 - crazed - cracked - warped, crazed, cracked, warped)];
      text.append(first.plusDays(row * 84L / 1_200)).append(',');
      text.append(kiln).append(',');
      text.append(chance(0.55) ? "early" : "late").append(',');
      text.append(chance(0.008) ? "" : glaze).append(',');
      text.append(chance(0.006) ? "" : grade).append('\n');
    }
    return text.toString();
  }

  /** The log as a report has it: a row a kiln, with totals. */
  private static String scrapByKiln(String log) {
    Map<String, long[]> kilns = new LinkedHashMap<>();
    for (String kiln : new String[] {"North", "South", "Tunnel", "Total"}) {
      kilns.put(kiln, new long[2]);
    }
    for (String line : log.lines().skip(1).toList()) {
      String[] fields = line.split(",", -1);
      if (!fields[4].isEmpty()) {
        int column = fields[4].equals("cracked") || fields[4].equals("warped") ? 0 : 1;
        kilns.computeIfAbsent(fields[1], key -> new long[2])[column]++;
        kilns.computeIfAbsent("Total", key -> new long[2])[column]++;
      }
    }
    StringBuilder text = new StringBuilder("kiln,scrapped,kept,total\n");
    kilns.forEach(
        (kiln, counts) ->
            text.append(
                String.format(
                    Locale.ROOT,
                    "%s,%d,%d,%d\n",
                    kiln,
                    counts[0],
                    counts[1],
                    counts[0] + counts[1])));
    return text.toString();
  }

  /** A sample of a population that is known. */
  private String panelSurvey() {
    // Other files were drawn behind so many numbers, and stay as they are.
    for (int drawn = 0; drawn < 7_200; drawn++) {
      random.nextLong();
    }
    return TradePopulation.all().sample(RandomSource.XO_SHI_RO_256_PP.create(PANEL_SEED));
  }

  private String returnsByDepot() {
    StringBuilder text = new StringBuilder("depot,reason,n\n");
    String[] depots = {"Aldgarth", "Brindle Quay", "Coldmere", "Dunholt"};
    String[] reasons = {"broken", "wrong shade", "late", "short count"};
    for (String depot : depots) {
      for (String reason : reasons) {
        double expected = depot.equals("Brindle Quay") ? 30 : 18;
        expected *= depot.equals("Coldmere") && reason.equals("broken") ? 1.9 : 1;
        expected *= reason.equals("short count") ? 0.4 : 1;
        text.append(depot).append(',').append(reason).append(',');
        text.append(Math.round(expected * (0.75 + 0.5 * random.nextDouble()))).append('\n');
      }
    }
    return text.toString();
  }

  private String regrade() {
    StringBuilder text = new StringBuilder("tile,first_inspector,second_inspector\n");
    for (int tile = 1; tile <= 240; tile++) {
      int first = pick(0.78, 0.1, 0.07, 0.05);
      int second = chance(0.86) ? first : pick(0.6, 0.22, 0.1, 0.08);
      text.append(String.format(Locale.ROOT, "T%03d,%s,%s%n", tile, GRADES[first], GRADES[second]));
    }
    return text.toString().replace("\r", "");
  }

  /** A later wave of the panel as an export has it: codes for answers, several in one field. */
  private String panelCodes() {
    StringBuilder text = new StringBuilder("person,region,reorder,recommend,glazes\n");
    for (int person = 1; person <= 400; person++) {
      int region = 1 + pick(0.3, 0.3, 0.22, 0.18);
      boolean reorder = chance(region == 4 ? 0.6 : 0.74);
      int recommend = Math.min(10, pick(0.02, 0.02, 0.03, 0.05, 0.1, 0.28, 0.3, 0.2) + 3);
      List<String> glazes = new ArrayList<>();
      for (int glaze = 0; glaze < GLAZES.length; glaze++) {
        if (chance(new double[] {0.62, 0.4, 0.33, 0.25}[glaze])) {
          glazes.add(GLAZES[glaze]);
        }
      }
      text.append(person).append(',').append(region).append(',');
      text.append(chance(0.02) ? 9 : reorder ? 1 : 0).append(',');
      text.append(chance(0.03) ? 99 : recommend).append(',');
      text.append(String.join(";", glazes)).append('\n');
    }
    return text.toString();
  }

  /**
   * One week of the log as a foreman keeps it: a workbook with a title, dates, and a second sheet.
   */
  private static void week(String log, OutputStream out) throws IOException {
    Workbook book = new Workbook(out, "Harrowmere", "1.0");
    Worksheet firings = book.newWorksheet("Firings");
    firings.value(0, 0, "Firings of week 18, 2026");
    int row = 2;
    for (String line : log.lines().toList()) {
      String[] fields = line.split(",", -1);
      boolean names = row == 2;
      if (names
          || (fields[0].compareTo("2026-04-27") >= 0 && fields[0].compareTo("2026-05-04") < 0)) {
        for (int column = 0; column < fields.length; column++) {
          if (!names && column == 0) {
            firings.value(row, column, LocalDate.parse(fields[column]));
            firings.style(row, column).format("yyyy-mm-dd").set();
          } else if (!fields[column].isEmpty()) {
            firings.value(row, column, fields[column]);
          }
        }
        row++;
      }
    }
    book.newWorksheet("Notes").value(0, 0, "The South kiln got new burners on Thursday.");
    book.finish();
  }

  private boolean chance(double probability) {
    return random.nextDouble() < probability;
  }

  /** A position, each with its own probability. */
  private int pick(double... probabilities) {
    double left = random.nextDouble();
    for (int i = 0; i < probabilities.length - 1; i++) {
      left -= probabilities[i];
      if (left < 0) {
        return i;
      }
    }
    return probabilities.length - 1;
  }
}
