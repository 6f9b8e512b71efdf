package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.tavik.answer.Answer;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Origin;
import dev.tavik.data.DataException;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.SourceOpener;
import dev.tavik.result.Adjustment;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Studies as one piece of work: defaults, parts in other files, places to fill in, and limits. */
class StudyFileTest {
  private static final String ROWS =
      "kiln,grade\nNorth,sound\nNorth,cracked\nSouth,sound\nSouth,sound\n";

  @TempDir Path folder;

  @BeforeEach
  void data() throws IOException {
    Files.createDirectories(folder.resolve("study/part"));
    for (String file : List.of("study/log.csv", "study/part/log.csv", "outside.csv")) {
      Files.writeString(folder.resolve(file), ROWS);
    }
  }

  private StudyFile study(String text) throws IOException {
    Path file = folder.resolve("study/study.yaml");
    Files.writeString(file, text);
    return StudyFile.of(file.toString());
  }

  private static String failure(Answer answer) {
    return answer.find(Failure.class).map(Failure::message).orElse("");
  }

  @Test
  void wordsAtTheTopHoldWhereAQuestionKnowsThemAndHasNone() throws IOException {
    StudyAnswer study =
        study(
                """
                study: Week ${WEEK}
                level: 90%
                data: log.csv
                outcome: grade
                success: cracked
                adjust: hochberg
                questions:
                  - {ask: rate, against: 5%}
                  - {ask: rate, against: 5%, success: sound, level: 80%}
                  - {ask: rate, tally: 14/400, against: 5%, label: "Kiln ${KILN}"}
                  - {ask: plan, for: rate, against: 8%, expect: 5%, power: 80%}
                """)
            .set("WEEK", "18")
            .set("KILN", "$1 'North'")
            .read()
            .ask();
    assertThat(study.title()).isEqualTo("Week 18");
    assertThat(study.adjustment()).isEqualTo(Adjustment.HOCHBERG);
    List<Answer> answers = study.answers();
    assertThat(answers).allSatisfy(each -> assertThat(failure(each)).isEmpty());
    assertThat(answers.get(0).verdict().text()).contains("25.0% (1 of 4)");
    assertThat(answers.get(0).intervals().get(0).level()).isEqualTo(0.9);
    assertThat(answers.get(1).verdict().text()).contains("75.0% (3 of 4)");
    assertThat(answers.get(1).intervals().get(0).level()).isEqualTo(0.8);
    assertThat(answers.get(2).verdict().text()).contains("(14 of 400)");
    assertThat(answers.get(2).label()).isEqualTo("Kiln $1 'North'");
    assertThat(study.decisions()).hasSize(3);
    Origin origin = answers.get(1).find(Origin.class).orElseThrow();
    assertThat(origin.command())
        .startsWith("tavik rate ")
        .contains("--level 80%", "--data " + folder.resolve("study/log.csv"), "--success sound");
    assertThat(origin.data().get(0)).matches("log.csv of \\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d UTC");
  }

  @Test
  void anotherStudyIsAskedFirstWithItsOwnWords() throws IOException {
    Files.writeString(
        folder.resolve("study/part/part.yaml"),
        """
        data: log.csv
        outcome: grade
        success: sound
        questions:
          - {ask: rate, against: 50%, family: kilns}
          - {ask: rate, against: 60%, where: "kiln=West"}
        """);
    StudyAnswer study =
        study(
                """
                include: part/part.yaml
                questions:
                  - {ask: rate, tally: 1/9, against: 50%}
                """)
            .read()
            .ask();
    assertThat(study.answers()).hasSize(3);
    assertThat(study.families()).containsExactly("kilns", "", "");
    assertThat(failure(study.answers().get(1)))
        .contains("part.yaml, question 2: ", "no row has kiln=West");
    assertThat(study.complete()).isFalse();
    assertThat(study.decisions()).extracting(each -> each.number()).containsExactly(1, 3);
    Files.writeString(folder.resolve("study/part/part.yaml"), "include: ../study.yaml\n");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study("include: part/part.yaml\n").allowingOutside().read())
        .withMessageContaining("includes it in turn");
  }

  @Test
  void nothingThatIsSaidIsDroppedWithoutAWord() throws IOException {
    Files.writeString(
        folder.resolve("study/part/part.yaml"),
        "adjust: none\nquestions:\n  - {ask: rate, tally: 1/9, against: 50%}\n");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study("include: part/part.yaml\n").read())
        .withMessageContaining("'adjust: none'")
        .withMessageContaining("here by holm");
    assertThat(study("adjust: none\ninclude: part/part.yaml\n").read().questions()).hasSize(1);
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study("title: Week 18\nquestions: [x]\n").read())
        .withMessageContaining(
            "there is no key 'title'; did you mean study? A study's own keys are")
        .withMessageContaining("study, adjust, include, questions");
  }

  /** Of several mappings to take keys over from, the first that has a key counts. */
  @Test
  void keysAreTakenOverFromSeveralMappings() throws IOException {
    Answer answer =
        study(
                """
                questions:
                  - &a {ask: rate, tally: 14/400, against: 5%, label: A}
                  - &b {ask: rate, tally: 1/9, against: 50%, label: B, alternative: less}
                  - {<<: [*a, *b], level: 90%}
                """)
            .read()
            .ask()
            .answers()
            .get(2);
    assertThat(answer.label()).isEqualTo("A");
    assertThat(answer.verdict().text()).contains("14 of 400", "below 5%");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study("questions:\n  - {<<: [4], ask: rate}\n").read())
        .withMessageContaining("from a value that is neither a mapping nor a list of mappings");
  }

  @Test
  void aListOfColumnsIsOneOutcome() throws IOException {
    Files.writeString(folder.resolve("study/two.csv"), "a,\"b,c\"\nyes,no\nyes,yes\nno,yes\n");
    List<Answer> answers =
        study(
                """
                data: two.csv
                success: "yes"
                questions:
                  - {ask: rate, against: 50%, outcome: [a, "b,c"]}
                  - {ask: compare, paired: yes, outcome: [a, "b,c"]}
                """)
            .read()
            .ask()
            .answers();
    assertThat(answers).allSatisfy(each -> assertThat(failure(each)).isEmpty());
  }

  /** A study may come from somebody else: it reads its folder, and shows no more of others. */
  @Test
  void filesOutsideTheFolderAreReadOnlyWhereThatIsAllowed() throws IOException {
    Files.createSymbolicLink(folder.resolve("study/link.csv"), folder.resolve("outside.csv"));
    Files.writeString(folder.resolve("secret.txt"), "top,secret\nkey\n");
    String text =
        """
        questions:
          - {ask: rate, data: ../outside.csv, outcome: grade, success: sound, against: 5%}
          - {ask: rate, data: link.csv, outcome: grade, success: sound, against: 5%}
          - {ask: rate, data: OUTSIDE, outcome: grade, success: sound, against: 5%}
          - {ask: rate, data: ../secret.txt, outcome: grade, success: sound, against: 5%}
          - {ask: rate, database: "jdbc:sqlite:x.db", relation: r, outcome: grade, success: a, against: 5%}
          - {ask: rate, data: log.csv, outcome: grade, success: sound, against: 5%, codebook: ../secret.txt}
        """
            .replace("OUTSIDE", folder.resolve("outside.csv").toString());
    for (Answer each : study(text).read().ask().answers()) {
      assertThat(failure(each))
          .contains("--allow-outside")
          .doesNotContain("secret\n", "key", ".schema.json");
    }
    List<Answer> allowed = study(text).allowingOutside().read().ask().answers();
    assertThat(allowed.subList(0, 3)).allSatisfy(each -> assertThat(failure(each)).isEmpty());
    assertThat(failure(allowed.get(3)))
        .contains("a file outside the folder of the study can't be used")
        .doesNotContain("top", "secret");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study("include: ../other.yaml\n").read())
        .withMessageContaining("--allow-outside");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "{adjust: holmes, questions: [{ask: tail}]}  | did you mean holm?",
        "{levle: 5%, questions: [{ask: tail}]}       | there is no key 'levle'; did you mean level",
        "{label: x, questions: [{ask: tail}]}        | there is no key 'label'",
        "{study: [a], questions: [{ask: tail}]}      | 'study' must be a title",
        "{questions: {ask: rate}}                    | 'questions' must be a list",
        "{include: {}}                               | include must have a value",
        "root:x:0:0:secret                           | is not a study",
        "{root: 'x:secret'}                          | is not a study",
      })
  void whatIsNoStudyIsRefused(String text, String why) {
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> study(text).read())
        .withMessageContaining(why)
        .withMessageNotContaining("secret");
  }

  @Test
  void placesAndValuesBelongTogether() throws IOException {
    String text = "questions:\n  - {ask: rate, tally: '${X}/9', against: 5%}\n";
    assertThat(failure(study(text).read().ask().answers().get(0)))
        .contains("question 1: ${X} has no value; give one with --set X=VALUE");
    assertThat(study(text).set("X", "2").read().ask().answers().get(0).verdict().text())
        .contains("(2 of 9)");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> study(text).set("X", "1").set("Y", "1").read())
        .withMessageContaining("nothing in the study stands for Y");
    assertThatIllegalArgumentException().isThrownBy(() -> study(text).set("a b", "1"));
  }

  /**
   * Every key that editors offer is one that a study takes, and the other way round. The schema is
   * written anew with {@code -Dtavik.guides=write}.
   */
  @Test
  void theSchemaKnowsStudies() throws IOException {
    Path file = Path.of("../demo/study.schema.json");
    if ("write".equals(System.getProperty("tavik.guides"))) {
      Files.writeString(file, StudySchema.json());
    }
    String shipped = Files.readString(file);
    assertThat(shipped).isEqualTo(StudySchema.json());
    JsonSchema schema =
        JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(shipped);
    ObjectMapper yaml = new ObjectMapper(new YAMLFactory());
    try (var in = DemoFiles.open("kiln-acceptance.yaml")) {
      assertThat(schema.validate(yaml.readTree(in))).isEmpty();
    }
    JsonNode good =
        yaml.readTree(
            "{data: a.csv, adjust: none, include: [a.yaml], questions:"
                + " [{ask: sweep, group: kiln, family: f}, {ask: cross, cells: [[1, 2], [3, 4]]},"
                + " {ask: compare, first: {label: N, tally: 1/9}, second: {label: S, tally: 2/9}}]}");
    assertThat(schema.validate(good)).isEmpty();
    for (String bad :
        List.of(
            "{questions: []}",
            "{study: x}",
            "{adjust: holmes, questions: [{ask: rate}]}",
            "{questions: [{ask: guess}]}",
            "{questions: [{ask: rate, outcom: grade}]}",
            "{questions: [{tally: 1/9}]}")) {
      assertThat(schema.validate(yaml.readTree(bad))).as(bad).isNotEmpty();
    }
  }

  /** A fault in one question is that question's; the others are answered. */
  @Test
  void aFaultCostsOneQuestion() throws IOException {
    SourceOpener faulty =
        name -> {
          if (name.endsWith("fault.csv")) {
            throw new IllegalStateException("a bug");
          }
          return SourceOpener.file(name);
        };
    Path file = folder.resolve("study/study.yaml");
    Files.writeString(
        file,
        """
        questions:
          - {ask: rate, data: fault.csv, outcome: a, success: b, against: 5%}
          - {ask: rate, tally: 14/400, against: 5%}
        """);
    StudyAnswer study = StudyFile.of(file.toString(), faulty).read().ask();
    assertThat(study.faulty()).isTrue();
    assertThat(failure(study.answers().get(0))).contains("a fault in Tavik");
    assertThat(study.answers().get(1).verdict().text()).contains("(14 of 400)");
  }
}
