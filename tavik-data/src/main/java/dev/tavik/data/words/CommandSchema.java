package dev.tavik.data.words;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Lists the words of one kind of question, with its purpose and examples. */
public final class CommandSchema {
  private final String kind;
  private final String purpose;
  private final Consumer<Catalogue.Taker> written;
  private final List<Parameter> words = new ArrayList<>();
  private final Set<String> keys = new LinkedHashSet<>();
  private final List<String> examples = new ArrayList<>();
  private Optional<Parameter> positional = Optional.empty();
  private boolean read;

  /** Creates a schema whose parameters are read when they are first needed. */
  CommandSchema(String kind, String purpose, Consumer<Catalogue.Taker> written) {
    this.kind = kind;
    this.purpose = purpose;
    this.written = written;
  }

  private synchronized CommandSchema read() {
    if (!read) {
      written.accept(new Reader());
      read = true;
    }
    return this;
  }

  private final class Reader implements Catalogue.Taker {
    @Override
    public void word(Parameter word) {
      words.add(word);
    }

    @Override
    public void positional(Parameter word) {
      positional = Optional.of(word);
    }

    @Override
    public void key(String name) {
      keys.add(name);
    }

    @Override
    public void example(String line) {
      examples.add(line);
    }
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
  public List<Parameter> words() {
    return List.copyOf(read().words);
  }

  /** {@return the word for what stands without an option, such as counts} */
  public Optional<Parameter> positional() {
    return read().positional;
  }

  /** {@return examples of commands} */
  public List<String> examples() {
    return List.copyOf(read().examples);
  }

  /** {@return the names of all words: of options, of what stands without one, of studies} */
  public Set<String> names() {
    Set<String> names = words().stream().map(Parameter::name).collect(Collectors.toSet());
    positional.map(Parameter::name).ifPresent(names::add);
    names.addAll(keys);
    return Set.copyOf(names);
  }
}
