package dev.tavik.data;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/**
 * Checks the parts of an Office Open XML file before they are read: none may unpack excessively or
 * define entities. It also finds the merged cells.
 */
record PackedXml(String name, ZipFile zip, AtomicBoolean dates) {
  PackedXml(String name, ZipFile zip) {
    this(name, zip, new AtomicBoolean());
  }

  private static final long LARGEST = 4L << 30;
  private static final int HEAD = 1 << 10;
  private static final int TAIL = 1 << 18;
  private static final String RELATIONS = "xl/_rels/workbook.xml.rels";
  private static final Pattern RELATION = Pattern.compile("<Relationship\\s[^>]*>");
  private static final Pattern ID = Pattern.compile("\\sId=\"([^\"]*)\"");
  private static final Pattern TARGET = Pattern.compile("\\sTarget=\"/?(?:xl/)?([^\"]*)\"");
  private static final Pattern MERGED = Pattern.compile("<mergeCell ref=\"([A-Z0-9:$]+)\"");

  /** The merged cells of each sheet, by the sheet's id. */
  Map<String, List<CellRange>> inspect() throws IOException {
    Map<String, List<CellRange>> byPart = new HashMap<>();
    String relations = "";
    long total = 0;
    for (ZipEntry part : zip.stream().toList()) {
      if (!part.getName().endsWith(".xml") && !part.getName().endsWith(".rels")) {
        continue;
      }
      try (InputStream in = ZipFormat.unpacked(name, zip, part)) {
        byte[] tail = new byte[0];
        byte[] block = in.readNBytes(TAIL);
        requirePlain(new String(block, 0, Math.min(HEAD, block.length), StandardCharsets.UTF_8));
        if (part.getName().equals(RELATIONS)) {
          relations = new String(block, StandardCharsets.UTF_8);
        }
        boolean sheet = part.getName().startsWith("xl/worksheets/");
        while (block.length > 0) {
          if (sheet && !dates.get()) {
            dates.set(hasDate(block));
          }
          total += block.length;
          require(total <= LARGEST, "unpacks to more than 4 GiB");
          byte[] next = in.readNBytes(TAIL);
          if (next.length < TAIL) {
            tail = joined(block, next);
          }
          block = next;
        }
        byPart.put(part.getName(), merged(new String(tail, StandardCharsets.UTF_8)));
      }
    }
    Map<String, List<CellRange>> byId = new HashMap<>();
    for (Matcher relation = RELATION.matcher(relations); relation.find(); ) {
      Matcher id = ID.matcher(relation.group());
      Matcher target = TARGET.matcher(relation.group());
      if (id.find() && target.find()) {
        byId.put(id.group(1), byPart.getOrDefault("xl/" + target.group(1), List.of()));
      }
    }
    return byId;
  }

  /** Whether a cell holds a date in words, a kind of cell that few programs write. */
  boolean dated() {
    return dates.get();
  }

  /** Searches for {@code t="d"}; one at the boundary of two blocks is found in another cell. */
  private static boolean hasDate(byte[] block) {
    for (int i = 3; i + 1 < block.length; i++) {
      if (block[i] == 'd'
          && block[i - 1] == '"'
          && block[i - 2] == '='
          && block[i - 3] == 't'
          && block[i + 1] == '"') {
        return true;
      }
    }
    return false;
  }

  /** Writes a workbook in which such cells hold text. */
  void writeWithoutDates(Path to) throws IOException {
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(to))) {
      for (ZipEntry part : zip.stream().toList()) {
        out.putNextEntry(new ZipEntry(part.getName()));
        try (InputStream in = ZipFormat.unpacked(name, zip, part)) {
          if (part.getName().startsWith("xl/worksheets/")) {
            withoutDates(in, out);
          } else {
            in.transferTo(out);
          }
        }
        out.closeEntry();
      }
    }
  }

  private static void withoutDates(InputStream in, OutputStream out) throws IOException {
    // The last characters of a block are kept for the next, in case the mark spans the boundary.
    String rest = "";
    for (byte[] block = in.readNBytes(TAIL); block.length > 0; block = in.readNBytes(TAIL)) {
      String text = rest + new String(block, StandardCharsets.ISO_8859_1);
      String without = text.replace(" t=\"d\"", " t=\"str\"");
      int kept = Math.max(0, without.length() - 8);
      out.write(without.substring(0, kept).getBytes(StandardCharsets.ISO_8859_1));
      rest = without.substring(kept);
    }
    out.write(rest.getBytes(StandardCharsets.ISO_8859_1));
  }

  private static byte[] joined(byte[] first, byte[] second) {
    byte[] both = new byte[first.length + second.length];
    System.arraycopy(first, 0, both, 0, first.length);
    System.arraycopy(second, 0, both, first.length, second.length);
    return both;
  }

  private void requirePlain(String head) {
    require(!head.contains("<!DOCTYPE"), "defines a document type of its own");
  }

  private void require(boolean holds, String found) {
    if (!holds) {
      throw new DataException(
          DataException.Code.MALFORMED, "%s %s; that is no spreadsheet of data", name, found);
    }
  }

  private static List<CellRange> merged(String end) {
    List<CellRange> ranges = new ArrayList<>();
    for (Matcher found = MERGED.matcher(end); found.find(); ) {
      if (found.group(1).contains(":")) {
        ranges.add(CellRange.parse(found.group(1)));
      }
    }
    return ranges;
  }
}
