package dev.tavik.cli;

import dev.tavik.report.Detail;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Options that say how an answer is shown, with working, in pictures, as text or JSON. */
final class AnswerOptions {
  @Option(
      names = "--working",
      description =
          "Show z tests and closed-form intervals by hand, every formula with its numbers.")
  boolean working;

  @Mixin PictureOptions pictures;

  @Mixin OutputOptions output;

  Answering on(Terminal terminal) {
    return new Answering(terminal, output, pictures, working ? Detail.WORKING : Detail.FINDINGS);
  }
}
