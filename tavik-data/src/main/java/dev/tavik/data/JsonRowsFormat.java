package dev.tavik.data;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import dev.tavik.data.RowSource.SourceDescription;
import dev.tavik.result.Figures;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * JSON: an array of flat objects, or one object after another, such as one a line. A key is a
 * column; one that an object lacks, or that is null, is missing there. A text stands as it is, a
 * number as it is written.
 */
final class JsonRowsFormat implements SourceFormat {
  private static final int LONGEST_TEXT = 1 << 20;

  /** Number of objects that determine the columns; a new column in a later object is refused. */
  private static final int LOOK_AT = 1_000;

  private static final JsonFactory FACTORY =
      JsonFactory.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .streamReadConstraints(
              StreamReadConstraints.builder()
                  .maxStringLength(LONGEST_TEXT)
                  .maxNestingDepth(10)
                  .build())
          .build();

  @Override
  public boolean takes(FileHeader beginning) {
    String text = beginning.text();
    String inside = text.startsWith("[") ? text.substring(1).stripLeading() : text;
    return inside.startsWith("{")
        || (text.startsWith("[") && !inside.isEmpty() && "][\"".indexOf(inside.charAt(0)) >= 0);
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    said.requireNoSheet(bytes.name());
    Encoding encoding = Encoding.of(bytes, said);
    try (JsonParser json = FACTORY.createParser(new StrictReader(bytes, encoding))) {
      boolean array = json.nextToken() == JsonToken.START_ARRAY;
      new Objects(bytes.name(), json, rows).read(array);
      return SourceDescription.of(
          (array ? "an array of JSON objects, " : "JSON objects, ") + encoding.inWords());
    } catch (StreamConstraintsException e) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s has a value of more than %s characters, or lists that are nested deeply",
          bytes.name(),
          Figures.count(LONGEST_TEXT));
    } catch (JsonProcessingException e) {
      var place = e.getLocation();
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s, line %d, character %d is not valid JSON: %s",
          bytes.name(),
          place == null ? 1 : place.getLineNr(),
          place == null ? 1 : place.getColumnNr(),
          e.getOriginalMessage().replaceAll("\\s*\\(start marker at \\[Source.*", ""));
    }
  }

  private record Value(String text, boolean quoted) {}

  /** The objects as they come. */
  private static final class Objects {
    private final String name;
    private final JsonParser json;
    private final RowHandler rows;
    private final Map<String, Integer> columns = new LinkedHashMap<>();
    private final List<Map<String, Value>> first = new ArrayList<>();
    private boolean headed;
    private long number;

    Objects(String name, JsonParser json, RowHandler rows) {
      this.name = name;
      this.json = json;
      this.rows = rows;
      rows.unit("object");
    }

    void read(boolean array) throws IOException {
      JsonToken token = array ? json.nextToken() : json.currentToken();
      while (token == JsonToken.START_OBJECT) {
        number++;
        take(object());
        token = json.nextToken();
      }
      boolean ended = token == (array ? JsonToken.END_ARRAY : null);
      if (!ended || (array && json.nextToken() != null)) {
        throw malformed(
            (number == 0
                    ? "must contain objects only"
                    : "has a value that is no object after object " + number)
                + "; accepted are an array of flat objects, or one object after another");
      }
      head();
    }

    private Map<String, Value> object() throws IOException {
      Map<String, Value> object = new LinkedHashMap<>();
      while (json.nextToken() != JsonToken.END_OBJECT) {
        String key = json.currentName();
        JsonToken token = json.nextToken();
        if (token.isStructStart()) {
          throw malformed(
              "object %s: $.%s holds %s, where a text or a number is needed; make the objects flat"
                  .formatted(
                      Figures.count(number),
                      key,
                      token == JsonToken.START_ARRAY ? "an array" : "an object"));
        }
        columns.computeIfAbsent(key, this::column);
        if (token != JsonToken.VALUE_NULL) {
          object.put(key, new Value(json.getText(), token == JsonToken.VALUE_STRING));
        }
      }
      return object;
    }

    private int column(String key) {
      if (headed) {
        throw malformed(
            "object %s has the key '%s', which none of the first %s has; give it there too, as null"
                .formatted(Figures.count(number), key, Figures.count(LOOK_AT)));
      }
      return columns.size();
    }

    private void take(Map<String, Value> object) {
      if (headed) {
        hand(number, object);
        return;
      }
      first.add(object);
      if (first.size() == LOOK_AT) {
        head();
      }
    }

    private void head() {
      if (headed || columns.isEmpty()) {
        return;
      }
      headed = true;
      rows.begin(0);
      columns.forEach((key, column) -> rows.field(column, key, true));
      rows.end(columns.size());
      for (int i = 0; i < first.size(); i++) {
        hand(i + 1, first.get(i));
      }
      first.clear();
    }

    private void hand(long at, Map<String, Value> object) {
      rows.begin(at);
      columns.forEach(
          (key, column) -> {
            Value value = object.get(key);
            rows.field(column, value == null ? null : value.text, value != null && value.quoted);
          });
      rows.end(columns.size());
    }

    private DataException malformed(String found) {
      return new DataException(DataException.Code.MALFORMED, name + " " + found);
    }
  }
}
