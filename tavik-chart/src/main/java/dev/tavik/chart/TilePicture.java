package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Paint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Bands of tiles below one another, each band 100 percent wide: shares of rows side by side. A
 * band's name stands before it, what is to be said of it behind, a key of colours below.
 *
 * @param title what is seen
 * @param subtitle how to read it
 * @param bands from the top down
 * @param key names of colours; may be empty
 */
record TilePicture(String title, String subtitle, List<Band> bands, List<Swatch> key) {
  private static final int WIDTH = 960;

  /** Between the picture's edges and the plot, as the style pads it. */
  private static final int PADDING = 46;

  private static final int AROUND = 104;
  private static final int GAP = 8;
  private static final int AXIS = 56;
  private static final int KEY_LINE = 24;
  private static final double CHARACTER = 7.1;
  private static final int LINE = 16;

  /** The longest line of remarks, in letters. */
  private static final int REMARK = 26;

  private static final int TICK = 20;

  /** Half of the label 100% reaches so far beyond the tiles. */
  private static final double LAST_TICK = 18;

  /**
   * One row of tiles.
   *
   * @param name what stands before it
   * @param height in pixels
   * @param tiles from left to right
   */
  record Band(String name, int height, List<Tile> tiles) {
    /** The remarks behind the band: what doesn't fit its tiles, outlined tiles first. */
    List<String> remarks(double room) {
      List<String> all =
          tiles.stream()
              .filter(tile -> tile.share() > 0 && tile.label(height, room).isEmpty())
              .sorted(Comparator.comparing(tile -> !tile.outlined()))
              .map(Tile::remark)
              .toList();
      int most = Math.max(1, height / LINE);
      List<String> lines = new ArrayList<>();
      for (int i = 0; i < all.size(); i++) {
        boolean last = i == all.size() - 1;
        String before = lines.isEmpty() ? "" : lines.get(lines.size() - 1);
        String joined = before + ", " + all.get(i);
        boolean more = !last && lines.size() == most;
        String rest = say(", %s more", all.size() - i);
        if (!before.isEmpty() && joined.length() + (more ? rest.length() : 0) <= REMARK) {
          lines.set(lines.size() - 1, joined);
        } else if (lines.size() < most) {
          lines.add(all.get(i));
        } else {
          lines.set(lines.size() - 1, before + rest);
          break;
        }
      }
      return lines;
    }
  }

  /**
   * One tile.
   *
   * @param share its part of the band
   * @param fill its colour
   * @param labels what to write in it, the first that fits, each in its lines
   * @param remark what to write behind the band where none does
   * @param outlined whether it stands out
   */
  record Tile(
      double share, Color fill, List<List<String>> labels, String remark, boolean outlined) {
    List<String> label(int height, double room) {
      return labels.stream()
          .filter(
              lines ->
                  CHARACTER * longest(lines) + 6 <= share * room
                      && LINE * lines.size() + 2 <= height)
          .findFirst()
          .orElse(List.of());
    }
  }

  /** A colour and what it means. */
  record Swatch(Color fill, String name) {}

  Picture picture() {
    double before = 10 + CHARACTER * longest(bands.stream().map(Band::name).toList());
    double after = LAST_TICK;
    double room = WIDTH - PADDING - before - after;
    // Remarks take room from the tiles, and then fewer labels fit.
    for (double needed = behind(room); needed > after; needed = behind(room)) {
      after = needed;
      room = WIDTH - PADDING - before - after;
    }
    List<List<Swatch>> lines = keyLines();
    int height =
        bands.stream().mapToInt(band -> band.height() + GAP).sum() + AXIS + KEY_LINE * lines.size();
    XYPlot plot = plot(-before, room + after, height);
    int top = height;
    for (Band band : bands) {
      band(plot, band, top, room);
      top -= band.height() + GAP;
    }
    axis(plot, top, room);
    for (int i = 0; i < lines.size(); i++) {
      key(plot, lines.get(i), top - AXIS - i * KEY_LINE);
    }
    return new Picture(ChartStyle.titled(plot, title, subtitle), WIDTH, height + AROUND);
  }

  private double behind(double room) {
    return 10
        + CHARACTER * longest(bands.stream().flatMap(band -> band.remarks(room).stream()).toList());
  }

  private static int longest(List<String> texts) {
    return texts.stream().mapToInt(String::length).max().orElse(0);
  }

  private static XYPlot plot(double from, double to, int height) {
    XYPlot plot =
        new XYPlot(
            new XYSeriesCollection(),
            hidden(from, to),
            hidden(0, height),
            new XYLineAndShapeRenderer());
    plot.setBackgroundPaint(Color.WHITE);
    plot.setOutlineVisible(false);
    plot.setDomainGridlinesVisible(false);
    plot.setRangeGridlinesVisible(false);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    plot.setInsets(RectangleInsets.ZERO_INSETS);
    return plot;
  }

  private static ValueAxis hidden(double from, double to) {
    NumberAxis axis = ChartStyle.axis("");
    axis.setRange(from, to);
    axis.setVisible(false);
    return axis;
  }

  private static void band(XYPlot plot, Band band, int top, double room) {
    double middle = top - band.height() / 2.0;
    write(plot, band.name(), -8, middle, TextAnchor.CENTER_RIGHT, ChartStyle.INK);
    double left = 0;
    for (Tile tile : band.tiles()) {
      double right = left + tile.share() * room;
      plot.addAnnotation(
          new XYBoxAnnotation(
              left,
              (double) top - band.height(),
              right,
              top,
              new BasicStroke(1.0f),
              Color.WHITE,
              tile.fill()));
      if (tile.outlined() && right - left > 3) {
        plot.addAnnotation(
            new XYBoxAnnotation(
                left + 1.5,
                top - band.height() + 1.5,
                right - 1.5,
                top - 1.5,
                new BasicStroke(2.0f),
                ChartStyle.INK,
                null));
      }
      lines(
          plot,
          tile.label(band.height(), room),
          left + (right - left) / 2,
          middle,
          TextAnchor.CENTER,
          inkOn(tile.fill()));
      left = right;
    }
    lines(plot, band.remarks(room), room + 8, middle, TextAnchor.CENTER_LEFT, ChartStyle.INK);
  }

  private static void lines(
      XYPlot plot, List<String> lines, double x, double middle, TextAnchor anchor, Paint ink) {
    for (int i = 0; i < lines.size(); i++) {
      write(plot, lines.get(i), x, middle + LINE * ((lines.size() - 1) / 2.0 - i), anchor, ink);
    }
  }

  /** White on dark, dark on light, by the relative luminance of the web's accessibility rules. */
  private static Color inkOn(Color fill) {
    double luminance = 0.2126 * fill.getRed() + 0.7152 * fill.getGreen() + 0.0722 * fill.getBlue();
    return luminance < 120 ? Color.WHITE : ChartStyle.INK;
  }

  private static void axis(XYPlot plot, int top, double room) {
    for (int percent = 0; percent <= 100; percent += TICK) {
      write(
          plot,
          percent + "%",
          percent * room / 100,
          top - 4.0,
          TextAnchor.TOP_CENTER,
          ChartStyle.INK);
    }
    write(plot, "share of the row", room / 2, top - 20.0, TextAnchor.TOP_CENTER, ChartStyle.INK);
  }

  private List<List<Swatch>> keyLines() {
    List<List<Swatch>> lines = new ArrayList<>();
    double used = WIDTH;
    for (Swatch each : key) {
      double needed = 34 + CHARACTER * each.name().length();
      if (used + needed > WIDTH - PADDING) {
        lines.add(new ArrayList<>());
        used = 0;
      }
      lines.get(lines.size() - 1).add(each);
      used += needed;
    }
    return lines;
  }

  private static void key(XYPlot plot, List<Swatch> line, int top) {
    double left = plot.getDomainAxis().getLowerBound() + 4;
    for (Swatch each : line) {
      plot.addAnnotation(
          new XYBoxAnnotation(
              left,
              top - 15.0,
              left + 14,
              top - 1.0,
              new BasicStroke(1.0f),
              ChartStyle.INK,
              each.fill()));
      write(plot, each.name(), left + 20, top - 8.0, TextAnchor.CENTER_LEFT, ChartStyle.INK);
      left += 34 + CHARACTER * each.name().length();
    }
  }

  private static void write(
      XYPlot plot, String text, double x, double y, TextAnchor anchor, Paint ink) {
    if (!text.isEmpty()) {
      ChartStyle.write(plot, text, x, y, anchor, ink, BundledFonts.plain(12));
    }
  }
}
