package dev.tavik.cli;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.chart.Chart;
import dev.tavik.chart.FontlessMachine;
import dev.tavik.chart.Picture;
import dev.tavik.data.study.QuestionArguments;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParseResult;

/** The pictures that are wanted: the main one, others by name, or all of them. */
final class ChartOptions {
  private static final List<String> ENDINGS = List.of(".png", ".svg");

  /** What they are called. */
  static final List<String> NAMES = List.of("chart", "charts", "size");

  private static final Pattern SIZE = Pattern.compile("(\\d{1,5})[xX](\\d{1,5})");
  private static final Pattern NAMED = Pattern.compile("([a-z-]+)=(.+)");

  /** The word that asks for the view that a picture shows, and what it says. */
  private static final Map<Chart, Map.Entry<String, String>> VIEWS =
      Map.of(
          Chart.BELIEF, Map.entry("bayes", "true"),
          Chart.PRIORS, Map.entry("bayes", "true"),
          Chart.SEQUENCE, Map.entry("sequence", "true"),
          Chart.SIMULATION, Map.entry("simulate", "100000"));

  private record Wanted(Optional<Chart> chart, Path file) {}

  private final AnswerKind kind;
  private final List<Wanted> wanted = new ArrayList<>();
  private final @Nullable Path folder;
  private final @Nullable String size;

  ChartOptions(AnswerKind kind, ParseResult parsed) {
    this.kind = kind;
    this.folder = parsed.matchedOptionValue("--charts", (Path) null);
    this.size = parsed.matchedOptionValue("--size", (String) null);
    for (String each : parsed.matchedOptionValue("--chart", new String[0])) {
      Matcher named = NAMED.matcher(each);
      wanted.add(
          named.matches()
              ? new Wanted(Optional.of(Chart.named(named.group(1), kind)), Path.of(named.group(2)))
              : new Wanted(Optional.empty(), Path.of(each)));
    }
  }

  static List<OptionSpec> of(AnswerKind kind) {
    List<Chart> charts = Chart.of(kind);
    if (charts.isEmpty()) {
      return List.of();
    }
    String others =
        charts.size() == 1
            ? charts.get(0).description() + "."
            : say(
                "the main picture; with a name another: %s. May be given several times.",
                charts.stream()
                    .map(chart -> chart.id() + " (" + chart.description() + ")")
                    .collect(Collectors.joining("; ")));
    return List.of(
        OptionSpec.builder("--chart")
            .type(String[].class)
            .arity("1")
            .paramLabel(charts.size() == 1 ? "FILE" : "[NAME=]FILE")
            .description("Draw into a .png or .svg file: " + others)
            .build(),
        OptionSpec.builder("--charts")
            .type(Path.class)
            .paramLabel("FOLDER")
            .description("Draw all pictures that the answer has into a folder, as .svg files.")
            .build(),
        OptionSpec.builder("--size")
            .type(String.class)
            .paramLabel("WIDTHxHEIGHT")
            .description(
                "The size of pictures, 240 to 4000 each way; a .png has two pixels to each unit.")
            .build());
  }

  /** Returns the words with those added that ask for the views of the pictures. */
  QuestionArguments asking(QuestionArguments spec) {
    QuestionArguments more = spec;
    for (Wanted each : wanted) {
      Map.Entry<String, String> view = each.chart().map(VIEWS::get).orElse(null);
      if (view != null && !more.has(view.getKey())) {
        more = more.with(view.getKey(), view.getValue());
      }
    }
    return more;
  }

  void check(List<String> sources, OutputOptions output) {
    requireSize();
    Map<Path, Wanted> files = new LinkedHashMap<>();
    for (Wanted each : wanted) {
      OutputOptions.requireEnding("--chart", each.file(), ENDINGS);
      OutputOptions.requireWritable("--chart", each.file(), sources);
      output.requireReplaceable("--chart", each.file());
      if (files.put(each.file(), each) != null) {
        throw new IllegalArgumentException(
            "pictures must go to different files, got " + each.file() + " twice");
      }
    }
    Path into = folder;
    if (into != null && Files.exists(into) && !Files.isDirectory(into)) {
      throw new IllegalArgumentException("--charts must name a folder, got the file " + into);
    }
    Path above = into == null ? null : into.toAbsolutePath().getParent();
    if (into != null && !Files.exists(into) && (above == null || !Files.isDirectory(above))) {
      throw new IllegalArgumentException(
          "--charts: there is no folder " + above + " to make it in");
    }
    if (into != null) {
      Chart.of(kind)
          .forEach(each -> output.requireReplaceable("--charts", into.resolve(each.id() + ".svg")));
    }
  }

  /** Draws the requested pictures; a failure changes the exit status, not the answer. */
  int draw(Answer answer, OutputOptions output) {
    if (!wanted.isEmpty() || folder != null) {
      FontlessMachine.prepare();
    }
    int status = ExitStatus.ANSWERED;
    for (Wanted each : wanted) {
      Chart chart = each.chart().orElseGet(() -> Chart.main(answer));
      try {
        draw(chart, answer, each.file(), output);
      } catch (IllegalArgumentException e) {
        status = Math.max(status, ExitStatus.USAGE);
        output.undrawn(each.file() + " is not drawn: " + e.getMessage());
      } catch (RuntimeException | LinkageError | VirtualMachineError e) {
        status = ExitStatus.FAULT;
        output.undrawn(each.file() + " could not be drawn: " + e.getMessage());
      }
    }
    return Math.max(status, drawAll(answer, output));
  }

  private int drawAll(Answer answer, OutputOptions output) {
    Path into = folder;
    if (into == null) {
      return ExitStatus.ANSWERED;
    }
    int drawn = 0;
    for (Chart chart : Chart.of(kind)) {
      try {
        draw(chart, answer, into.resolve(chart.id() + ".svg"), output);
        drawn++;
      } catch (IllegalArgumentException e) {
        // Not every answer has every picture.
      } catch (RuntimeException | LinkageError | VirtualMachineError e) {
        output.undrawn(chart.id() + " could not be drawn: " + e.getMessage());
        return ExitStatus.FAULT;
      }
    }
    if (drawn > 0) {
      return ExitStatus.ANSWERED;
    }
    output.undrawn("nothing is drawn into " + into + ": the answer has no picture");
    return ExitStatus.USAGE;
  }

  private void requireSize() {
    String wanted = size;
    require(
        wanted == null || SIZE.matcher(wanted).matches(),
        "--size must be WIDTHxHEIGHT, such as 960x540, got '%s'",
        wanted);
    require(
        wanted == null || !this.wanted.isEmpty() || folder != null,
        "--size needs a picture, --chart or --charts");
  }

  private Picture sized(Picture picture) {
    Matcher parts = SIZE.matcher(size == null ? "" : size);
    return parts.matches()
        ? picture.sized(Integer.parseInt(parts.group(1)), Integer.parseInt(parts.group(2)))
        : picture;
  }

  private void draw(Chart chart, Answer answer, Path file, OutputOptions output) {
    Picture picture = sized(chart.of(answer));
    output.beside(file, OutputOptions.ending(file).equals(".svg") ? picture.svg() : picture.png());
    String lacking = picture.lacking();
    if (!lacking.isEmpty() && OutputOptions.ending(file).equals(".png")) {
      output.undrawn(
          file
              + " shows boxes for characters that its font lacks: "
              + lacking
              + "; an .svg has them");
    }
  }
}
