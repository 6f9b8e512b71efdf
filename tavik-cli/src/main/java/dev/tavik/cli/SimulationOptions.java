package dev.tavik.cli;

import dev.tavik.report.SimulationPicture;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options of the simulated view. Their values are read as words of a spec. */
final class SimulationOptions {
  @Option(
      names = "--simulate",
      paramLabel = "N",
      description =
          "Draw N worlds in which the null is true, and count how many look as extreme: 100000 or"
              + " 1e6.")
  @Nullable String simulate;

  @Option(
      names = "--seed",
      paramLabel = "S",
      description = "Where the random numbers start; the same seed gives the same answer.")
  @Nullable String seed;

  @Option(
      names = "--until-clear",
      description = "Stop drawing once it is clear on which side of alpha p lies; N is the most.")
  boolean untilClear;

  @Option(
      names = "--simulation-chart",
      paramLabel = "FILE",
      description = "Draw what was simulated into a .png or .svg file.")
  @Nullable Path chart;

  /** The picture asked for. */
  void draw(PictureOptions pictures) {
    pictures.also("--simulation-chart", chart, SimulationPicture::of);
  }
}
