package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import dev.tavik.data.RowSource.SourceDescription;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;

/** A zip archive: a spreadsheet of either kind, or files of which one is read. */
final class ZipFormat implements SourceFormat {
  private static final int MOST_NAMED = 8;
  private static final String OPEN_DOCUMENT = "application/vnd.oasis.opendocument.";

  /** What systems leave in an archive beside the files that are meant. */
  private static final Pattern LITTER =
      Pattern.compile("(?i)(^|/)(__MACOSX/|\\.|Thumbs\\.db$|desktop\\.ini$)");

  @Override
  public List<Told> told() {
    return List.of(
        new Told(
            "sheet",
            name ->
                require(!name.isBlank(), "sheet must be a name or a number from 1, got nothing")),
        new Told("range", CellRange::parse));
  }

  @Override
  public boolean takes(FileHeader beginning) {
    return beginning.startsWith("PK\u0003\u0004") || beginning.startsWith("PK\u0005\u0006");
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    return bytes.asFile(file -> read(bytes.name(), file, said, rows));
  }

  private static SourceDescription read(String name, Path file, ReadOptions said, RowHandler rows)
      throws IOException {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      Optional<SourceDescription> sheet =
          sheet(name, file, zip, said, found -> new SheetRows(name, found, said.range(), rows));
      if (sheet.isPresent()) {
        return sheet.get();
      }
      ZipEntry member = member(name, zip, said);
      try (Bytes unpacked = new Bytes(name, unpacked(name, zip, member))) {
        return FileSource.read(unpacked, said.member(""), rows);
      }
    }
  }

  /** Hands over the rows of a spreadsheet. */
  static void sheet(Bytes bytes, ReadOptions said, Function<String, SheetTaker> takers)
      throws IOException {
    boolean found =
        bytes.asFile(
            file -> {
              try (ZipFile zip = new ZipFile(file.toFile())) {
                return sheet(bytes.name(), file, zip, said, takers).isPresent();
              }
            });
    if (!found) {
      throw new DataException(
          DataException.Code.ENCODING,
          bytes.name() + " is an archive and no spreadsheet; unpack it");
    }
  }

  private static Optional<SourceDescription> sheet(
      String name, Path file, ZipFile zip, ReadOptions said, Function<String, SheetTaker> takers)
      throws IOException {
    if (zip.getEntry("xl/workbook.xml") != null) {
      return Optional.of(new ExcelSheets(name, file, zip).read(said, takers));
    }
    @Nullable ZipEntry kind = zip.getEntry("mimetype");
    if (kind == null) {
      return Optional.empty();
    }
    requireSheets(name, zip, kind);
    return Optional.of(new OpenSheets(name, zip).read(said, takers));
  }

  private static void requireSheets(String name, ZipFile zip, ZipEntry kind) throws IOException {
    byte[] written;
    try (var in = zip.getInputStream(kind)) {
      written = in.readNBytes(100);
    }
    String type = new String(written, StandardCharsets.US_ASCII);
    if (!type.startsWith(OPEN_DOCUMENT + "spreadsheet")) {
      throw new DataException(
          DataException.Code.ENCODING,
          "%s is a document (%s) and no spreadsheet; copy its table into one, or into a text file",
          name,
          type.strip());
    }
  }

  /** The bytes of a member, bounded. */
  static InputStream unpacked(String name, ZipFile zip, ZipEntry member) throws IOException {
    return Bytes.bounded(name, member::getCompressedSize, zip.getInputStream(member));
  }

  private static ZipEntry member(String name, ZipFile zip, ReadOptions said) {
    List<? extends ZipEntry> members =
        zip.stream()
            .filter(each -> !each.isDirectory() && !LITTER.matcher(each.getName()).find())
            .toList();
    String wanted = said.member();
    if (members.isEmpty()) {
      throw new DataException(DataException.Code.EMPTY, name + " has no file in it");
    }
    List<? extends ZipEntry> chosen =
        wanted.isEmpty()
            ? members
            : members.stream().filter(each -> each.getName().equals(wanted)).toList();
    if (chosen.size() == 1) {
      return chosen.get(0);
    }
    List<String> names = members.stream().map(ZipEntry::getName).toList();
    String some =
        String.join(", ", names.subList(0, Math.min(MOST_NAMED, names.size())))
            + (names.size() > MOST_NAMED ? ", ..." : "");
    throw new DataException(
        DataException.Code.MALFORMED,
        wanted.isEmpty()
            ? name
                + " has several files; name one behind a #, as in "
                + name
                + "#"
                + names.get(0)
                + ". There are: "
                + some
            : name + " has no file '" + wanted + "'. There are: " + some);
  }
}
