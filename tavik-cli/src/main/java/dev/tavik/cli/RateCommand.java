package dev.tavik.cli;

import dev.tavik.data.RateSpec;
import dev.tavik.data.Spec;
import dev.tavik.report.Detail;
import dev.tavik.report.IntervalPicture;
import dev.tavik.report.JsonReport;
import dev.tavik.report.NullPicture;
import dev.tavik.report.Picture;
import dev.tavik.report.TextReport;
import dev.tavik.study.Answer;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Is one proportion different from a value? */
@Command(
    name = "rate",
    description = "Is a proportion different from a value?",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik rate 14/400 --against 5%% --alternative less",
      "  tavik rate North=14/400 South=31/410 --against 5%%",
      "  tavik rate --data firing-log.csv --outcome grade --success cracked,warped \\",
      "    --against 8%% --group kiln"
    })
final class RateCommand implements Callable<Integer> {
  private static final List<String> PICTURES = List.of(".png", ".svg");

  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "[NAME=]SUCCESSES/TRIALS",
      arity = "0..*",
      description = "Counts in place of a file: 14/400; several with names.")
  String @Nullable [] tallies;

  @Mixin HypothesisOptions hypothesis;

  @Mixin DataOptions data;

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

  RateCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    Spec spec = Words.of(command, RateSpec.WORDS);
    output.check(spec.all("data"));
    Map<Path, Function<Answer, Picture>> pictures = pictures(spec);
    Answer answer = RateSpec.question(spec, terminal.files()).ask();
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

  /** What is to be drawn into which file, checked before anything is computed. */
  private Map<Path, Function<Answer, Picture>> pictures(Spec spec) {
    Map<Path, Function<Answer, Picture>> pictures = new LinkedHashMap<>();
    picture("--chart", chart, IntervalPicture::of, spec, pictures);
    picture("--null-chart", nullChart, NullPicture::of, spec, pictures);
    return pictures;
  }

  private static void picture(
      String option,
      @Nullable Path file,
      Function<Answer, Picture> drawing,
      Spec spec,
      Map<Path, Function<Answer, Picture>> pictures) {
    if (file != null) {
      OutputOptions.requireEnding(option, file, PICTURES);
      OutputOptions.requireWritable(option, file, spec.all("data"));
      if (pictures.put(file, drawing) != null) {
        throw new IllegalArgumentException(
            "--chart and --null-chart must name different files, got " + file + " for both");
      }
    }
  }
}
