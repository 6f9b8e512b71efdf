package dev.tavik.report;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.answer.Value;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** JSON with all digits; what doesn't exist or has no limit is null. */
final class JsonFormat implements ReportFormat {
  /** Created when the first JSON is written, because most answers are read as text. */
  private static final class Made {
    private static final JsonFactory FACTORY = new JsonFactory();
  }

  @Override
  public String write(Document document) {
    StringWriter text = new StringWriter();
    try (JsonGenerator json = generator(text)) {
      write(json, Value.fields().with("tavik", Mark.VERSION).and(document.figures().get()));
    } catch (IOException e) {
      throw new UncheckedIOException("memory can always be written to", e);
    }
    return text + "\n";
  }

  @Override
  public StudyAnswer write(
      Asked study, Detail detail, Function<Answer, List<Illustration>> pictures, Pages pages)
      throws IOException {
    Writer to = pages.report();
    JsonGenerator json = generator(to);
    json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
    json.writeStartObject();
    json.writeStringField("tavik", Mark.VERSION);
    json.writeStringField("study", study.title());
    json.writeArrayFieldStart("answers");
    StudyAnswer kept =
        study
            .ask()
            .apply(
                answer -> {
                  List<Value> figures = new ArrayList<>();
                  Answer sound =
                      StudyAnswer.written(answer, each -> figures.add(each.figures(detail)));
                  Value all = figures.isEmpty() ? sound.figures(detail) : figures.get(0);
                  try {
                    write(json, all);
                  } catch (IOException e) {
                    throw new UncheckedIOException(e);
                  }
                  return sound.decided();
                });
    json.writeEndArray();
    writeFields(json, kept.over().bare());
    json.writeEndObject();
    json.close();
    to.write("\n");
    return kept;
  }

  private static JsonGenerator generator(Writer to) throws IOException {
    JsonGenerator json = Made.FACTORY.createGenerator(to);
    json.setPrettyPrinter(
        new DefaultPrettyPrinter(
                Separators.createDefaultInstance()
                    .withObjectFieldValueSpacing(Separators.Spacing.AFTER))
            .withObjectIndenter(new DefaultIndenter("  ", "\n"))
            .withArrayIndenter(new DefaultIndenter("  ", "\n")));
    return json;
  }

  private static void writeFields(JsonGenerator json, Map<?, ?> fields) throws IOException {
    for (Map.Entry<?, ?> field : fields.entrySet()) {
      json.writeFieldName((String) field.getKey());
      write(json, (Value) field.getValue());
    }
  }

  private static void write(JsonGenerator json, Value value) throws IOException {
    @Nullable Object bare = value.bare();
    if (bare instanceof Map<?, ?> fields) {
      json.writeStartObject();
      writeFields(json, fields);
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
