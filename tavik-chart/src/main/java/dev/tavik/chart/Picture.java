package dev.tavik.chart;

import static dev.tavik.result.Figures.require;

import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.title.TextTitle;

/** Holds a drawing of a certain size, which is written as bitmap or as scalable graphics. */
public final class Picture {
  static final int SCALE = 2;
  private static final int LEAST = 240;
  private static final int MOST = 4_000;

  /** One of several charts below one another. */
  record Part(JFreeChart chart, int height) {}

  private final List<Part> parts;
  private final int width;
  private final int height;

  Picture(JFreeChart chart, int width, int height) {
    this(List.of(new Part(chart, height)), width);
  }

  Picture(List<Part> parts, int width) {
    this.parts = List.copyOf(parts);
    this.width = width;
    this.height = parts.stream().mapToInt(Part::height).sum();
  }

  /** {@return its title: what is seen} */
  public String title() {
    TextTitle title = parts.get(0).chart().getTitle();
    return title == null ? "" : title.getText();
  }

  /** {@return the line below its title, which says how to read it} */
  public String subtitle() {
    return parts.stream()
        .flatMap(part -> ((List<?>) part.chart().getSubtitles()).stream())
        .filter(TextTitle.class::isInstance)
        .map(each -> ((TextTitle) each).getText())
        .collect(Collectors.joining(" "));
  }

  /** {@return its width and height, in units of which a bitmap has two pixels each} */
  public List<Integer> size() {
    return List.of(width, height);
  }

  /**
   * {@return the same of another size; letters and lines keep theirs}
   *
   * @param wide its width, 240 to 4,000 units, of which a bitmap has two pixels each
   * @param high its height, as much
   * @throws IllegalArgumentException if either is out of its range
   */
  public Picture sized(int wide, int high) {
    require(
        wide >= LEAST && wide <= MOST && high >= LEAST && high <= MOST,
        "width and height of a picture must be between %s and %s, got %sx%s",
        LEAST,
        MOST,
        wide,
        high);
    List<Part> others = new ArrayList<>();
    int rest = high;
    for (int i = 0; i < parts.size(); i++) {
      boolean last = i == parts.size() - 1;
      int own = last ? rest : Math.round((float) high * parts.get(i).height() / height);
      others.add(new Part(parts.get(i).chart(), own));
      rest -= own;
    }
    return new Picture(others, wide);
  }

  /**
   * A PNG image, two pixels to each unit, 192 pixels an inch.
   *
   * @return the bytes of the file
   */
  public byte[] png() {
    return Bitmap.png(image());
  }

  /** {@return an image in memory, two pixels to each unit} */
  public BufferedImage image() {
    BufferedImage image =
        new BufferedImage(SCALE * width, SCALE * height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(
        RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    graphics.scale(SCALE, SCALE);
    draw(graphics);
    graphics.dispose();
    return image;
  }

  /**
   * An SVG document in UTF-8; text stays text, and title and description stand in it for readers
   * who can't see it.
   *
   * @return the bytes of the file
   */
  public byte[] svg() {
    return ScalableGraphics.of(this).bytes();
  }

  /**
   * The SVG element, for a page that holds it.
   *
   * @return the element as text
   */
  public String svgElement() {
    return ScalableGraphics.of(this).element();
  }

  /** {@return the characters in it that the bundled font lacks, each once} */
  public String lacking() {
    Font font = BundledFonts.plain(12);
    return ScalableGraphics.of(this)
        .words()
        .codePoints()
        .filter(each -> each > 0x7F && !font.canDisplay(each))
        .distinct()
        .mapToObj(Character::toString)
        .collect(Collectors.joining());
  }

  void draw(Graphics2D graphics) {
    double top = 0;
    for (Part part : parts) {
      part.chart().draw(graphics, new Rectangle2D.Double(0, top, width, part.height()));
      top += part.height();
    }
  }
}
