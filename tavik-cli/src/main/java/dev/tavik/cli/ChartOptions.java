package dev.tavik.cli;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.chart.Chart;
import dev.tavik.chart.FontlessMachine;
import dev.tavik.chart.Picture;
import dev.tavik.data.study.Spec;
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
  private static final Pattern NAMED = Pattern.compile("([a-z-]+)=(.+)");

  /** The word that asks for the view that a picture shows, and what it says. */
  private static final Map<Chart, Map.Entry<String, String>> VIEWS =
      Map.of(
          Chart.BELIEF, Map.entry("bayes", "true"),
          Chart.PRIORS, Map.entry("bayes", "true"),
          Chart.SEQUENCE, Map.entry("sequence", "true"),
          Chart.SIMULATION, Map.entry("simulate", "100000"));

  private record Wanted(Optional<Chart> chart, Path file) {}

  private final String kind;
  private final List<Wanted> wanted = new ArrayList<>();
  private final @Nullable Path folder;

  ChartOptions(String kind, ParseResult parsed) {
    this.kind = kind;
    this.folder = parsed.matchedOptionValue("--charts", (Path) null);
    for (String each : parsed.matchedOptionValue("--chart", new String[0])) {
      Matcher named = NAMED.matcher(each);
      wanted.add(
          named.matches()
              ? new Wanted(Optional.of(Chart.named(named.group(1), kind)), Path.of(named.group(2)))
              : new Wanted(Optional.empty(), Path.of(each)));
    }
  }

  static List<OptionSpec> of(String kind) {
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
            .build());
  }

  /** Returns the words with those added that ask for the views of the pictures. */
  Spec asking(Spec spec) {
    Spec more = spec;
    for (Wanted each : wanted) {
      Map.Entry<String, String> view = each.chart().map(VIEWS::get).orElse(null);
      if (view != null && !more.has(view.getKey())) {
        more = more.with(view.getKey(), view.getValue());
      }
    }
    return more;
  }

  void check(List<String> sources) {
    Map<Path, Wanted> files = new LinkedHashMap<>();
    for (Wanted each : wanted) {
      OutputOptions.requireEnding("--chart", each.file(), ENDINGS);
      OutputOptions.requireWritable("--chart", each.file(), sources);
      if (files.put(each.file(), each) != null) {
        throw new IllegalArgumentException(
            "pictures must go to different files, got " + each.file() + " twice");
      }
    }
    Path into = folder;
    if (into != null && !Files.isDirectory(into)) {
      throw new IllegalArgumentException("--charts must name a folder, got " + into);
    }
  }

  /** Draws what is wanted; what can't be drawn costs the status, not the answer. */
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

  private static void draw(Chart chart, Answer answer, Path file, OutputOptions output) {
    Picture picture = chart.of(answer);
    output.beside(file, OutputOptions.ending(file).equals(".svg") ? picture.svg() : picture.png());
  }
}
