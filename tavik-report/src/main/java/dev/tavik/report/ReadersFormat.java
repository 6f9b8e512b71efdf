package dev.tavik.report;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import java.util.function.Function;

/**
 * A form for readers, who see the table of all tests above the answers: these are kept aside until
 * all are made.
 */
interface ReadersFormat extends ReportFormat {
  /** What stands above the answers. */
  String opening(StudyAnswer decided);

  /** One of them, numbered from 1. */
  String chapter(Chapter chapter, int number);

  /** What stands below. */
  String closing(StudyAnswer decided);

  @Override
  default StudyAnswer write(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    try (Spool spool = new Spool()) {
      StudyAnswer decided = chapters(study, detail, pictures, (text, number) -> spool.add(text));
      Writer to = pages.report();
      to.write(opening(decided));
      spool.copyTo(to);
      to.write(closing(decided));
      return decided;
    }
  }

  /** Takes the text of a chapter. */
  interface Taking {
    void take(String chapter, int number) throws IOException;
  }

  /** Writes every chapter; one that can't be written is replaced by a fault. */
  default StudyAnswer chapters(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Taking taking) {
    int[] number = {0};
    return study
        .ask()
        .apply(
            answer -> {
              String[] text = {""};
              number[0]++;
              List<Illustration> drawn = pictures.apply(answer);
              Answer sound =
                  StudyAnswer.written(
                      answer,
                      each ->
                          text[0] = chapter(Chapter.of(each, detail, number[0], drawn), number[0]));
              if (sound != answer) {
                text[0] = chapter(Chapter.of(sound, detail, number[0], drawn), number[0]);
              }
              try {
                taking.take(text[0], number[0]);
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
              return sound.decided();
            });
  }
}
