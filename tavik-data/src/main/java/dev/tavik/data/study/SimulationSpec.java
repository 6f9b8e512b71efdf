package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.simulation.Draws;
import dev.tavik.study.simulated.SimulatedQuestion;
import dev.tavik.study.simulated.SimulatedQuestion.NullModel;
import dev.tavik.study.simulated.SimulatedQuestion.Stop;
import java.security.SecureRandom;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** The words of the simulated view, which every kind of question has. */
final class SimulationSpec {
  private static final int MOST_SEED = 1_000_000_000;

  private SimulationSpec() {}

  /** The question, with its simulated view if that is asked for. */
  static Question of(QuestionArguments spec, Supplier<Question> question) {
    spec.requireWith("simulate", "seed", "until-clear", "null-model");
    @Nullable String written = spec.text("simulate");
    if (written == null) {
      return question.get();
    }
    spec.check(
        written.matches("\\d{1,11}|[1-9]e\\d{1,2}"),
        "{simulate} must be a number of draws such as 100000 or 1e6, got '%s'",
        written);
    Draws draws = Draws.of((long) Double.parseDouble(written), seed(spec));
    @Nullable String model = spec.text("null-model");
    return new SimulatedQuestion(
        question.get(),
        draws,
        model == null ? NullModel.SHUFFLE : NullModel.of(model),
        spec.flag("until-clear") ? Stop.WHEN_CLEAR : Stop.AFTER_ALL);
  }

  /** Without a seed one is drawn, and the answer names it. */
  private static long seed(QuestionArguments spec) {
    @Nullable String written = spec.text("seed");
    if (written == null) {
      return new SecureRandom().nextInt(MOST_SEED);
    }
    spec.check(
        written.matches("-?\\d{1,18}"),
        "{seed} must be a whole number such as 7, got '%s'",
        written);
    return Long.parseLong(written);
  }
}
