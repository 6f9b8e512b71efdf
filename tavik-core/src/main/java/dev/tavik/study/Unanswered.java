package dev.tavik.study;

import dev.tavik.result.DeclinedException;

/**
 * A question of a study that couldn't be asked, or failed while it was.
 *
 * @param question the kind of question
 * @param label the analyst's name for it, empty if none was given
 * @param code a stable name of the trouble, for programs
 * @param message what was found and what would be accepted
 */
public record Unanswered(String question, String label, String code, String message)
    implements Answer {
  /** The code of a question that can't be answered as it was put. */
  public static final String REFUSED = "question-refused";

  /** The code of a fault in Tavik itself. */
  public static final String FAULT = "fault";

  /**
   * Asks a question that belongs to others, so that its trouble doesn't cost their answers.
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
    } catch (IllegalArgumentException | DeclinedException e) {
      return new Unanswered(kind, label, REFUSED, where + e.getMessage());
    } catch (OutOfMemoryError e) {
      throw e;
    } catch (RuntimeException | Error e) {
      return new Unanswered(kind, label, FAULT, where + "a fault in Tavik, not in your data: " + e);
    }
  }

  @Override
  public String conclusion() {
    return "Not answered: " + message;
  }
}
