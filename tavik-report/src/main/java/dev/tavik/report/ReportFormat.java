package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.util.List;
import java.util.function.Function;

/** How a document is written in one form. */
interface ReportFormat {
  /** Writes one answer, or what is in a file of data. */
  String write(Document document);

  /**
   * Writes the answers to a study as they are made; returns what was decided.
   *
   * @param pictures the pictures of an answer
   */
  StudyAnswer write(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException;
}
