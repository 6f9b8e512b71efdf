package dev.tavik.bench;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import de.siegmar.fastcsv.reader.CsvReader;
import dev.tavik.count.SampleDesign;
import dev.tavik.data.CountRequest;
import dev.tavik.data.Sources;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A file of rows with weights, strata and many clusters in no order, and the least that counts its
 * columns: each level by its hash, no number read.
 */
final class SurveyFile {
  private static final String[] REGIONS = {"Coast", "Valley", "Moors", "Uplands"};
  private static final String[] CHANNELS = {"trade counter", "showroom", "online"};
  private static final SampleDesign DESIGN =
      SampleDesign.weighted("weight").strata("region").clusters("dealer");

  private SurveyFile() {}

  static void write(Path file, int rows, int clusters) throws IOException {
    Random random = new Random(5);
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      out.write("region,dealer,channel,would_reorder,weight\n");
      for (int row = 0; row < rows; row++) {
        int dealer = random.nextInt(clusters);
        int weight = 50 + random.nextInt(350);
        out.write(REGIONS[dealer % REGIONS.length] + ",D" + dealer + ",");
        out.write(CHANNELS[random.nextInt(CHANNELS.length)]);
        out.write(random.nextInt(10) < 6 ? ",yes," : ",no,");
        out.write(String.format(Locale.ROOT, "%d.%02d\n", weight / 100, weight % 100));
      }
    }
  }

  static long survey(Path file) {
    return Sources.open(file)
        .survey(DESIGN, List.of(CountRequest.of("would_reorder")))
        .get(0)
        .units()
        .total();
  }

  static long bare(Path file) throws IOException {
    Columns columns = new Columns();
    try (Stream<Object> none = CsvReader.builder().build(columns, file).stream()) {
      none.forEach(each -> {});
    }
    return columns.rows;
  }

  /** Counts outcomes by region and dealer, and looks up weights as if they were levels. */
  private static final class Columns extends AbstractBaseCsvCallbackHandler<Object> {
    private static final int SIZE = 1 << 18;
    private final Slots slots = new Slots(SIZE);
    private final long[] counts = new long[2 * SIZE];
    private int dealer;
    private int outcome;
    private long others;
    private long rows;

    @Override
    protected void handleField(int column, char[] buffer, int offset, int length, boolean quoted) {
      if (column == 1) {
        dealer = slots.of(buffer, offset, length);
      } else if (column == 3) {
        outcome = slots.of(buffer, offset, length) & 1;
      } else if (column != 2) {
        others += slots.of(buffer, offset, length);
      }
    }

    @Override
    protected @Nullable Object buildRecord() {
      counts[2 * dealer + outcome]++;
      rows += others == Long.MIN_VALUE ? 0 : 1;
      return null;
    }
  }
}
