package dev.tavik.chart;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.chart.TilePicture.Band;
import dev.tavik.chart.TilePicture.Swatch;
import dev.tavik.chart.TilePicture.Tile;
import dev.tavik.count.Names;
import dev.tavik.plot.TablePlot;
import dev.tavik.result.Figures;
import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Draws what became of each row of a table: its shares, and as a mosaic which of them are above or
 * below expectation.
 */
final class CrossPicture {
  private static final int BAND = 44;
  private static final int LEAST_BAND = 22;
  private static final int ALL_BANDS = 420;
  private static final int MOST_ROWS = 30;

  /**
   * Steps that differ in lightness, from Okabe and Ito's palette for all kinds of colour vision.
   */
  private static final List<Color> SHARES =
      List.of(
          new Color(0x0072b2),
          new Color(0x56b4e9),
          new Color(0xe69f00),
          new Color(0xf0e442),
          new Color(0x009e73),
          new Color(0xcc79a7),
          new Color(0xd55e00),
          new Color(0x999999));

  private static final Color ABOVE = new Color(0x1b7837);
  private static final Color BELOW = new Color(0x9a5b13);

  /** Residuals this far from 0 have the full colour. */
  private static final double FULL = 5;

  private CrossPicture() {}

  /**
   * The shares of the columns in each row.
   *
   * @param table the cells
   * @return the picture
   * @throws IllegalArgumentException if the table has too many rows to draw
   */
  static Picture shares(TablePlot table) {
    requireDrawable(table);
    List<Band> bands = new ArrayList<>();
    for (int i = 0; i < table.rows().size(); i++) {
      List<Tile> tiles = new ArrayList<>();
      for (int j = 0; j < table.columns().size(); j++) {
        double share = table.share(i, j);
        String column = table.columns().get(j);
        String percent = Figures.percent(share);
        tiles.add(
            new Tile(
                share,
                SHARES.get(j % SHARES.size()),
                List.of(
                    List.of(column + " " + percent), List.of(column, percent), List.of(percent)),
                Figures.shortened(column) + " " + percent,
                false));
      }
      bands.add(new Band(name(table, i), BAND, tiles));
    }
    return new TilePicture(
            table.title() + ": shares of each row",
            table.subtitle() + "; each band is a row of the table, 100% wide, with its total",
            bands,
            IntStream.range(0, table.columns().size())
                .mapToObj(j -> new Swatch(SHARES.get(j % SHARES.size()), table.columns().get(j)))
                .toList())
        .picture();
  }

  /**
   * The same, each band as high as its row is large, coloured by how far each cell is from
   * independence.
   *
   * @param table the cells
   * @return the picture
   * @throws IllegalArgumentException if the table has too many rows to draw
   */
  static Picture mosaic(TablePlot table) {
    requireDrawable(table);
    List<Band> bands = new ArrayList<>();
    for (int i = 0; i < table.rows().size(); i++) {
      int height =
          (int) Math.max(LEAST_BAND, ALL_BANDS * (double) table.rowTotal(i) / table.total());
      List<Tile> tiles = new ArrayList<>();
      for (int j = 0; j < table.columns().size(); j++) {
        TablePlot.Cell cell = table.cells().get(i).get(j);
        double residual = cell.residual();
        String sign = signed(residual);
        String column = table.columns().get(j);
        tiles.add(
            new Tile(
                table.share(i, j),
                colour(residual),
                height < BAND
                    ? List.of(List.of(column + " " + sign), List.of(sign))
                    : List.of(List.of(column + " " + sign), List.of(column, sign)),
                Figures.shortened(column) + " " + sign,
                cell.standsOut()));
      }
      bands.add(new Band(name(table, i), height, tiles));
    }
    return new TilePicture(
            table.title() + ": where it departs from independence",
            say(
                "tiles of a row from the left: %s; numbers are adjusted residuals, + above and -"
                    + " below expectation; outlined: stands out after adjustment for all cells",
                Names.listed(
                    table.columns().stream().map(column -> Figures.shortened(column)).toList())),
            bands,
            List.of(
                new Swatch(colour(FULL), "more than expected (+5)"),
                new Swatch(colour(2), "+2"),
                new Swatch(colour(0), "as expected"),
                new Swatch(colour(-2), "-2"),
                new Swatch(colour(-FULL), "fewer than expected (-5)")))
        .picture();
  }

  private static void requireDrawable(TablePlot table) {
    require(
        table.rows().size() <= MOST_ROWS,
        "a picture has room for %d rows, got %d; put levels together, or exchange rows and"
            + " columns",
        MOST_ROWS,
        table.rows().size());
  }

  private static String name(TablePlot table, int row) {
    return Figures.shortened(table.rows().get(row)) + "  " + Figures.count(table.rowTotal(row));
  }

  private static String signed(double residual) {
    return (residual > 0 ? "+" : "") + say("%.1f", residual);
  }

  /** From nearly white towards one of two colours that differ for all kinds of colour vision. */
  private static Color colour(double residual) {
    Color full = residual < 0 ? BELOW : ABOVE;
    double part = Math.min(1, Math.abs(residual) / FULL);
    return new Color(
        mixed(full.getRed(), part), mixed(full.getGreen(), part), mixed(full.getBlue(), part));
  }

  private static int mixed(int full, double part) {
    return (int) Math.round(238 + (full - 238) * part);
  }
}
