package dev.tavik.cli;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Illustration;
import dev.tavik.chart.Charts;
import dev.tavik.chart.FontlessMachine;
import java.util.List;
import java.util.function.Function;

/** Draws the pictures that a report shows; where that fails, the report is written without them. */
final class ReportPictures {
  private ReportPictures() {}

  /** All pictures of an answer. */
  static List<Illustration> all(Answer answer, OutputOptions output) {
    return drawn(answer, output, Charts::of, "");
  }

  /**
   * The main picture of an answer.
   *
   * @param number its number in a study, with which its file begins
   */
  static List<Illustration> main(Answer answer, int number, OutputOptions output) {
    return drawn(answer, output, Charts::main, number + "-");
  }

  private static List<Illustration> drawn(
      Answer answer,
      OutputOptions output,
      Function<Answer, List<Illustration>> charts,
      String prefix) {
    if (!output.report().illustrated()) {
      return List.of();
    }
    FontlessMachine.prepare();
    try {
      return output.illustrated(charts.apply(answer), prefix);
    } catch (RuntimeException | LinkageError | VirtualMachineError e) {
      if (FileBatch.ended()) {
        // The virtual machine draws nothing any more; what is written without pictures misleads.
        throw new UnwrittenException("the program was told to end; nothing was written");
      }
      output.undrawn("the report lacks pictures, they could not be drawn: " + e.getMessage());
      return List.of();
    }
  }
}
