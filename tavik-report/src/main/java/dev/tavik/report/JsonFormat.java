package dev.tavik.report;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import com.fasterxml.jackson.databind.json.JsonMapper;
import dev.tavik.answer.Value;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** JSON with all digits; what doesn't exist or has no limit is null. */
final class JsonFormat implements Format {
  private static final JsonMapper MAPPER = new JsonMapper();

  @Override
  public String write(Document document) {
    StringWriter text = new StringWriter();
    try (JsonGenerator json = MAPPER.createGenerator(text)) {
      json.setPrettyPrinter(
          new DefaultPrettyPrinter(
                  Separators.createDefaultInstance()
                      .withObjectFieldValueSpacing(Separators.Spacing.AFTER))
              .withObjectIndenter(new DefaultIndenter("  ", "\n"))
              .withArrayIndenter(new DefaultIndenter("  ", "\n")));
      write(json, Value.fields().with("tavik", Mark.VERSION).and(document.figures().get()));
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text + "\n";
  }

  private static void write(JsonGenerator json, Value value) throws IOException {
    @Nullable Object bare = value.bare();
    if (bare instanceof Map<?, ?> fields) {
      json.writeStartObject();
      for (Map.Entry<?, ?> field : fields.entrySet()) {
        json.writeFieldName((String) field.getKey());
        write(json, (Value) field.getValue());
      }
      json.writeEndObject();
    } else if (bare instanceof List<?> values) {
      json.writeStartArray();
      for (Object each : values) {
        write(json, (Value) each);
      }
      json.writeEndArray();
    } else {
      json.writePOJO(bare);
    }
  }
}
