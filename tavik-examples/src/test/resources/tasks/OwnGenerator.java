package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.answer.SimulationFinding;
import dev.tavik.count.Tally;
import dev.tavik.simulation.Draws;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import java.util.random.RandomGenerator;

/** Simulation by one's own generator. */
public final class OwnGenerator {
  public static String run() throws Exception {
    RandomGenerator own = RandomGenerator.of("L64X128MixRandom");
    RateQuestion rate = RateQuestion.of(Tally.of(14, 400), 0.05);
    Answer answer = SimulatedQuestion.of(rate, Draws.of(10_000, own)).ask();
    return answer.find(SimulationFinding.class).orElseThrow().simulation().tails().toString();
  }
}
