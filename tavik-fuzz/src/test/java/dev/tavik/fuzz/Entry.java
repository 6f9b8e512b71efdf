package dev.tavik.fuzz;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** The ways in, each with bytes made up by somebody who means harm. */
enum Entry {
  /** Delimited text, JSON, a spreadsheet, anything packed: what it is, its bytes tell. */
  FILE {
    @Override
    void given(byte[] bytes) {
      Map<String, byte[]> files = Map.of("file", bytes);
      Asked seen = Asked.of(List.of("look", "--data", "file", "--json"), files).sound();
      if (seen.status() == 0) {
        askAbout(seen.json(), files);
      }
    }
  },
  /** The one sheet of a workbook, packed as it should be. */
  SHEET {
    @Override
    void given(byte[] bytes) {
      FILE.given(
          zip(
              Map.of(
                  "[Content_Types].xml",
                  "<Types xmlns='http://schemas.openxmlformats.org/package/2006/content-types'/>"
                      .getBytes(StandardCharsets.UTF_8),
                  "xl/workbook.xml",
                  ("<workbook xmlns='http://schemas.openxmlformats.org/spreadsheetml/2006/main'"
                          + " xmlns:r='http://schemas.openxmlformats.org/officeDocument/2006/"
                          + "relationships'><sheets><sheet name='Log' sheetId='1' r:id='rId1'/>"
                          + "</sheets></workbook>")
                      .getBytes(StandardCharsets.UTF_8),
                  "xl/_rels/workbook.xml.rels",
                  ("<Relationships xmlns='http://schemas.openxmlformats.org/package/2006/"
                          + "relationships'><Relationship Id='rId1' Type='http://schemas."
                          + "openxmlformats.org/officeDocument/2006/relationships/worksheet'"
                          + " Target='worksheets/sheet1.xml'/></Relationships>")
                      .getBytes(StandardCharsets.UTF_8),
                  "xl/worksheets/sheet1.xml",
                  bytes)));
    }
  },
  /** The content of an OpenDocument sheet. */
  CONTENT {
    @Override
    void given(byte[] bytes) {
      FILE.given(
          zip(
              Map.of(
                  "mimetype",
                  "application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.UTF_8),
                  "content.xml",
                  bytes)));
    }
  },
  /** What the codes of a file mean. */
  CODEBOOK {
    @Override
    void given(byte[] bytes) {
      for (String question :
          List.of(
              "rate --data demo/panel-codes.csv --codebook file --outcome reorder --success 1"
                  + " --against 70% --json",
              "shares --data demo/panel-codes.csv --codebook file --outcome region --against equal"
                  + " --json")) {
        Asked.of(List.of(question.split(" ")), Map.of("file", bytes)).sound();
      }
    }
  },
  /** A study, YAML and JSON. */
  STUDY {
    @Override
    void given(byte[] bytes) {
      for (String name : List.of("file.yaml", "file.json")) {
        Asked.of(List.of("run", name, "--json"), Map.of(name, bytes)).sound();
      }
    }
  },
  /** A table as people paste one. */
  TABLE {
    @Override
    void given(byte[] bytes) {
      for (String question :
          List.of(
              "cross --table file --json",
              "compare --table file --json",
              "shares --table file" + " --against equal --json")) {
        Asked.of(List.of(question.split(" ")), Map.of("file", bytes)).sound();
      }
    }
  },
  /** Words of a command line, one in each line. */
  WORDS {
    @Override
    void given(byte[] bytes) {
      List<String> words =
          new String(bytes, StandardCharsets.UTF_8)
              .lines()
              .limit(12)
              .filter(word -> WRITING.stream().noneMatch(word::startsWith))
              .toList();
      boolean apart = words.isEmpty() || APART.contains(words.get(0));
      if (!apart && words.stream().noneMatch(word -> word.matches(".*\\d{7,}.*"))) {
        Asked.of(words, Map.of()).sound();
      }
    }
  },
  /** A tally or two. */
  TALLIES {
    @Override
    void given(byte[] bytes) {
      String[] lines = new String(bytes, StandardCharsets.UTF_8).split("\n", 3);
      Asked.of(List.of("rate", lines[0], "--against", "5%", "--json"), Map.of()).sound();
      if (lines.length > 1) {
        Asked.of(List.of("compare", lines[0], lines[1], "--json"), Map.of()).sound();
        Asked.of(List.of("shares", lines[0], lines[1], "--against", "equal", "--json"), Map.of())
            .sound();
        Asked.of(List.of("cross", "--cells", lines[0] + ";" + lines[1], "--json"), Map.of())
            .sound();
      }
    }
  };

  /** These begin what is written, and a fuzzer writes nothing; shortened ones count as well. */
  private static final List<String> WRITING =
      List.of("--out", "--ch", "--codebook-o", "--save", "--driver", "--db");

  /** They ask in a terminal, or take a while whatever they are given. */
  private static final List<String> APART = List.of("ask", "demo", "complete");

  abstract void given(byte[] bytes);

  /** The questions that a file can be asked, by what was seen in it. */
  private static void askAbout(JsonNode seen, Map<String, byte[]> files) {
    List<String> names = new ArrayList<>();
    List<String> levels = new ArrayList<>();
    for (JsonNode column : seen.path("columns")) {
      String name = column.path("name").asText();
      JsonNode level = column.path("levels").path(0);
      if (!name.isBlank() && !name.contains(",") && !level.isMissingNode()) {
        names.add(name);
        levels.add(level.isObject() ? level.path("level").asText() : level.asText());
      }
    }
    if (names.isEmpty()) {
      return;
    }
    String first = names.get(0);
    String last = names.get(names.size() - 1);
    List<List<String>> questions =
        List.of(
            List.of("rate", "--outcome", first, "--success", levels.get(0), "--against", "50%"),
            List.of("shares", "--outcome", last, "--against", "equal", "--missing", "level"),
            List.of("cross", "--rows", first, "--columns", last),
            List.of("sweep", "--group", last));
    for (List<String> question : questions) {
      Asked.of(
              Stream.concat(question.stream(), Stream.of("--data", "file", "--json")).toList(),
              files)
          .sound();
    }
  }

  private static byte[] zip(Map<String, byte[]> members) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (String name : members.keySet().stream().sorted().toList()) {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(members.getOrDefault(name, new byte[0]));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
