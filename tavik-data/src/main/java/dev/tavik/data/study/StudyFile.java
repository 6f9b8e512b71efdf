package dev.tavik.data.study;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Question;
import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.Opening;
import dev.tavik.data.study.StudyTree.Items;
import dev.tavik.data.study.StudyTree.Keys;
import dev.tavik.data.study.StudyTree.Node;
import dev.tavik.data.study.StudyTree.Nothing;
import dev.tavik.data.study.StudyTree.Text;
import dev.tavik.study.Study;
import dev.tavik.study.Unanswered;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Reads a file of questions, YAML or JSON. Its keys are the words of the command line's options;
 * {@code alpha} at the top holds for every question that has none of its own. A data file is found
 * beside the study file.
 *
 * <p>A question that can't be asked becomes an {@link Unanswered} in its place; the others are
 * asked all the same.
 */
public final class StudyFile {
  /** How much is shown is said when a study is run, not in the study. */
  private static final String KINDS = "rate, compare, shares, cross, plan, tail or assess";

  private static final Set<String> ON = Set.of("true", "yes", "on", "1", "y");
  private static final Set<String> OFF = Set.of("false", "no", "off", "0", "n");

  private static final Set<String> TOP = Set.of("study", "alpha", "questions");

  private final String name;
  private final Opening opening;

  private StudyFile(String name, Opening opening) {
    this.name = name;
    this.opening = opening;
  }

  /**
   * Reads a study.
   *
   * @param name the file's path; {@code .json} is read as JSON, everything else as YAML
   * @param opening how the file, and the data files it names, are opened
   * @return the study
   * @throws DataException if the file can't be read or isn't a study
   */
  public static Study read(String name, Opening opening) {
    return new StudyFile(name, opening).read();
  }

  private Study read() {
    if (!(StudyTree.read(name, opening) instanceof Keys root)) {
      throw malformed(
          "is not a study; a study has the keys study, alpha and questions, questions being a list");
    }
    requireTop(root);
    if (!(root.nodes().get("questions") instanceof Items questions)
        || questions.nodes().isEmpty()) {
      throw malformed("has no questions; 'questions' must be a list with at least one entry");
    }
    @Nullable Node title = root.nodes().get("study");
    if (title != null && !(title instanceof Text)) {
      throw malformed("is no study: 'study' must be a title, one text");
    }
    List<Question> asked = new ArrayList<>();
    for (Node each : questions.nodes()) {
      asked.add(question(asked.size() + 1, each, root.nodes().get("alpha")));
    }
    return new Study(title instanceof Text text ? text.text() : "", asked);
  }

  private Question question(int number, Node node, @Nullable Node alpha) {
    Map<String, Node> keys = node instanceof Keys mapping ? mapping.nodes() : Map.of();
    String kind = text(keys.get("ask"));
    String label = text(keys.get("label"));
    try {
      if (keys.isEmpty()) {
        throw new SpecException("a question must be a mapping with 'ask' and its keys");
      }
      Asking known =
          Asking.of(kind)
              .orElseThrow(
                  () ->
                      new SpecException(
                          kind.isEmpty()
                              ? "'ask' is needed: it says what kind of question this is, " + KINDS
                              : "ask must be " + KINDS + ", got '" + kind + "'"));
      Set<String> knownKeys = new LinkedHashSet<>(known.words().names());
      knownKeys.remove("working");
      Map<String, List<String>> values = new LinkedHashMap<>();
      if (alpha != null && knownKeys.contains("alpha")) {
        values.put("alpha", texts("alpha", alpha));
      }
      Set<String> others = new LinkedHashSet<>(keys.keySet());
      others.remove("ask");
      requireKnown(others, knownKeys);
      for (String key : others) {
        List<String> said = texts(key, keys.getOrDefault(key, new Nothing()));
        if (!Spec.FLAGS.contains(key) || on(key, said)) {
          values.put(key, said);
        }
      }
      Question made = known.question(new Spec(values, Spec.Wording.KEY), opening.beside(name));
      return () -> Unanswered.orAnswer(made, kind, label, place(number));
    } catch (DataException e) {
      return unanswered(number, kind, label, e.code().id(), String.valueOf(e.getMessage()));
    } catch (IllegalArgumentException e) {
      return unanswered(number, kind, label, "question-malformed", String.valueOf(e.getMessage()));
    }
  }

  private static String text(@Nullable Node node) {
    return node instanceof Text text ? text.text() : "";
  }

  /** Whether a key that needs no value is meant to hold. */
  private static boolean on(String key, List<String> said) {
    String word = said.size() == 1 ? said.get(0).strip().toLowerCase(Locale.ROOT) : "";
    if (OFF.contains(word)) {
      return false;
    }
    if (!ON.contains(word)) {
      throw new SpecException(
          key + " must be yes or no (also true or false), got " + String.join(", ", said));
    }
    return true;
  }

  private Question unanswered(int number, String kind, String label, String code, String message) {
    Failure failure = new Failure(code, place(number) + message);
    return new Question() {
      @Override
      public Answer ask() {
        return Unanswered.of(this, kind, label, failure);
      }
    };
  }

  private String place(int number) {
    return name + ", question " + number + ": ";
  }

  /** The values of a key: one, a list, or a mapping as {@code name=value}. */
  private static List<String> texts(String key, Node node) {
    List<String> texts = new ArrayList<>();
    if (node instanceof Items items) {
      items
          .nodes()
          .forEach(
              each -> texts.add(each instanceof Items cells ? row(key, cells) : scalar(key, each)));
    } else if (node instanceof Keys keys) {
      keys.nodes().forEach((name, each) -> texts.add(name + "=" + scalar(key, each)));
    } else {
      texts.add(scalar(key, node));
    }
    if (texts.isEmpty()) {
      throw new SpecException(key + " must have a value, a list of values or a mapping, got none");
    }
    return texts;
  }

  /** A row of cells. */
  private static String row(String key, Items cells) {
    return cells.nodes().stream().map(each -> scalar(key, each)).collect(Collectors.joining(" "));
  }

  private static String scalar(String key, Node node) {
    if (node instanceof Text text) {
      return text.text();
    }
    throw new SpecException(
        "%s must have a value, a list of values or a mapping, got %s",
        key, node instanceof Nothing ? "nothing" : "a list or mapping inside another");
  }

  private void requireTop(Keys root) {
    try {
      requireKnown(root.nodes().keySet(), TOP);
    } catch (SpecException e) {
      throw malformed("is no study: " + e.getMessage());
    }
  }

  private static void requireKnown(Set<String> keys, Set<String> known) {
    for (String key : keys) {
      if (!known.contains(key)) {
        List<String> sorted = known.stream().sorted().toList();
        throw new SpecException("there is no key '" + key + "'" + Names.hint(key, sorted));
      }
    }
  }

  private DataException malformed(String found) {
    return new DataException(DataException.Code.MALFORMED, name + " " + found);
  }
}
