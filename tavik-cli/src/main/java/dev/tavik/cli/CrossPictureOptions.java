package dev.tavik.cli;

import dev.tavik.report.CrossPicture;
import dev.tavik.report.Picture;
import dev.tavik.study.Answer;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** The pictures of a table: also where it departs from independence. */
final class CrossPictureOptions extends PictureOptions {
  @Option(
      names = "--mosaic",
      paramLabel = "FILE",
      description = "Draw where the counts depart from independence into a .png or .svg file.")
  @Nullable Path mosaic;

  @Override
  Map<Path, Function<Answer, Picture>> wanted(List<String> sources) {
    Map<Path, Function<Answer, Picture>> wanted = super.wanted(sources);
    add("--mosaic", mosaic, CrossPicture::mosaic, sources, wanted);
    return wanted;
  }
}
