package dev.tavik.answer;

import static dev.tavik.result.Figures.require;

import java.util.List;

/**
 * Holds answers that make up another: of groups, of pairs. Readers see them in tables of their own.
 *
 * @param key the key of their figures
 * @param names what each is called
 * @param answers the answers
 */
public record SubAnswers(String key, List<String> names, List<Answer> answers) implements Finding {
  /** Keeps the answers, each with a name. */
  public SubAnswers {
    names = List.copyOf(names);
    answers = List.copyOf(answers);
    require(
        names.size() == answers.size(),
        "there must be a name for each of %s answers, got %s",
        answers.size(),
        names.size());
  }

  @Override
  public Value figures() {
    return figures(Detail.FINDINGS);
  }

  Value figures(Detail detail) {
    return Value.list(answers, answer -> answer.figures(detail));
  }
}
