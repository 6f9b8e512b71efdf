package dev.tavik.data.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Question;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.paired.PairedQuestion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.NoSuchFileException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CompareSpecTest {
  private static Question ask(String file, String... words) {
    Map<String, List<String>> values = new LinkedHashMap<>();
    for (String word : words) {
      int colon = word.indexOf(':');
      values.put(
          word.substring(0, colon), Arrays.asList(word.substring(colon + 1).split("\\|", -1)));
    }
    SourceOpener opening =
        name -> {
          if (!name.equals("file")) {
            throw new NoSuchFileException(name);
          }
          return new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8));
        };
    return CompareSpec.question(
        new QuestionArguments(values, QuestionArguments.Wording.KEY), opening);
  }

  private static CompareQuestion two(Question question) {
    return (CompareQuestion) question;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "kiln,cracked,sound\nNorth,3,9\nSouth,9,2\n",
        "kiln,cracked,sound,total\nNorth,3,9,12\nSouth,9,2,11\nTotal,12,11,23\n",
        "Kilns in week 18\nkiln;cracked;n\nNorth;3;12\nSouth;9;11\n",
        "\tcracked\tsound\nNorth\t3\t9\nSouth\t9\t2\nSum\t12\t11\n",
        "\uFEFF\"Kilns, week 18\",,\n\nkiln,cracked,TOTAL,\nNorth,3,12,\nSouth,9,11,\n,,,\n",
        "kiln,cracked,sound,together\nNorth,3,9,12\nSouth,9,2,11\n"
      })
  void everyShapeOfATwoWayTableGivesTheSameGroups(String table) {
    CompareQuestion question = two(ask(table, "table:file"));
    assertThat(question.first().name()).isEqualTo("North");
    assertThat(question.first().tally()).isEqualTo(Tally.of(3, 12));
    assertThat(question.second().tally()).isEqualTo(Tally.of(9, 11));
    assertThat(question.label()).isEqualTo("cracked");
    boolean totals =
        table.contains("otal,12") || table.contains("Sum") || table.contains("together");
    assertThat(question.ask().cautions().stream().anyMatch(c -> c.code() == Code.TOTALS_LEFT_OUT))
        .isEqualTo(totals);
  }

  @Test
  void theSuccessAndTheTotalOfATableMayBeNamed() {
    String table = "kiln,sound,cracked,warped\nNorth,\"1,200\",30,10\nSouth,900,40,20\n";
    CompareQuestion two = two(ask(table, "table:file", "success:cracked,warped"));
    assertThat(two.first().tally()).isEqualTo(Tally.of(40, 1240));
    assertThat(two.second().tally()).isEqualTo(Tally.of(60, 960));
    CompareQuestion ofAll =
        two(ask("kiln,cracked,tiles\nNorth,3,12\nSouth,9,11\n", "table:file", "total:tiles"));
    assertThat(ofAll.second().tally()).isEqualTo(Tally.of(9, 11));
  }

  @Test
  void rowsOfOneNameInTwoSpellingsAreToldOf() {
    Question question = ask("kiln,cracked,n\nNorth,3,12\nnorth ,9,11\n", "table:file");
    assertThat(two(question).ask().cautions())
        .extracting(caution -> caution.code())
        .contains(Code.SIMILAR_LEVELS);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "kiln,cracked,sound;North,3,9;Total,4,9|rows above add up to 3",
        "kiln,cracked,sound;North,3%,9;South,1,2|not percents",
        "kiln,cracked,sound;North,3.5,9;South,1,2|line 2, column cracked has '3.5'",
        "kiln,cracked,sound;North,1,029,8971;South,1,2|must stand in quotes",
        "kiln,cracked,sound;North,3;South,1,2|has 2 fields",
        "kiln,cracked,sound;North,3,9;North,1,2|two rows or two columns called 'North'",
        "kiln,cracked,n;North,13,9;South,1,2|successes can't be more than the total",
        "kiln,cracked;North,3;South,1|no column for failures",
        "kiln,,sound;North,3,9;South,1,2|without a name",
        "kiln,a,b,c;North,3,9,1;South,1,2,7|success must name those",
        "kiln,n,total;North,3,9;South,1,2|several columns that could be totals",
        "kiln,cracked,sound;North,3,9;South,0,0|only North",
        "kiln|has no table"
      })
  void tablesThatCannotBeReadAreRefusedWithTheReason(String table, String reason) {
    assertThatThrownBy(() -> ask(table.replace(';', '\n'), "table:file"))
        .isInstanceOfAny(DataException.class, SpecException.class)
        .hasMessageContaining(reason);
  }

  @Test
  void rowsFrequenciesTablesAndTalliesGiveTheSameAnswer() throws IOException {
    StringBuilder rows = new StringBuilder("kiln,grade\n");
    rows.append("North,cracked\n".repeat(3)).append("North,sound\n".repeat(9));
    rows.append("South,cracked\n".repeat(9)).append("South,sound\n".repeat(2));
    String counted =
        "kiln,grade,n\nNorth,cracked,3\nNorth,sound,9\nSouth,cracked,9\nSouth,sound,2\n";
    List<Question> same =
        List.of(
            ask("", "tally:North=3/12|South=9/11", "tests:all", "intervals:all"),
            ask(
                "",
                "first:label=North|tally=3/12",
                "second:label=South|tally=9/11",
                "tests:all",
                "intervals:all"),
            ask(
                rows.toString(),
                "data:file",
                "outcome:grade",
                "success:cracked",
                "group:kiln",
                "tests:all",
                "intervals:all"),
            ask(
                counted,
                "data:file",
                "outcome:grade",
                "success:cracked",
                "group:kiln",
                "count:n",
                "tests:all",
                "intervals:all"),
            ask(
                "kiln,cracked,n\nNorth,3,12\nSouth,9,11\n",
                "table:file",
                "tests:all",
                "intervals:all"));
    Answer expected = two(same.get(0)).ask();
    assertThat(expected.tests()).hasSize(10);
    assertThat(expected.intervals()).hasSize(16);
    for (Question question : same) {
      Answer answer = two(question).ask();
      assertThat(answer.tests()).isEqualTo(expected.tests());
      assertThat(answer.intervals()).isEqualTo(expected.intervals());
      assertThat(two(question).order()).isEqualTo("North minus South");
    }
  }

  @Test
  void theBaselineTurnsTheOrderRound() {
    CompareQuestion turned = two(ask("", "tally:North=3/12|South=9/11", "baseline:north"));
    assertThat(turned.order()).isEqualTo("South minus North");
    Answer three = ((CompareQuestion) ask("", "tally:A=3/12|B=9/11|C=5/9", "baseline:B")).ask();
    assertThat(three.parts())
        .extracting(pair -> ((CompareQuestion) pair.question()).order())
        .containsExactly("A minus B", "C minus B");
  }

  @Test
  void pairsComeFromTwoColumnsOrFourCells() {
    PairedTally expected = PairedTally.of(2, 1, 3, 1);
    String rows =
        """
        first,second
        cracked,cracked
        cracked,warped
        cracked,sound
        sound,cracked
        sound,warped
        sound,warped
        sound,sound
        ,sound
        """;
    PairedQuestion counted =
        (PairedQuestion)
            ask(rows, "paired:true", "data:file", "outcome:first,second", "success:cracked,warped");
    assertThat(counted.tally()).isEqualTo(expected);
    assertThat(counted.first()).isEqualTo("first");
    assertThat(counted.ask().cautions()).extracting(c -> c.code()).contains(Code.MISSING_VALUES);
    assertThat(((PairedQuestion) ask("", "paired:true", "cells:2 1; 3 1")).tally())
        .isEqualTo(expected);
    assertThat(((PairedQuestion) ask("", "paired:true", "cells:2 1|3 1")).tally())
        .isEqualTo(expected);
    assertThat(ask("", "paired:false", "tally:A=3/12|B=9/11")).isInstanceOf(CompareQuestion.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "paired:true,cells:1 2 3 4;four whole counts in two rows",
        "paired:true,cells:1 2|3 x;four whole counts in two rows",
        "paired:true,tally:A=1/2|B=1/2;a tally doesn't go with paired",
        "paired:true,cells:1 2|3 4,margin:3%;margin doesn't go with paired",
        "paired:true,cells:1 2|3 4,data:file;leave one out",
        "paired:true,data:file,outcome:a,success:x;two columns of the same units",
        "cells:1 2|3 4;go with paired",
        "first:tally=1/2;second must have a tally",
        "first:label=A,second:tally=1/2;must have a tally",
        "first:tally=1/2|note=x,second:tally=1/2;mapping with label and tally",
        "first:label=A|tally=1/2,second:label=A|tally=1/2;both groups are called 'A'",
        "first:tally=1/2,tally:A=1/2;not both",
        "tally:A=1/2|B=1/2,margin:3%,show:alike;show must be one of"
      })
  void wordsThatMakeNoComparisonAreRefused(String words, String reason) {
    assertThatThrownBy(() -> ask("", words.split(",(?=[a-z]+:)")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(reason);
  }
}
