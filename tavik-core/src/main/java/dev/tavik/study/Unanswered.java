package dev.tavik.study;

/**
 * A question of a study that couldn't be asked.
 *
 * @param question the kind of question
 * @param label the analyst's name for it, empty if none was given
 * @param code a stable name of the trouble, for programs
 * @param message what was found and what would be accepted
 */
public record Unanswered(String question, String label, String code, String message)
    implements Answer {
  @Override
  public String conclusion() {
    return "Not answered: " + message;
  }
}
