package dev.tavik.data.study;

import com.google.errorprone.annotations.FormatMethod;
import dev.tavik.count.Names;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.data.words.Parameter;
import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import dev.tavik.study.InferenceSettings;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * One question as it was written, by options on a command line or by keys in a study file. Both use
 * the same words, so both become a question in the same way; only messages name them differently.
 *
 * @param values what was written under each word, in order
 * @param wording how messages name a word
 */
public record QuestionArguments(Map<String, List<String>> values, Wording wording) {

  /** The words that need no value. */
  static final Set<String> FLAGS =
      CommandSchemas.all().stream()
          .flatMap(vocabulary -> vocabulary.words().stream())
          .filter(word -> word.many() == Parameter.Many.FLAG)
          .map(Parameter::name)
          .collect(Collectors.toUnmodifiableSet());

  private static final Pattern WORD = Pattern.compile("\\{([a-z-]+)}");

  /** How messages name a word. */
  public enum Wording {
    /** As an option: {@code --against}. */
    OPTION,
    /** As a key: {@code against}. */
    KEY
  }

  /** Copies the values. */
  public QuestionArguments {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
  }

  /**
   * Words as options of a command line, for a program.
   *
   * @param words each as {@code against=5%}, or without a value where it needs none; the same again
   *     for a further value
   * @return the words
   */
  public static QuestionArguments of(String... words) {
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (String each : words) {
      int equals = each.indexOf('=');
      String name = equals < 0 ? each : each.substring(0, equals);
      values
          .computeIfAbsent(name, key -> new ArrayList<>())
          .add(equals < 0 ? "true" : each.substring(equals + 1));
    }
    return new QuestionArguments(values, Wording.OPTION);
  }

  /**
   * Returns a copy with a parameter added or changed.
   *
   * @param word the word
   * @param value its only value
   * @return the words
   */
  public QuestionArguments with(String word, String value) {
    Map<String, List<String>> more = new LinkedHashMap<>(values);
    more.put(word, List.of(value));
    return new QuestionArguments(more, wording);
  }

  /**
   * Whether a word was used.
   *
   * @param word the word
   * @return whether it has at least one value
   */
  public boolean has(String word) {
    return !all(word).isEmpty();
  }

  /**
   * The values of a word.
   *
   * @param word the word
   * @return its values, none if it wasn't used
   */
  public List<String> all(String word) {
    return values.getOrDefault(word, List.of());
  }

  /**
   * The values of a word, each split at commas. A part that has a comma itself stands in double
   * quotes: {@code "yes, often",no}.
   *
   * @param word the word
   * @return the parts without the blanks and quotes around them
   */
  public List<String> list(String word) {
    return all(word).stream().flatMap(value -> Names.parts(value).stream()).toList();
  }

  /**
   * The only value of a word.
   *
   * @param word the word
   * @return its value; null if it wasn't used
   * @throws SpecException if it was used several times
   */
  public @Nullable String text(String word) {
    List<String> all = all(word);
    if (all.size() > 1) {
      throw new SpecException(
          name(word) + " takes one value, got " + all.size() + ": " + String.join(", ", all));
    }
    return all.isEmpty() ? null : all.get(0);
  }

  /**
   * The only value of a word that must be there.
   *
   * @param word the word
   * @param why what it is for and what it looks like
   * @return its value
   * @throws SpecException if it wasn't used, or several times
   */
  public String required(String word, String why) {
    require(word, why);
    return Objects.requireNonNull(text(word));
  }

  /**
   * Refuses a question without a word.
   *
   * @param word the word that must be there, once or several times
   * @param why what it is for and what it looks like
   * @throws SpecException if it wasn't used
   */
  public void require(String word, String why) {
    if (!has(word)) {
      throw new SpecException(name(word) + " is needed: " + why);
    }
  }

  /**
   * Whether a word that needs no value is said.
   *
   * @param word the word
   * @return whether it is there and not {@code false}
   */
  public boolean flag(String word) {
    return has(word) && !all(word).equals(List.of("false"));
  }

  /**
   * How messages name a word.
   *
   * @param word the word
   * @return such as {@code --against}
   */
  public String name(String word) {
    return wording == Wording.OPTION ? "--" + word : word;
  }

  /** The proportion of a word; null if it wasn't used. */
  @Nullable Double proportion(String word) {
    String text = text(word);
    return text == null ? null : Proportion.parse(name(word), text);
  }

  /** The methods that a word lists by their ids, each once; {@code all} stands for all of them. */
  <M extends Method> List<M> methods(String word, List<M> offered) {
    return listed(word, offered, Method::id).stream().distinct().toList();
  }

  /** What a word lists by their ids; {@code all} stands for all of them. */
  <M> List<M> listed(String word, List<M> all, Function<M, String> id) {
    List<String> ids = all.stream().map(id).distinct().toList();
    List<M> chosen = new ArrayList<>();
    for (String wanted : list(word)) {
      List<M> meant =
          wanted.equals("all")
              ? all
              : all.stream().filter(each -> id.apply(each).equals(wanted)).toList();
      check(!meant.isEmpty(), "%s has no '%s'%s, all", name(word), wanted, Names.hint(wanted, ids));
      chosen.addAll(meant);
    }
    return chosen;
  }

  /** The same, or the usual ones where the word isn't used. */
  <M extends Method> List<M> methods(String word, List<M> offered, List<? extends M> usual) {
    return has(word) ? methods(word, offered) : List.copyOf(usual);
  }

  /** Settings with alpha, level, tests and intervals as these words choose them. */
  <S extends InferenceSettings<S, T, I>, T extends Method, I extends Method> S choices(
      S usual, List<? extends T> tests, List<? extends I> intervals) {
    Double alpha = proportion("alpha");
    S settings = alpha == null ? usual : usual.alpha(alpha);
    Double level = proportion("level");
    settings = level == null ? settings : settings.level(level);
    settings = has("tests") ? settings.tests(methods("tests", tests)) : settings;
    return has("intervals") ? settings.intervals(methods("intervals", intervals)) : settings;
  }

  /**
   * A message that names words as they were written: {@code {against} must be …}.
   *
   * @param message the message, with words in braces and the places of {@link java.util.Formatter}
   * @param figures what goes there
   * @return the message
   */
  @FormatMethod
  String say(String message, @Nullable Object... figures) {
    String named = WORD.matcher(message).replaceAll(found -> name(found.group(1)));
    return String.format(Locale.ROOT, named, figures);
  }

  /** Creates an exception with such a message. */
  @FormatMethod
  SpecException refusal(String message, @Nullable Object... figures) {
    return new SpecException(say(message, figures));
  }

  /** Throws with such a message if a condition doesn't hold. */
  @FormatMethod
  void check(boolean holds, String message, @Nullable Object... figures) {
    if (!holds) {
      throw refusal(message, figures);
    }
  }

  /**
   * Refuses parameters that need another one.
   *
   * @param needed the word that must be there
   * @param words the words that need it
   * @throws SpecException if one of them was used without it
   */
  public void requireWith(String needed, String... words) {
    for (String word : words) {
      if (has(word) && !has(needed)) {
        throw new SpecException(name(word) + " needs " + name(needed));
      }
    }
  }
}
