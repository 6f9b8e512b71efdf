package dev.tavik.chart;

import java.awt.Dimension;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.Text;

/** A picture as an SVG element, with its title and description in it. */
record ScalableGraphics(Element root) {
  private static final String NAMESPACE = "http://www.w3.org/2000/svg";
  private static final int CONTROL_PICTURES = 0x2400;
  private static final int UNKNOWN = 0xFFFD;

  static ScalableGraphics of(Picture picture) {
    Document document = document();
    SVGGeneratorContext context = SVGGeneratorContext.createDefault(document);
    context.setComment("Drawn by Tavik");
    SVGGraphics2D graphics = new SVGGraphics2D(context, false);
    List<Integer> size = picture.size();
    graphics.setSVGCanvasSize(new Dimension(size.get(0), size.get(1)));
    picture.draw(graphics);
    Element root = graphics.getRoot();
    root.setAttributeNS(null, "viewBox", "0 0 " + size.get(0) + " " + size.get(1));
    root.setAttributeNS(null, "role", "img");
    Element title = document.createElementNS(NAMESPACE, "title");
    title.setTextContent(picture.title());
    Element description = document.createElementNS(NAMESPACE, "desc");
    description.setTextContent(picture.subtitle());
    root.insertBefore(description, root.getFirstChild());
    root.insertBefore(title, description);
    settled(root);
    return new ScalableGraphics(root);
  }

  /**
   * Characters that XML has no place for, such as a bell in a label, become their pictures, and
   * marks of direction are seen; where the font is missing, another without serifs stands in.
   */
  private static void settled(Node node) {
    if (node instanceof Text text) {
      text.setData(legal(text.getData()));
    }
    if (node instanceof Element element && element.hasAttribute("font-family")) {
      String family = element.getAttribute("font-family");
      boolean bold = family.contains("Bold");
      element.setAttributeNS(null, "font-family", "'DejaVu Sans', sans-serif");
      if (bold) {
        element.setAttributeNS(null, "font-weight", "bold");
      }
    }
    for (Node child = node.getFirstChild(); child != null; child = child.getNextSibling()) {
      settled(child);
    }
  }

  private static String legal(String text) {
    StringBuilder legal = new StringBuilder();
    text.codePoints()
        .forEach(
            each -> {
              boolean control = each < ' ' && each != '\t' && each != '\n' && each != '\r';
              boolean unpaired = each >= 0xD800 && each <= 0xDFFF;
              boolean none = unpaired || each == 0xFFFE || each == 0xFFFF || turns(each);
              legal.appendCodePoint(control ? CONTROL_PICTURES + each : none ? UNKNOWN : each);
            });
    return legal.toString();
  }

  /** Marks that turn the direction of what follows, and others that can't be seen. */
  private static boolean turns(int character) {
    boolean joins = character == 0x200C || character == 0x200D || character == 0xAD;
    return Character.getType(character) == Character.FORMAT && !joins;
  }

  /** All text in it. */
  String words() {
    return root.getTextContent();
  }

  byte[] bytes() {
    return serialised("no");
  }

  /** Without the declaration that only a file of its own has. */
  String element() {
    return new String(serialised("yes"), StandardCharsets.UTF_8);
  }

  /** Without a document type, which would send a careful reader to the network. */
  private byte[] serialised(String bare) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      Transformer transformer = TransformerFactory.newInstance().newTransformer();
      transformer.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, bare);
      transformer.transform(new DOMSource(root), new StreamResult(out));
    } catch (TransformerException e) {
      throw new IllegalStateException("a drawing can't be encoded", e);
    }
    return out.toByteArray();
  }

  private static Document document() {
    try {
      return DocumentBuilderFactory.newInstance()
          .newDocumentBuilder()
          .getDOMImplementation()
          .createDocument(NAMESPACE, "svg", null);
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("the JDK has no XML parser", e);
    }
  }
}
