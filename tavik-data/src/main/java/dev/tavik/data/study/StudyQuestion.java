package dev.tavik.data.study;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Origin;
import dev.tavik.answer.Question;
import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.study.StudyTree.Keys;
import dev.tavik.data.study.StudyTree.Node;
import dev.tavik.data.study.StudyTree.Nothing;
import dev.tavik.data.words.Heading;
import dev.tavik.data.words.Parameter;
import dev.tavik.study.Unanswered;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Creates one question of a study; one that can't be asked is replaced by its reason. */
final class StudyQuestion {
  static final Set<String> OWN = Set.of("ask", "family");

  /** The keys that hold counts themselves: a question that has one needs no file. */
  private static final List<String> COUNTED =
      List.of("tally", "first", "second", "cells", "counts", "table");

  private final StudyFolder folder;
  private final String place;
  private final StudyValues values;
  private final Map<String, Node> defaults;
  private final Map<String, Node> keys;
  private final String study;

  StudyQuestion(
      String study,
      int number,
      StudyFolder folder,
      StudyValues values,
      Map<String, Node> defaults,
      Node node) {
    this.study = study;
    this.folder = folder;
    this.place = study + ", question " + number + ": ";
    this.values = values;
    this.defaults = defaults;
    this.keys = node instanceof Keys mapping ? mapping.nodes() : Map.of();
  }

  /** The family of tests that it belongs to; empty for the whole study. */
  String family() {
    try {
      return values.text(keys.getOrDefault("family", new Nothing()));
    } catch (SpecException e) {
      // The reason takes the place of the question.
      return "";
    }
  }

  Question question() {
    String kind = "";
    String label = "";
    try {
      kind = values.text(keys.getOrDefault("ask", new Nothing()));
      label = values.text(keys.getOrDefault("label", new Nothing()));
      QuestionArguments spec = spec(asking(kind));
      folder.requireAllowed(spec);
      Question made = asking(kind).question(spec, folder);
      Origin origin = Origins.of(asking(kind), spec, folder, study);
      String named = kind;
      String called = label;
      return () -> Unanswered.orAnswer(made, named, called, place).with(origin);
    } catch (DataException e) {
      return unanswered(kind, label, e.code().id(), discreet(e));
    } catch (IllegalArgumentException e) {
      return unanswered(kind, label, "question-malformed", String.valueOf(e.getMessage()));
    } catch (RuntimeException e) {
      return unanswered(kind, label, Unanswered.FAULT, "a fault in Tavik, not in your data: " + e);
    }
  }

  /** Hides the content of a file outside the study's folder. */
  private String discreet(DataException e) {
    return folder.left()
        ? "a file outside the folder of the study can't be used (" + e.code().id() + ")"
        : String.valueOf(e.getMessage());
  }

  private QuestionKind asking(String kind) {
    if (keys.isEmpty()) {
      throw new SpecException("a question must be a mapping with 'ask' and its keys");
    }
    String kinds =
        Arrays.stream(QuestionKind.values())
            .map(each -> each.words().kind())
            .collect(Collectors.joining(", "));
    return QuestionKind.of(kind)
        .orElseThrow(
            () ->
                new SpecException(
                    kind.isEmpty()
                        ? "'ask' is needed: it says what kind of question this is: " + kinds
                        : "ask must be one of " + kinds + ", got '" + kind + "'"));
  }

  private QuestionArguments spec(QuestionKind asking) {
    Set<String> known = new LinkedHashSet<>(asking.words().names());
    known.remove("working");
    Set<String> others = new LinkedHashSet<>(keys.keySet());
    others.removeAll(OWN);
    requireKnown(others, known);
    Map<String, List<String>> said = new LinkedHashMap<>();
    defaults.forEach(
        (key, node) -> {
          if (known.contains(key) && !others.contains(key) && holds(asking, key)) {
            put(said, key, node);
          }
        });
    for (String key : others) {
      put(said, key, keys.getOrDefault(key, new Nothing()));
    }
    return new QuestionArguments(said, QuestionArguments.Wording.KEY);
  }

  private void put(Map<String, List<String>> said, String key, Node node) {
    List<String> texts = values.texts(key, node);
    if (!QuestionArguments.FLAGS.contains(key) || values.on(key, texts)) {
      said.put(key, key.equals("outcome") && texts.size() > 1 ? List.of(listed(texts)) : texts);
    }
  }

  /** A list of columns as one text, as an option has it. */
  private static String listed(List<String> names) {
    return names.stream()
        .map(name -> name.contains(",") && !name.contains("\"") ? "\"" + name + "\"" : name)
        .collect(Collectors.joining(","));
  }

  /**
   * Whether a default applies to this question: defaults about rows don't apply where counts are
   * given.
   */
  private boolean holds(QuestionKind asking, String key) {
    @Nullable Heading heading =
        asking.words().words().stream()
            .filter(word -> word.name().equals(key))
            .map(Parameter::heading)
            .findFirst()
            .orElse(null);
    boolean counted = COUNTED.stream().anyMatch(keys::containsKey);
    boolean otherRows =
        (key.equals("data") && keys.containsKey("database"))
            || (key.equals("database") && keys.containsKey("data"));
    if (asking == QuestionKind.PLAN && key.equals("level") && !keys.containsKey("half-width")) {
      return false;
    }
    return heading != Heading.COUNTS || !(counted || otherRows || asking == QuestionKind.PLAN);
  }

  private Question unanswered(String kind, String label, String code, String message) {
    Failure failure = new Failure(code, place + message);
    return new Question() {
      @Override
      public Answer ask() {
        return Unanswered.of(this, kind, label, failure);
      }
    };
  }

  static void requireKnown(Set<String> keys, Set<String> known) {
    for (String key : keys) {
      if (!known.contains(key)) {
        List<String> sorted = known.stream().sorted().toList();
        throw new SpecException("there is no key '" + key + "'" + Names.hint(key, sorted));
      }
    }
  }
}
