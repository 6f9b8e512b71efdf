package dev.tavik.study;

import static org.assertj.core.api.Assertions.assertThat;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Block;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Failure;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Question;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a file brings with it is told with the answer. */
class DataCautionsTest {
  private static final Tabulation LOG = log();

  private static Tabulation log() {
    Map<List<String>, Long> counts = new LinkedHashMap<>();
    counts.put(List.of("cracked", "North"), 14L);
    counts.put(List.of("sound", "North"), 386L);
    counts.put(List.of("Cracked ", "north"), 3L);
    counts.put(List.of("sound", "South"), 7L);
    return Tabulation.of(
        "log.csv", List.of("grade", "kiln"), counts, 425, 5, Map.of("grade", 8L, "kiln", 2L));
  }

  @Test
  void missingValuesAndSimilarLevelsAreTold() {
    Provenance from = Provenance.of(LOG, List.of("cracked"), null, List.of("shift=early"));
    assertThat(from.outcome()).isEqualTo("grade");
    assertThat(from.group()).isEqualTo("kiln");
    Answer answer = RateQuestion.of(LOG.tally("grade", "cracked"), 0.05).countedFrom(from).ask();
    assertThat(answer.estimate(Estimand.PROPORTION).value()).isEqualTo(14.0 / 410);
    assertThat(answer.cautions())
        .extracting(Caution::code)
        .contains(Caution.Code.MISSING_VALUES, Caution.Code.SIMILAR_LEVELS);
    assertThat(answer.cautions().toString())
        .contains("10 of 420 were left out for a missing value")
        .contains("grade lacks 8")
        .contains("kiln lacks 2")
        .contains("'cracked' and 'Cracked ' differ only in case, blanks or accents")
        .contains("'North' and 'north' differ only in case, blanks or accents");
  }

  @Test
  void groupsWithoutObservationsAreNamedOnce() {
    RateQuestion question =
        RateQuestion.of(Map.of("North", Tally.of(14, 400)), RateSettings.against(0.05))
            .withEmptyGroups(List.of("Tunnel", "Old"))
            .named("Cracks")
            .countedFrom(Provenance.of(LOG, List.of("cracked"), "n", List.of()));
    Answer answer = question.ask();
    assertThat(answer.cautions())
        .extracting(Caution::code)
        .contains(Caution.Code.EMPTY_GROUP, Caution.Code.MISSING_VALUES);
    assertThat(answer.cautions().toString())
        .contains("Without any observation, and left out: Tunnel, Old.");
    assertThat(answer.parts()).hasSize(1);
    assertThat(answer.verdict().text()).endsWith("adjusted by Holm's method for 1 group.");
  }

  @Test
  void aStudyKeepsItsOrderAndTellsWhatFailed() {
    Question rate = RateQuestion.of(Tally.of(14, 400), 0.05).named("first");
    Question none =
        () -> Unanswered.of(rate, "rate", "second", new Failure("data-empty", "nothing to count."));
    StudyAnswer answer = new Study("Two", List.of(rate, none)).ask();
    assertThat(answer.answers()).extracting(Answer::label).containsExactly("first", "second");
    assertThat(answer.complete()).isFalse();
    assertThat(answer.answers().get(1).verdict().text())
        .isEqualTo("Not answered: nothing to count.");
    assertThat(new Study("One", List.of(rate)).ask().complete()).isTrue();
  }

  /** A finding that can't be read is a fault of its question, and the others stay. */
  @Test
  void anAnswerThatCantBeWrittenCostsItselfOnly() {
    Answer good = RateQuestion.of(Tally.of(14, 400), 0.05).named("first").ask();
    Finding broken =
        new Finding() {
          @Override
          public List<Block> reading() {
            throw new IllegalStateException("a bug");
          }
        };
    StudyAnswer study = new StudyAnswer("Two", List.of(good, good.with(broken)));
    StudyAnswer written = study.written(answer -> answer.reading(Detail.EVERY_ROW));
    assertThat(written.faulty()).isTrue();
    assertThat(written.answers().get(0)).isSameAs(good);
    assertThat(written.answers().get(1).verdict().text()).contains("a fault in Tavik", "a bug");
    assertThat(written.decisions()).hasSize(1);
  }
}
