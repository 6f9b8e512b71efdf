package dev.tavik.study.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.SimulationFinding;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.simulation.Draws;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.simulated.SimulatedQuestion.NullModel;
import dev.tavik.study.simulated.SimulatedQuestion.Stop;
import java.util.List;
import org.junit.jupiter.api.Test;

class SimulatedQuestionTest {
  @Test
  void questionsStandBesideTheirFormulas() {
    Answer answer =
        new SimulatedQuestion(
                RateQuestion.of(
                    Tally.of(2, 30),
                    RateSettings.against(0.2).tests(List.of(ProportionTest.EXACT))),
                Draws.of(200_000, 4),
                NullModel.SHUFFLE,
                Stop.AFTER_ALL)
            .ask();
    SimulationFinding view = answer.find(SimulationFinding.class).orElseThrow();
    assertThat(view.tail().method().id()).isEqualTo("exact");
    assertThat(view.agrees(1)).isTrue();
    assertThat(Math.pow(10, view.formulas().get(1))).isCloseTo(view.tail().pValue(), within(0.005));
    assertThat(SimulatedQuestion.of(RateQuestion.of(Tally.of(2, 30), 0.2), Draws.of(10, 4)).stop())
        .isEqualTo(Stop.AFTER_ALL);
  }
}
