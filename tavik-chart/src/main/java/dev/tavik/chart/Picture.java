package dev.tavik.chart;

import java.awt.Dimension;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.jfree.chart.JFreeChart;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.Text;

/** Holds a drawing of a certain size, which is written as bitmap or as scalable graphics. */
public final class Picture {
  private static final int SCALE = 2;
  private static final int CONTROL_PICTURES = 0x2400;
  private static final int UNKNOWN = 0xFFFD;

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

  /**
   * A PNG image, two pixels to each unit.
   *
   * @return the bytes of the file
   */
  public byte[] png() {
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
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException("an image can't be encoded", e);
    }
    return out.toByteArray();
  }

  /**
   * An SVG document in UTF-8; text stays text.
   *
   * @return the bytes of the file
   */
  public byte[] svg() {
    Document document = document();
    SVGGeneratorContext context = SVGGeneratorContext.createDefault(document);
    context.setComment("Drawn by Tavik");
    SVGGraphics2D graphics = new SVGGraphics2D(context, false);
    graphics.setSVGCanvasSize(new Dimension(width, height));
    draw(graphics);
    Element root = graphics.getRoot();
    root.setAttributeNS(null, "viewBox", "0 0 " + width + " " + height);
    makeLegal(root);
    return serialised(root);
  }

  /** Characters that XML has no place for, such as a bell in a label, become their pictures. */
  private static void makeLegal(Node node) {
    if (node instanceof Text text) {
      text.setData(legal(text.getData()));
    }
    for (Node child = node.getFirstChild(); child != null; child = child.getNextSibling()) {
      makeLegal(child);
    }
  }

  private static String legal(String text) {
    StringBuilder legal = new StringBuilder();
    text.codePoints()
        .forEach(
            each -> {
              boolean control = each < ' ' && each != '\t' && each != '\n' && each != '\r';
              boolean unpaired = each >= 0xD800 && each <= 0xDFFF;
              boolean none = unpaired || each == 0xFFFE || each == 0xFFFF;
              legal.appendCodePoint(control ? CONTROL_PICTURES + each : none ? UNKNOWN : each);
            });
    return legal.toString();
  }

  /** Without a document type, which would send a careful reader to the network. */
  private static byte[] serialised(Element root) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      TransformerFactory.newInstance()
          .newTransformer()
          .transform(new DOMSource(root), new StreamResult(out));
    } catch (TransformerException e) {
      throw new IllegalStateException("a drawing can't be encoded", e);
    }
    return out.toByteArray();
  }

  private void draw(Graphics2D graphics) {
    double top = 0;
    for (Part part : parts) {
      part.chart().draw(graphics, new Rectangle2D.Double(0, top, width, part.height()));
      top += part.height();
    }
  }

  private static Document document() {
    try {
      return DocumentBuilderFactory.newInstance()
          .newDocumentBuilder()
          .getDOMImplementation()
          .createDocument("http://www.w3.org/2000/svg", "svg", null);
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("the JDK has no XML parser", e);
    }
  }
}
