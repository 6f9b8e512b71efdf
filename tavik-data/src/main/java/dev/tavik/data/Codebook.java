package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.DataOverview;
import java.io.IOException;
import java.io.Reader;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Labels, order and missing codes of the columns of a file, from a Table Schema, an open
 * description of tabular data in JSON: of each of its {@code fields} the {@code categories} (values
 * alone, or each with a {@code label}), else {@code constraints.enum}, and {@code missingValues},
 * of the field or of all.
 */
public final class Codebook {
  private static final String ENDING = ".schema.json";
  private static final int MOST_CODES = 12;

  /** Sorts whole numbers by value and keeps the order of the rest. */
  private static final Comparator<String> BY_NUMBER =
      Comparator.comparing(
          level -> level.matches("-?\\d{1,15}") ? Long.parseLong(level) : Long.MAX_VALUE);

  private final String name;
  private final Map<String, Recoding> recodings = new LinkedHashMap<>();
  private final Map<String, String> titles = new LinkedHashMap<>();

  private Codebook(String name) {
    this.name = name;
  }

  /**
   * The name that a codebook beside a file has.
   *
   * @param data the file's name
   * @return such as {@code firing-log.schema.json} for {@code firing-log.csv}; none for standard
   *     input and for names without an ending
   */
  public static Optional<String> beside(String data) {
    String file = data.replaceFirst("(?i)\\.zip#.*$", ".zip").replaceFirst("(?i)\\.gz$", "");
    int point = file.lastIndexOf('.');
    return point <= Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1
        ? Optional.empty()
        : Optional.of(file.substring(0, point) + ENDING);
  }

  /**
   * Reads a codebook.
   *
   * @param name the file's name
   * @param opening how its bytes are reached
   * @return the codebook
   * @throws DataException if it can't be read, or is no Table Schema
   */
  public static Codebook read(String name, SourceOpener opening) {
    Codebook codebook = new Codebook(name);
    try (Reader text = StrictReader.of(name, opening.open(name))) {
      JsonNode root = JsonMapper.builder().build().readTree(text);
      codebook.take(root);
      return codebook;
    } catch (JsonProcessingException e) {
      throw new DataException(
          DataException.Code.MALFORMED, "%s is not valid JSON: %s", name, e.getOriginalMessage());
    } catch (IOException e) {
      throw DataException.unreadable(name, e);
    }
  }

  /** {@return the file's name} */
  public String name() {
    return name;
  }

  /**
   * The column that is meant, which may be written by its title.
   *
   * @param written a column's name or title
   * @return its name; what is written, where no column has that title
   */
  public String column(String written) {
    return recodings.containsKey(written) ? written : titles.getOrDefault(written, written);
  }

  /**
   * What the values of each column are read as.
   *
   * @return the recodings by the name of the column
   */
  public Map<String, Recoding> recodings() {
    return Collections.unmodifiableMap(recodings);
  }

  /**
   * A first codebook for data, with a label to fill in for each level.
   *
   * @param overview what the data hold
   * @return a Table Schema in JSON
   */
  public static String draft(DataOverview overview) {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    ObjectNode root = mapper.createObjectNode();
    ArrayNode fields = root.putArray("fields");
    for (DataOverview.Column column : overview.columns()) {
      ObjectNode field = fields.addObject().put("name", column.name()).put("title", column.name());
      field.put("type", type(column.kind()));
      if (column.kind().classifies() || coded(column)) {
        ArrayNode categories = field.putArray("categories");
        column.levels().keySet().stream()
            .sorted(BY_NUMBER)
            .forEach(level -> categories.addObject().put("value", level).put("label", level));
      }
    }
    root.putArray("missingValues").add("");
    return root.toPrettyString() + "\n";
  }

  /** A few whole numbers that recur may be codes. */
  private static boolean coded(DataOverview.Column column) {
    long values = column.levels().values().stream().mapToLong(Long::longValue).sum();
    return column.kind() == DataOverview.Kind.WHOLE_NUMBERS
        && column.distinct() <= MOST_CODES
        && values > column.distinct();
  }

  private static String type(DataOverview.Kind kind) {
    return switch (kind) {
      case WHOLE_NUMBERS -> "integer";
      case NUMBERS -> "number";
      case DATES -> "date";
      case TWO_LEVELS, CATEGORY, MANY_VALUES, CONSTANT, EMPTY -> "string";
    };
  }

  private void take(JsonNode root) {
    JsonNode fields = root.path("fields");
    require(
        fields.isArray(),
        "has no list of fields; a codebook is a Table Schema such as {\"fields\": [{\"name\":"
            + " \"grade\", \"categories\": [{\"value\": \"0\", \"label\": \"sound\"}]}]}");
    Set<String> missing = texts(root.path("missingValues"), "missingValues");
    for (JsonNode field : fields) {
      String column = field.path("name").asText("");
      require(!column.isEmpty(), "has a field without a name");
      titles.putIfAbsent(field.path("title").asText(column), column);
      JsonNode own = field.path("missingValues");
      Map<String, String> labels = labels(column, field);
      require(
          recodings.put(
                  column,
                  Recoding.labels(labels, own.isMissingNode() ? missing : texts(own, column)))
              == null,
          say("has two fields called '%s'", column));
    }
  }

  private Map<String, String> labels(String column, JsonNode field) {
    Map<String, String> labels = new LinkedHashMap<>();
    JsonNode categories = field.path("categories");
    JsonNode listed =
        categories.isMissingNode() ? field.path("constraints").path("enum") : categories;
    require(
        listed.isMissingNode() || listed.isArray(),
        say("must list the categories of '%s', got another value", column));
    for (JsonNode each : listed) {
      boolean labelled = each.isObject();
      JsonNode value = labelled ? each.path("value") : each;
      require(
          value.isValueNode() && !value.isNull(),
          say("has a category without a value for '%s'", column));
      String code = value.asText();
      String label = labelled ? each.path("label").asText(code) : code;
      require(
          labels.put(code, label) == null,
          say("has the value '%s' twice among the categories of '%s'", code, column));
    }
    return labels;
  }

  private Set<String> texts(JsonNode list, String where) {
    Set<String> texts = new LinkedHashSet<>();
    require(
        list.isMissingNode() || list.isArray(),
        say("has something else than a list of missing values (%s)", where));
    for (JsonNode each : list) {
      texts.add((each.isObject() ? each.path("value") : each).asText());
    }
    return texts;
  }

  private void require(boolean holds, String found) {
    if (!holds) {
      throw new DataException(DataException.Code.MALFORMED, "codebook %s %s", name, found);
    }
  }
}
