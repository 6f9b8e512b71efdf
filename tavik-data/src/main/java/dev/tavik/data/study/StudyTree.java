package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import com.fasterxml.jackson.dataformat.yaml.YAMLParser;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.StrictReader;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a study file holds, every scalar as the text that was written: 007 and 0x1F are codes of
 * levels as much as yes and no are, and no number is made of them. An alias stands for what its
 * anchor marks; {@code <<} takes over the keys of another mapping.
 */
final class StudyTree {
  /** A value in the file. */
  sealed interface Node {
    /** Whether there is no value. */
    default boolean isNothing() {
      return false;
    }
  }

  /** A scalar, as it was written. */
  record Text(String text) implements Node {}

  /** No value: {@code null}, {@code ~} or nothing at all. */
  record Nothing() implements Node {
    @Override
    public boolean isNothing() {
      return true;
    }
  }

  /** A list. */
  record Items(List<Node> nodes) implements Node {}

  /** A mapping. */
  record Keys(Map<String, Node> nodes) implements Node {}

  private static final int DEEPEST = 20;

  private final String name;
  private final Map<String, Node> anchors = new HashMap<>();

  private StudyTree(String name) {
    this.name = name;
  }

  /**
   * Reads a file.
   *
   * @throws DataException if it can't be read, or is neither YAML nor, where its name ends so, JSON
   */
  static Node read(String name, SourceOpener opening) {
    JsonFactory factory =
        name.toLowerCase(Locale.ROOT).endsWith(".json") ? new JsonFactory() : new YAMLFactory();
    try (Reader text = StrictReader.of(name, opening.open(name));
        JsonParser parser = factory.createParser(text)) {
      parser.enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION);
      return new StudyTree(name).whole(parser);
    } catch (StreamConstraintsException e) {
      throw malformed(name, e, "a value is too long, or lists are nested too deeply");
    } catch (JsonProcessingException e) {
      throw malformed(name, e, plain(String.valueOf(e.getOriginalMessage())));
    } catch (IOException e) {
      throw DataException.unreadable(name, e);
    }
  }

  private Node whole(JsonParser parser) throws IOException {
    JsonToken first = parser.nextToken();
    Node node = first == null ? new Nothing() : node(parser, first, 0);
    if (parser.nextToken() != null) {
      throw new DataException(
          DataException.Code.MALFORMED,
          name + " has something after its end; a file holds one study");
    }
    return node;
  }

  private Node node(JsonParser parser, JsonToken token, int depth) throws IOException {
    if (depth > DEEPEST) {
      throw new DataException(
          DataException.Code.MALFORMED, name + " has lists that are nested too deeply");
    }
    if (parser instanceof YAMLParser yaml && yaml.isCurrentAlias()) {
      return marked(parser.getText());
    }
    @Nullable Object anchor = parser.canReadObjectId() ? parser.getObjectId() : null;
    Node node =
        switch (token) {
          case START_OBJECT -> keys(parser, depth);
          case START_ARRAY -> items(parser, depth);
          case VALUE_NULL -> new Nothing();
          default -> new Text(parser.getText());
        };
    if (anchor != null) {
      anchors.put(anchor.toString(), node);
    }
    return node;
  }

  private Node marked(String anchor) {
    Node node = anchors.get(anchor);
    if (node == null) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s uses *%s, but nothing before it is marked &%s",
          name,
          anchor,
          anchor);
    }
    return node;
  }

  private Items items(JsonParser parser, int depth) throws IOException {
    List<Node> nodes = new ArrayList<>();
    for (JsonToken next = parser.nextToken();
        next != JsonToken.END_ARRAY;
        next = parser.nextToken()) {
      nodes.add(node(parser, next, depth + 1));
    }
    return new Items(nodes);
  }

  private Keys keys(JsonParser parser, int depth) throws IOException {
    Map<String, Node> nodes = new LinkedHashMap<>();
    Map<String, Node> taken = new LinkedHashMap<>();
    while (parser.nextToken() != JsonToken.END_OBJECT) {
      String key = parser.currentName();
      Node value = node(parser, parser.nextToken(), depth + 1);
      if (key.equals("<<")) {
        merged(value).forEach(others -> others.nodes().forEach(taken::putIfAbsent));
      } else {
        nodes.put(key, value);
      }
    }
    taken.forEach(nodes::putIfAbsent);
    return new Keys(nodes);
  }

  /** Several mappings to take keys over from, of which the first that has a key counts. */
  private List<Keys> merged(Node value) {
    List<Keys> several = new ArrayList<>();
    for (Node each : value instanceof Items items ? items.nodes() : List.of(value)) {
      if (!(each instanceof Keys keys)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            name
                + " merges keys (<<) from a value that is neither a mapping nor a list of mappings");
      }
      several.add(keys);
    }
    return several;
  }

  private static DataException malformed(String name, JsonProcessingException e, String found) {
    String at =
        e.getLocation() == null
            ? ""
            : say(
                ", line %d, column %d", e.getLocation().getLineNr(), e.getLocation().getColumnNr());
    return new DataException(DataException.Code.MALFORMED, name + at + ": " + found);
  }

  /**
   * A parser's message without the excerpts of the file, which are indented, and without what only
   * a programmer could do about it.
   */
  private static String plain(String message) {
    String lines =
        message
            .lines()
            .filter(line -> !line.isBlank() && !line.startsWith(" "))
            .collect(Collectors.joining(", "));
    return lines
        .replaceAll(
            "\\s*\\([^()]*(?:Feature|Read|`|JsonParser)[^()]*(?:\\([^()]*\\))?[^()]*\\)", "")
        .replaceAll("[,;:]? (?:enable|use) `?Json\\w*Feature\\S*.*", "");
  }
}
