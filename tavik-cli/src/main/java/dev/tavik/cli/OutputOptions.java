package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.report.Pages;
import dev.tavik.report.Report;
import dev.tavik.report.Visible;
import dev.tavik.result.Figures;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.ISetter;
import picocli.CommandLine.Model.OptionSpec;

/** Options that say where an answer goes. */
final class OutputOptions {
  private static final List<String> FORMS =
      Arrays.stream(Report.values()).map(Report::ending).toList();

  /** How to see the whole of an answer that is shortened on the screen. */
  static final String WHOLE = "--out FILE, or --json";

  private static final int MOST_TOLD = 12;

  boolean json;
  @Nullable Path out;
  boolean overwrite;

  /** Where files go while a study is written; its files are too many to keep in memory. */
  private @Nullable FileBatch batch;

  private final Map<Path, byte[]> beside = new LinkedHashMap<>();
  private final Set<String> undrawn = new LinkedHashSet<>();

  /**
   * Adds the options to a command. They aren't annotated, because reading annotations slows the
   * start.
   */
  void addTo(CommandSpec command) {
    String forms =
        FORMS.stream().map(ending -> ending.substring(1)).collect(Collectors.joining(", "));
    command.addOption(
        flag("--json", value -> json = value).description("Print the answer as JSON.").build());
    command.addOption(
        OptionSpec.builder("--out")
            .type(Path.class)
            .paramLabel("FILE")
            .setter(setter((Path value) -> out = value))
            .description("Write the answer to a file that ends in " + forms + ".")
            .build());
    command.addOption(
        flag("--overwrite", value -> overwrite = value)
            .description("Replace files that Tavik didn't write, too; its own it replaces anyway.")
            .build());
    command.addOption(help());
  }

  /** Help, as every command has it. */
  static OptionSpec help() {
    return flag("--help", value -> {})
        .names("-h", "--help")
        .usageHelp(true)
        .description("Show this help.")
        .build();
  }

  static OptionSpec.Builder flag(String name, Consumer<Boolean> to) {
    return OptionSpec.builder(name).type(boolean.class).arity("0").setter(setter(to));
  }

  private static <T> ISetter setter(Consumer<T> to) {
    return new ISetter() {
      @Override
      @SuppressWarnings({"unchecked", "TypeParameterUnusedInFormals"})
      public <V> V set(V value) {
        if (value != null) {
          to.accept((T) value);
        }
        return value;
      }
    };
  }

  /**
   * Refuses what can't be written, before anything is computed.
   *
   * @param sources the files that are read, which must not be written to
   */
  void check(List<String> sources) {
    Path file = out;
    if (file == null) {
      return;
    }
    requireEnding("--out", file, FORMS);
    require(
        !json || ending(file).equals(".json"),
        "--json and --out %s contradict one another; name a .json file or drop --json",
        file);
    requireWritable("--out", file, sources);
    requireReplaceable("--out", file);
  }

  /** Refuses to replace a file that has no mark of Tavik's, unless that is asked for. */
  void requireReplaceable(String option, Path file) {
    require(
        overwrite || !Files.isRegularFile(file) || FileWriting.ours(file),
        "%s: there is a file %s that Tavik didn't write; name another, or add --overwrite",
        option,
        file);
  }

  static void requireEnding(String option, Path file, List<String> endings) {
    require(
        endings.contains(ending(file)),
        "%s must end in %s, got %s",
        option,
        String.join(" or ", endings),
        file);
  }

  static void requireWritable(String option, Path file, List<String> sources) {
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new IllegalArgumentException(option + ": there is no folder " + folder);
    }
    require(!Files.isDirectory(file), "%s must name a file, got the folder %s", option, file);
    require(
        Files.isWritable(Files.exists(file) ? file : folder),
        "%s: no permission to write %s",
        option,
        file);
    for (String source : sources) {
      require(
          !same(file, Path.of(source)),
          "%s would overwrite %s, which is being read",
          option,
          source);
    }
  }

  private static boolean same(Path first, Path second) {
    try {
      return Files.exists(first) && Files.exists(second) && Files.isSameFile(first, second);
    } catch (IOException e) {
      return false;
    }
  }

  static String ending(Path file) {
    String name = file.getFileName() == null ? "" : file.getFileName().toString();
    int dot = name.lastIndexOf('.');
    return dot < 0 ? "" : name.substring(dot).toLowerCase(Locale.ROOT);
  }

  /** Whether the answer is for a reader at a terminal. */
  boolean onScreen() {
    return out == null && !json;
  }

  /** A file has room for every row, which a screen has not. */
  Detail detail(Detail asked) {
    return out != null && asked == Detail.FINDINGS ? Detail.EVERY_ROW : asked;
  }

  Report report() {
    Path file = out;
    if (json) {
      return Report.JSON;
    }
    return file == null ? Report.TEXT : Report.of(file.toString()).orElse(Report.TEXT);
  }

  /** Adds what is written together with the answer, such as a picture. */
  void beside(Path file, byte[] bytes) {
    FileBatch files = batch;
    if (files == null) {
      beside.put(file, bytes);
    } else {
      files.write(file, bytes);
    }
  }

  /** Pictures for a report that shows them; where they lie beside it, they are written too. */
  List<Illustration> illustrated(List<Illustration> pictures, String prefix) {
    Path file = out;
    if (file == null || report() != Report.MARKDOWN) {
      return pictures;
    }
    String folder = stem(file) + "-pictures/";
    List<Illustration> placed = new ArrayList<>();
    for (Illustration each : pictures) {
      Illustration there = each.in(folder + prefix);
      Path picture = file.resolveSibling(there.file());
      requireReplaceable("--out", picture);
      beside(picture, each.svg().getBytes(StandardCharsets.UTF_8));
      placed.add(there);
    }
    return placed;
  }

  /** Records a missing picture, which is reported after the answer, once for each reason. */
  void undrawn(String why) {
    undrawn.add(why);
  }

  /** Asks the questions of a study and writes its answers as they are made. */
  StudyAnswer writeStudy(
      Study study,
      Detail detail,
      Function<Answer, List<Illustration>> pictures,
      boolean quiet,
      Terminal terminal) {
    Path file = out;
    try {
      if (file == null) {
        Writer to = quiet ? Writer.nullWriter() : terminal.out();
        StudyAnswer decided =
            json
                ? Report.JSON.write(study, detail, answer -> List.of(), Pages.of(to))
                : terminal.shown(
                    () ->
                        unchecked(() -> Report.text(study, detail, terminal.screen(), WHOLE, to)));
        to.flush();
        return decided;
      }
      requirePagesReplaceable(file);
      try (FileBatch files = new FileBatch()) {
        batch = files;
        StudyAnswer decided = toFiles(study, detail(detail), pictures, files, file, terminal);
        List<Path> written = files.commit();
        removePagesBeyond(written, file);
        told(written, quiet, terminal);
        return decided;
      } finally {
        batch = null;
      }
    } catch (IOException | UncheckedIOException e) {
      IOException cause = e instanceof UncheckedIOException wrapped ? wrapped.getCause() : null;
      throw FileWriting.unwritten(
          file == null ? Path.of("the answers") : file,
          cause != null ? cause : new IOException(e.getMessage(), e));
    }
  }

  /** Pages of an earlier report may be replaced, and no others. */
  private void requirePagesReplaceable(Path file) throws IOException {
    pages(file).forEach(each -> requireReplaceable("--out", each));
  }

  /** Removes the pages that only an earlier, longer report had. */
  private void removePagesBeyond(List<Path> written, Path file) throws IOException {
    for (Path page : pages(file)) {
      if (!written.contains(page) && FileWriting.ours(page)) {
        Files.delete(page);
      }
    }
  }

  private List<Path> pages(Path file) throws IOException {
    Path folder = file.resolveSibling(stem(file));
    if (report() != Report.HTML || !Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> pages = Files.list(folder)) {
      return pages
          .filter(each -> each.getFileName().toString().matches("page-\\d+\\.html"))
          .toList();
    }
  }

  private StudyAnswer toFiles(
      Study study,
      Detail detail,
      Function<Answer, List<Illustration>> pictures,
      FileBatch files,
      Path file,
      Terminal terminal)
      throws IOException {
    try (Writer to = writer(files.open(file))) {
      Pages pages = new BesideFile(file, to, files);
      return report() == Report.JSON
          ? report().write(study, detail, pictures, pages)
          : terminal.shown(() -> unchecked(() -> report().write(study, detail, pictures, pages)));
    }
  }

  /** Pages in a folder beside a file, which has the file's name without its ending. */
  private static final class BesideFile implements Pages {
    private final Path file;
    private final Writer to;
    private final FileBatch files;

    BesideFile(Path file, Writer to, FileBatch files) {
      this.file = file;
      this.to = to;
      this.files = files;
    }

    @Override
    public Writer report() {
      return to;
    }

    @Override
    public Writer page(String name) throws IOException {
      Path page = file.resolveSibling(stem(file)).resolve(name);
      return writer(files.open(page));
    }

    @Override
    public String folder() {
      return inLink(stem(file)) + "/";
    }

    @Override
    public String index() {
      return "../" + inLink(String.valueOf(file.getFileName()));
    }

    private static String inLink(String name) {
      return URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20");
    }
  }

  private static String stem(Path file) {
    String name = String.valueOf(file.getFileName());
    return name.substring(0, name.length() - ending(file).length());
  }

  private static Writer writer(OutputStream stream) {
    return new OutputStreamWriter(stream, StandardCharsets.UTF_8);
  }

  /** An action that may fail to write. */
  private interface Writing<T> {
    T write() throws IOException;
  }

  private static <T> T unchecked(Writing<T> work) {
    try {
      return work.write();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Writes the answer and what is beside it; a note on the error stream says which files. */
  void write(String answer, Terminal terminal) {
    write(answer, false, terminal);
  }

  /** Writes the answer, but nothing at a terminal if only the line of a gate is wanted. */
  void write(String answer, boolean quiet, Terminal terminal) {
    Path file = out;
    if (file == null) {
      terminal.out().print(quiet ? "" : answer);
      terminal.out().flush();
    }
    try (FileBatch files = new FileBatch()) {
      beside.forEach(files::write);
      if (file != null) {
        files.write(file, answer.getBytes(StandardCharsets.UTF_8));
      }
      told(files.commit(), quiet, terminal);
    }
  }

  /** Which files were written: many of one folder in one line. */
  private void told(List<Path> files, boolean quiet, Terminal terminal) {
    if (!quiet) {
      Map<String, List<Path>> folders =
          files.stream()
              .collect(
                  Collectors.groupingBy(
                      each -> String.valueOf(each.getParent()),
                      LinkedHashMap::new,
                      Collectors.toList()));
      folders.forEach(
          (folder, of) -> {
            if (of.size() > MOST_TOLD) {
              String many = Figures.count(of.size()) + " files into " + folder;
              terminal.err().println("Wrote " + Visible.of(many));
            } else {
              of.forEach(each -> terminal.err().println("Wrote " + Visible.of(each.toString())));
            }
          });
    }
    undrawn.forEach(each -> terminal.err().println("tavik: " + Visible.of(each)));
  }
}
