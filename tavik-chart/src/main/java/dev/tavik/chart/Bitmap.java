package dev.tavik.chart;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** An image as a PNG file that knows its resolution and who drew it. */
final class Bitmap {
  private static final String FORMAT = "javax_imageio_png_1.0";
  private static final long PIXELS_A_METRE = Math.round(96 * Picture.SCALE / 0.0254);

  private Bitmap() {}

  static byte[] png(BufferedImage image) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      IIOMetadata about =
          writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), null);
      about.mergeTree(FORMAT, about());
      writer.setOutput(stream);
      writer.write(new IIOImage(image, null, about));
    } catch (IIOInvalidTreeException e) {
      throw new IllegalStateException("the JDK doesn't know its own metadata", e);
    } catch (IOException e) {
      throw new UncheckedIOException("an image can't be encoded", e);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }

  private static IIOMetadataNode about() {
    IIOMetadataNode size = new IIOMetadataNode("pHYs");
    size.setAttribute("pixelsPerUnitXAxis", Long.toString(PIXELS_A_METRE));
    size.setAttribute("pixelsPerUnitYAxis", Long.toString(PIXELS_A_METRE));
    size.setAttribute("unitSpecifier", "meter");
    IIOMetadataNode entry = new IIOMetadataNode("tEXtEntry");
    entry.setAttribute("keyword", "Comment");
    entry.setAttribute("value", "Drawn by Tavik");
    IIOMetadataNode words = new IIOMetadataNode("tEXt");
    words.appendChild(entry);
    IIOMetadataNode root = new IIOMetadataNode(FORMAT);
    root.appendChild(size);
    root.appendChild(words);
    return root;
  }
}
