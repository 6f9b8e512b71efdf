package dev.tavik.answer;

import java.util.List;

/**
 * Answers that make up another: of groups, of pairs. Readers see them in tables of their own.
 *
 * @param key the key of their figures
 * @param names what each is called
 * @param answers the answers
 */
public record Parts(String key, List<String> names, List<Answer> answers) implements Finding {
  /** Keeps the answers, each with a name. */
  public Parts {
    names = List.copyOf(names);
    answers = List.copyOf(answers);
    if (names.size() != answers.size()) {
      throw new IllegalArgumentException(
          "there must be a name for each of " + answers.size() + " answers, got " + names.size());
    }
  }

  @Override
  public Value figures() {
    return figures(Detail.FINDINGS);
  }

  Value figures(Detail detail) {
    return Value.list(answers, answer -> answer.figures(detail));
  }
}
