package dev.tavik.cli;

import dev.tavik.data.Opening;
import dev.tavik.data.Spec;
import dev.tavik.report.Detail;
import dev.tavik.report.FontlessMachine;
import dev.tavik.report.JsonReport;
import dev.tavik.report.Picture;
import dev.tavik.report.TextReport;
import dev.tavik.simulation.Progress;
import dev.tavik.study.Answer;
import dev.tavik.study.Question;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * Makes a question of its words, asks it and writes the answer; what can't be written is refused
 * first.
 *
 * @param terminal the surroundings
 * @param output where the answer goes
 * @param pictures which pictures are drawn
 * @param detail how much is written
 */
record Answering(Terminal terminal, OutputOptions output, PictureOptions pictures, Detail detail) {

  int answer(Spec spec, BiFunction<Spec, Opening, Question> question) {
    List<String> sources = new ArrayList<>(spec.all("data"));
    sources.addAll(spec.all("table"));
    output.check(sources);
    Map<Path, Function<Answer, Picture>> wanted = pictures.wanted(sources);
    Answer answer = asked(question.apply(spec, terminal.files()));
    int status = draw(answer, wanted);
    output.write(
        output.wantsJson()
            ? new JsonReport(detail).of(answer)
            : new TextReport(output.emphasis(terminal), output.detail(detail)).of(answer),
        terminal);
    return status;
  }

  /** A picture that can't be drawn costs the picture and a message, not the answer. */
  private int draw(Answer answer, Map<Path, Function<Answer, Picture>> wanted) {
    int status = ExitStatus.ANSWERED;
    if (!wanted.isEmpty()) {
      FontlessMachine.prepare();
    }
    for (Map.Entry<Path, Function<Answer, Picture>> each : wanted.entrySet()) {
      Path file = each.getKey();
      try {
        Picture drawn = each.getValue().apply(answer);
        output.picture(file, OutputOptions.ending(file).equals(".svg") ? drawn.svg() : drawn.png());
      } catch (IllegalArgumentException e) {
        status = Math.max(status, ExitStatus.USAGE);
        output.undrawn(file + " is not drawn: " + e.getMessage());
      } catch (RuntimeException | LinkageError | VirtualMachineError e) {
        status = ExitStatus.FAULT;
        output.undrawn(file + " could not be drawn: " + e.getMessage());
      }
    }
    return status;
  }

  private Answer asked(Question question) {
    if (!Boolean.getBoolean("tavik.progress")) {
      return question.ask();
    }
    DrawingShown shown = new DrawingShown(terminal.err());
    try {
      return Progress.told(shown, question::ask);
    } finally {
      shown.wipe();
    }
  }
}
