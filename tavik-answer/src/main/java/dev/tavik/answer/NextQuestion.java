package dev.tavik.answer;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A question that an answer leads to, in the words of its kind; only where it is printed it becomes
 * a command line.
 *
 * @param kind the kind of question
 * @param given what stands without a name, such as {@code North=14/400}
 * @param words the values of the other words, by their names
 */
public record NextQuestion(AnswerKind kind, List<String> given, Map<String, String> words) {
  /** Copies the parts. */
  public NextQuestion {
    given = List.copyOf(given);
    words = Collections.unmodifiableMap(new LinkedHashMap<>(words));
  }

  /**
   * {@return a question without other words}
   *
   * @param kind the kind of question
   * @param given what stands without a name
   */
  public static NextQuestion of(AnswerKind kind, String... given) {
    return new NextQuestion(kind, List.of(given), Map.of());
  }

  /**
   * {@return the same question with one more word}
   *
   * @param word its name
   * @param value its value
   */
  public NextQuestion with(String word, Object value) {
    Map<String, String> more = new LinkedHashMap<>(words);
    more.put(word, String.valueOf(value));
    return new NextQuestion(kind, given, more);
  }

  /** {@return the command that asks it, in a form that a shell takes whatever its values are} */
  public String command() {
    StringBuilder line = new StringBuilder("tavik ").append(kind.id());
    given.forEach(each -> line.append(' ').append(ShellWord.quoted(each)));
    words.forEach(
        (name, value) ->
            line.append(" --").append(name).append(' ').append(ShellWord.quoted(value)));
    return line.toString();
  }
}
