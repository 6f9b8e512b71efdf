package dev.tavik.spark;

import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.SpecException;
import dev.tavik.report.Report;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FSDataInputStream;
import org.apache.hadoop.fs.FileContext;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Options;
import org.apache.hadoop.fs.Path;
import org.apache.spark.sql.AnalysisException;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;
import org.jspecify.annotations.Nullable;

/**
 * The files of a study where a cluster keeps them: the study and what it includes, by their bytes;
 * the data that it names, by the rows that stand for them.
 */
final class ClusterFiles implements SourceOpener {
  /** How far from its beginning or end a file bears a mark. */
  private static final int MARKED = 4_096;

  private final Configuration hadoop;
  private final Path study;
  private final CountSource rows;

  ClusterFiles(Configuration hadoop, String study, CountSource rows) {
    this.hadoop = hadoop;
    this.study = parsed(study);
    this.rows = rows;
  }

  private static Path parsed(String written) {
    try {
      return new Path(written);
    } catch (IllegalArgumentException e) {
      throw new SpecException("'%s' is no path: %s", written, e.getMessage());
    }
  }

  /** The name of the study in its folder. */
  String study() {
    return study.getName();
  }

  @Override
  public InputStream open(String name) throws IOException {
    @Nullable Path folder = study.getParent();
    Path file = folder == null ? parsed(name) : new Path(folder, name);
    FileSystem system = file.getFileSystem(hadoop);
    return system.open(file);
  }

  @Override
  public Optional<CountSource> source(String name) {
    return Optional.of(rows);
  }

  /** The rows of a table of the catalogue. */
  static CountSource table(SparkSession session, String name) {
    try {
      return SparkCounts.of(session.table(name)).named(name);
    } catch (Exception e) {
      throw unreadable(name, e);
    }
  }

  /** The rows of files. */
  static CountSource rows(SparkSession session, String path, Optional<String> said) {
    String name = parsed(path).getName();
    String format = said.orElseGet(() -> format(name));
    // Values in folder names are used as written: 007 is not 7.
    session.conf().set("spark.sql.sources.partitionColumnTypeInference.enabled", "false");
    try {
      if (format.equals("csv")) {
        TextParts.requireAlike(session, path);
      }
      Dataset<Row> rows =
          format.equals("csv")
              ? session
                  .read()
                  .option("header", "true")
                  .option("escape", "\"")
                  .option("multiLine", "true")
                  .option("mode", "FAILFAST")
                  .csv(path)
              : session.read().format(format).load(path);
      SparkCounts counts = SparkCounts.of(rows).named(name);
      return format.equals("csv") ? counts.asText() : counts;
    } catch (Exception e) {
      throw unreadable(path, e);
    }
  }

  /** Folders of a table have no ending, and are Parquet more often than not. */
  private static String format(String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    List<String> text = List.of(".csv", ".csv.gz", ".tsv", ".txt");
    if (lower.endsWith(".tsv") || lower.endsWith(".txt")) {
      throw new SpecException(
          "%s: text is separated by commas on a cluster; give it as .csv, Parquet or ORC", name);
    }
    return text.stream().anyMatch(lower::endsWith)
        ? "csv"
        : lower.endsWith(".orc") ? "orc" : "parquet";
  }

  /** The engine's exceptions of this kind are checked, and not declared. */
  private static DataException unreadable(String name, Exception e) {
    if (e instanceof DataException known) {
      return known;
    }
    String said = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
    return new DataException(
        DataException.Code.UNREADABLE,
        "%s can't be read on the cluster: %s",
        name,
        e instanceof AnalysisException ? said.replaceFirst("^\\[[A-Z_.]+] ", "") : said);
  }

  /**
   * Refuses to replace what a user wrote.
   *
   * @throws SpecException if there is such a file
   * @throws IOException if that can't be known
   */
  static void requireReplaceable(Configuration hadoop, String to) throws IOException {
    Path path = parsed(to);
    FileSystem system = path.getFileSystem(hadoop);
    if (system.exists(path) && !ours(system, path)) {
      throw new SpecException(
          "%s is there already and wasn't written by Tavik; name another file", to);
    }
  }

  private static boolean ours(FileSystem system, Path path) throws IOException {
    long length = system.getFileStatus(path).getLen();
    if (system.getFileStatus(path).isDirectory()) {
      return false;
    }
    try (FSDataInputStream in = system.open(path)) {
      String head = new String(in.readNBytes(MARKED), StandardCharsets.UTF_8);
      in.seek(Math.max(0, length - MARKED));
      return length == 0
          || Report.wrote(head, new String(in.readNBytes(MARKED), StandardCharsets.UTF_8));
    }
  }

  /**
   * Writes a text under a temporary name first, so that no incomplete file has this name.
   *
   * @throws IOException if it can't be written; what stood there before still does
   */
  static void write(Configuration hadoop, String to, String text) throws IOException {
    Path path = parsed(to);
    FileSystem system = path.getFileSystem(hadoop);
    system.setWriteChecksum(false);
    Path whole = system.makeQualified(path);
    Path part = new Path(whole.getParent(), "." + whole.getName() + "." + UUID.randomUUID());
    try {
      try (OutputStream out = system.create(part, false)) {
        out.write(text.getBytes(StandardCharsets.UTF_8));
      }
      FileContext.getFileContext(whole.toUri(), hadoop)
          .rename(part, whole, Options.Rename.OVERWRITE);
    } finally {
      if (system.exists(part)) {
        system.delete(part, false);
      }
    }
  }
}
