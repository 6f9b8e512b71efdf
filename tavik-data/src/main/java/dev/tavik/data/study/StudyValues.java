package dev.tavik.data.study;

import dev.tavik.count.Names;
import dev.tavik.data.study.StudyTree.Items;
import dev.tavik.data.study.StudyTree.Keys;
import dev.tavik.data.study.StudyTree.Node;
import dev.tavik.data.study.StudyTree.Text;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The values of a study's keys as texts, with {@code ${NAME}} replaced by what was set for it. */
final class StudyValues {
  private static final Pattern PLACE = Pattern.compile("\\$\\{([A-Za-z_][A-Za-z0-9_]*)}");
  private static final Set<String> ON = Set.of("true", "yes", "on", "1", "y");
  private static final Set<String> OFF = Set.of("false", "no", "off", "0", "n");

  private final Map<String, String> set;
  private final Set<String> used = new LinkedHashSet<>();

  StudyValues(Map<String, String> set) {
    this.set = set;
  }

  /** The names that were set and stand nowhere. */
  Set<String> unused() {
    Set<String> unused = new LinkedHashSet<>(set.keySet());
    unused.removeAll(used);
    return unused;
  }

  /** The text of a node; empty where it is none. */
  String text(Node node) {
    return node instanceof Text text ? replaced(text.text()) : "";
  }

  /** The values of a key: one, a list, or a mapping as {@code name=value}. */
  List<String> texts(String key, Node node) {
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

  /** Whether a key that needs no value is meant to hold. */
  boolean on(String key, List<String> said) {
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

  /** A row of cells. */
  private String row(String key, Items cells) {
    return cells.nodes().stream().map(each -> scalar(key, each)).collect(Collectors.joining(" "));
  }

  private String scalar(String key, Node node) {
    if (node instanceof Text text) {
      return replaced(text.text());
    }
    throw new SpecException(
        "%s must have a value, a list of values or a mapping, got %s",
        key, node.isNothing() ? "nothing" : "a list or mapping inside another");
  }

  private String replaced(String text) {
    return PLACE
        .matcher(text)
        .replaceAll(
            place -> {
              String name = place.group(1);
              String value = set.get(name);
              if (value == null) {
                throw new SpecException(
                    "${%s} has no value; give one with --set %s=VALUE%s",
                    name, name, set.isEmpty() ? "" : Names.hint(name, List.copyOf(set.keySet())));
              }
              used.add(name);
              return Matcher.quoteReplacement(value);
            });
  }
}
