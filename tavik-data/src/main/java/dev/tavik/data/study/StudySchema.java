package dev.tavik.data.study;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.Parameter;
import dev.tavik.result.Adjustment;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * The JSON Schema (draft 2020-12) of study files, made of the catalogue of words: an editor that
 * uses it completes keys and marks unknown ones.
 */
public final class StudySchema {
  private static final JsonMapper MAPPER = new JsonMapper();

  private final ObjectNode root = MAPPER.createObjectNode();

  private StudySchema() {}

  /** {@return the schema, as a file holds it} */
  public static String json() {
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(new StudySchema().schema())
          + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a schema can always be written", e);
    }
  }

  private ObjectNode schema() {
    root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    root.put("title", "Study of Tavik");
    root.put("type", "object");
    ObjectNode top = root.putObject("properties");
    top.putObject("study").put("type", "string").put("description", "What the study is about.");
    ObjectNode adjust = top.putObject("adjust");
    adjust.put("description", "How p-values are adjusted over the study, or over each family.");
    ArrayNode ways = adjust.putArray("enum");
    for (Adjustment each : Adjustment.values()) {
      ways.add(each.id());
    }
    top.putObject("include")
        .put("description", "Another study, or several, whose questions are asked first.")
        .put("$ref", "#/$defs/value");
    ObjectNode questions = top.putObject("questions").put("type", "array").put("minItems", 1);
    ArrayNode kinds = questions.putObject("items").putArray("oneOf");
    defaults().forEach((name, help) -> value(top, name, help));
    root.putArray("anyOf").add(required("questions")).add(required("include"));
    root.put("additionalProperties", false);
    ObjectNode defined = root.putObject("$defs");
    value(defined);
    for (QuestionKind each : QuestionKind.values()) {
      String kind = each.words().kind();
      kinds.addObject().put("$ref", "#/$defs/" + kind);
      question(defined.putObject(kind), each.words());
    }
    return root;
  }

  /** The keys that may stand at the top, for every question that has them. */
  private static Map<String, String> defaults() {
    Map<String, String> names = new TreeMap<>();
    for (QuestionKind each : QuestionKind.values()) {
      each.words().names().forEach(name -> names.putIfAbsent(name, help(each.words(), name)));
    }
    names.keySet().removeAll(Set.of("label", "working", "adjust"));
    return names;
  }

  private static ObjectNode required(String key) {
    ObjectNode condition = MAPPER.createObjectNode();
    condition.putArray("required").add(key);
    return condition;
  }

  private static void question(ObjectNode schema, CommandSchema words) {
    schema.put("type", "object").put("description", words.purpose());
    ObjectNode keys = schema.putObject("properties");
    keys.putObject("ask").put("const", words.kind());
    keys.putObject("family")
        .put("type", "string")
        .put("description", "The family of tests over which its p-values are adjusted.");
    words.names().stream()
        .sorted()
        .filter(name -> !name.equals("working"))
        .forEach(name -> value(keys, name, help(words, name)));
    schema.putArray("required").add("ask");
    schema.put("additionalProperties", false);
  }

  private static String help(CommandSchema words, String name) {
    Optional<Parameter> found =
        words.words().stream().filter(word -> word.name().equals(name)).findFirst();
    return found.or(words::positional).map(Parameter::help).orElse("");
  }

  private static void value(ObjectNode keys, String name, String help) {
    keys.putObject(name).put("description", help).put("$ref", "#/$defs/value");
  }

  /** One value, a list of values or of rows of cells, or values by their names. */
  private static void value(ObjectNode defined) {
    ObjectNode one = defined.putObject("one");
    one.putArray("type").add("string").add("number").add("boolean");
    ArrayNode forms = defined.putObject("value").putArray("anyOf");
    forms.addObject().put("$ref", "#/$defs/one");
    ArrayNode item =
        forms
            .addObject()
            .put("type", "array")
            .put("minItems", 1)
            .putObject("items")
            .putArray("anyOf");
    item.addObject().put("$ref", "#/$defs/one");
    item.addObject().put("type", "array").putObject("items").put("$ref", "#/$defs/one");
    forms
        .addObject()
        .put("type", "object")
        .putObject("additionalProperties")
        .put("$ref", "#/$defs/one");
  }
}
