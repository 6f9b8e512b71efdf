package dev.tavik.cli;

import dev.tavik.report.IntervalPicture;
import dev.tavik.report.NullPicture;
import dev.tavik.report.Picture;
import dev.tavik.study.Answer;
import dev.tavik.study.SimulatedAnswer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options that say which pictures are drawn into which files. */
class PictureOptions {
  private static final List<String> ENDINGS = List.of(".png", ".svg");

  @Option(
      names = "--chart",
      paramLabel = "FILE",
      description =
          "Draw the intervals, or the shares of each row of a table, into a .png or .svg file.")
  @Nullable Path chart;

  @Option(
      names = "--null-chart",
      paramLabel = "FILE",
      description =
          "Draw what to expect under the null, the p-value shaded, into a .png or .svg file.")
  @Nullable Path nullChart;

  /** Further pictures of a command, by its options. */
  private final List<Further> further = new ArrayList<>();

  private record Further(String option, Path file, Function<Answer, Picture> drawing) {}

  /** Adds a picture that only some commands have, where its option was given. */
  void also(String option, @Nullable Path file, Function<Answer, Picture> drawing) {
    if (file != null) {
      further.add(new Further(option, file, drawing));
    }
  }

  /** What is to be drawn into which file; what can't be written is refused. */
  Map<Path, Function<Answer, Picture>> wanted(List<String> sources) {
    Map<Path, Function<Answer, Picture>> wanted = new LinkedHashMap<>();
    add("--chart", chart, IntervalPicture::of, sources, wanted);
    add("--null-chart", nullChart, NullPicture::of, sources, wanted);
    further.forEach(each -> add(each.option(), each.file(), each.drawing(), sources, wanted));
    return wanted;
  }

  static void add(
      String option,
      @Nullable Path file,
      Function<Answer, Picture> drawing,
      List<String> sources,
      Map<Path, Function<Answer, Picture>> wanted) {
    if (file != null) {
      OutputOptions.requireEnding(option, file, ENDINGS);
      OutputOptions.requireWritable(option, file, sources);
      Function<Answer, Picture> ofFormula =
          answer -> drawing.apply(answer instanceof SimulatedAnswer both ? both.answer() : answer);
      boolean simulated = option.equals("--simulation-chart");
      if (wanted.put(file, simulated ? drawing : ofFormula) != null) {
        throw new IllegalArgumentException(
            "pictures must go to different files, got " + file + " twice");
      }
    }
  }
}
