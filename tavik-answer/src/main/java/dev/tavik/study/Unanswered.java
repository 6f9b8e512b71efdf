package dev.tavik.study;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Question;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.result.NotApplicableException;

/** Questions of a study that can't be asked or fail. */
public final class Unanswered {
  /** The code of a question that can't be answered as it was put. */
  public static final String REFUSED = "question-refused";

  /** The code of a fault in Tavik itself. */
  public static final String FAULT = "fault";

  private Unanswered() {}

  /**
   * Asks a question of a study, so that its failure doesn't prevent the other answers.
   *
   * @param question the question
   * @param kind the kind of question, for an answer that is none
   * @param label the analyst's name for it, empty if none was given
   * @param where its place, before the message of its trouble; may be empty
   * @return its answer, or why there is none
   */
  public static Answer orAnswer(Question question, String kind, String label, String where) {
    try {
      return question.ask();
    } catch (IllegalArgumentException | NotApplicableException e) {
      return of(question, kind, label, new Failure(REFUSED, where + message(e)));
    } catch (OutOfMemoryError e) {
      throw e;
    } catch (RuntimeException | Error e) {
      return of(
          question,
          kind,
          label,
          new Failure(FAULT, where + "a fault in Tavik, not in your data: " + e));
    }
  }

  /**
   * {@return what is wrong with a question, in words for a reader}
   *
   * @param why what it threw when it was made or asked
   */
  public static String message(RuntimeException why) {
    return why instanceof NotApplicableException declined
        ? RefusalPhrases.of(declined)
        : String.valueOf(why.getMessage());
  }

  /**
   * Says in a question's place why it has no answer.
   *
   * @param question the question
   * @param kind the kind of question
   * @param label the analyst's name for it, empty if none was given
   * @param failure why
   * @return the answer
   */
  public static Answer of(Question question, String kind, String label, Failure failure) {
    return Answer.unanswered(question, kind, label)
        .add(failure)
        .concluded(Verdict.of("Not answered: " + failure.message()));
  }
}
