package dev.tavik.cli;

import dev.tavik.data.Spec;
import dev.tavik.report.Detail;
import dev.tavik.report.IntervalPicture;
import dev.tavik.report.JsonReport;
import dev.tavik.report.NullPicture;
import dev.tavik.report.Picture;
import dev.tavik.report.TextReport;
import dev.tavik.study.Answer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Options that say how an answer is shown, in words, pictures or JSON. */
final class AnswerOptions {
  private static final List<String> PICTURES = List.of(".png", ".svg");

  @Option(
      names = "--working",
      description =
          "Show z tests and closed-form intervals by hand, every formula with its numbers.")
  boolean working;

  @Option(
      names = "--chart",
      paramLabel = "FILE",
      description = "Draw the intervals into a .png or .svg file.")
  @Nullable Path chart;

  @Option(
      names = "--null-chart",
      paramLabel = "FILE",
      description =
          "Draw what to expect under the null, the p-value shaded, into a .png or .svg file.")
  @Nullable Path nullChart;

  @Mixin OutputOptions output;

  /** Refuses what can't be written, asks, and writes. */
  int answer(Spec spec, Supplier<Answer> question, Terminal terminal) {
    List<String> sources = new ArrayList<>(spec.all("data"));
    sources.addAll(spec.all("table"));
    output.check(sources);
    Map<Path, Function<Answer, Picture>> pictures = new LinkedHashMap<>();
    picture("--chart", chart, IntervalPicture::of, sources, pictures);
    picture("--null-chart", nullChart, NullPicture::of, sources, pictures);
    Answer answer = question.get();
    pictures.forEach(
        (file, drawing) -> {
          Picture drawn = drawing.apply(answer);
          output.picture(
              file, OutputOptions.ending(file).equals(".svg") ? drawn.svg() : drawn.png());
        });
    Detail detail = working ? Detail.WORKING : Detail.FINDINGS;
    output.write(
        output.wantsJson()
            ? new JsonReport(detail).of(answer)
            : new TextReport(output.emphasis(terminal), detail).of(answer),
        terminal);
    return ExitStatus.ANSWERED;
  }

  private static void picture(
      String option,
      @Nullable Path file,
      Function<Answer, Picture> drawing,
      List<String> sources,
      Map<Path, Function<Answer, Picture>> pictures) {
    if (file != null) {
      OutputOptions.requireEnding(option, file, PICTURES);
      OutputOptions.requireWritable(option, file, sources);
      if (pictures.put(file, drawing) != null) {
        throw new IllegalArgumentException(
            "--chart and --null-chart must name different files, got " + file + " for both");
      }
    }
  }
}
