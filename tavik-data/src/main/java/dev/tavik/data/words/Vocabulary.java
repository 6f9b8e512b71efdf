package dev.tavik.data.words;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Lists the words of one kind of question, with its purpose and examples. */
public final class Vocabulary {
  private final String kind;
  private final String purpose;
  private final List<Word> words = new ArrayList<>();
  private final Set<String> keys = new LinkedHashSet<>();
  private final List<String> examples = new ArrayList<>();
  private Optional<Word> positional = Optional.empty();

  private Vocabulary(String kind, String purpose) {
    this.kind = kind;
    this.purpose = purpose;
  }

  static Vocabulary of(String kind, String purpose) {
    return new Vocabulary(kind, purpose);
  }

  void with(Word word) {
    words.add(word);
  }

  void positional(Word word) {
    positional = Optional.of(word);
  }

  /** Adds a key that studies have and command lines don't. */
  void key(String name) {
    keys.add(name);
  }

  void example(String line) {
    examples.add(line);
  }

  /** {@return the kind of question, such as {@code compare}} */
  public String kind() {
    return kind;
  }

  /** {@return what such a question is for} */
  public String purpose() {
    return purpose;
  }

  /** {@return the words that are options, in the order in which help shows them} */
  public List<Word> words() {
    return List.copyOf(words);
  }

  /** {@return the word for what stands without an option, such as counts} */
  public Optional<Word> positional() {
    return positional;
  }

  /** {@return examples of commands} */
  public List<String> examples() {
    return List.copyOf(examples);
  }

  /** {@return the names of all words: of options, of what stands without one, of studies} */
  public Set<String> names() {
    Set<String> names = words.stream().map(Word::name).collect(Collectors.toSet());
    positional.map(Word::name).ifPresent(names::add);
    names.addAll(keys);
    return Set.copyOf(names);
  }
}
