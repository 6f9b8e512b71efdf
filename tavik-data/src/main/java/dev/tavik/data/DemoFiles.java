package dev.tavik.data;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;

/** The files of Harrowmere Tileworks, a made-up maker of glazed tiles, that come with Tavik. */
public final class DemoFiles {
  /** Their names. */
  public static final List<String> NAMES =
      List.of(
          "firing-log.csv",
          "panel-survey.csv",
          "returns-by-depot.csv",
          "regrade.csv",
          "scrap-by-kiln.csv",
          "week-18.xlsx",
          "panel-codes.csv",
          "panel-codes.schema.json",
          "kiln-acceptance.yaml",
          "study.schema.json");

  private DemoFiles() {}

  /**
   * Opens one of the files.
   *
   * @param name one of {@link #NAMES}
   * @return its bytes, to be closed by the caller
   * @throws IOException if there is no such file
   */
  public static InputStream open(String name) throws IOException {
    InputStream in = DemoFiles.class.getResourceAsStream("demo/" + name);
    if (in == null) {
      throw new FileNotFoundException(name);
    }
    return in;
  }
}
