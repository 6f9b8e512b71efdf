package dev.tavik.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Decidable;
import dev.tavik.answer.TestDecision;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Says whether a process may continue: it is stopped if a null is rejected or what was to be shown
 * is not shown, and held if the data can't decide.
 *
 * @param state what becomes of the line
 * @param reason why, in words
 */
public record Gate(State state, String reason) {
  private static final int MOST_NAMED = 5;

  /** The states of a gate. */
  public enum State {
    /** The process may continue. */
    OPEN,
    /** The process is stopped: a null is rejected, or what was to be shown is not shown. */
    STOPPED,
    /** The test could not have rejected at any outcome. */
    UNDECIDED
  }

  /**
   * Judges an answer. With groups or pairs, each is held by its p-value adjusted within the
   * question, and one is enough to stop the line.
   *
   * @param answer the answer
   * @return the gate
   * @throws IllegalArgumentException if the answer tests nothing
   */
  public static Gate of(Answer answer) {
    List<Answer> tested = tested(answer).toList();
    if (tested.isEmpty() && undecided(answer)) {
      return new Gate(State.UNDECIDED, answer.verdict().sentence());
    }
    if (tested.isEmpty()) {
      throw new IllegalArgumentException(
          "a gate needs a test, and this answer has none: " + answer.verdict().text());
    }
    List<Answer> stopping =
        tested.stream()
            .filter(each -> rejects(each, each.test()) != each.verdict().rejectionWanted())
            .toList();
    if (!stopping.isEmpty()) {
      return new Gate(State.STOPPED, words(stopping.get(0)));
    }
    boolean undecided =
        tested.stream()
            .noneMatch(each -> each.find(Decidable.class).map(Decidable::possible).orElse(true));
    return undecided
        ? new Gate(
            State.UNDECIDED,
            say(
                "the data can't decide: at alpha %s no outcome of so few observations would have"
                    + " been rejected",
                Figures.plain(alpha(tested.get(0)))))
        : new Gate(State.OPEN, words(tested.get(0)));
  }

  /**
   * Judges a study, each test by its p-value adjusted over the study; one is enough to stop the
   * line.
   *
   * @param study the answers to a study
   * @return the gate
   * @throws IllegalArgumentException if the study tests nothing
   */
  public static Gate of(StudyAnswer study) {
    List<TestDecision> decisions = study.decisions();
    List<Gate> held =
        study.answers().stream()
            .filter(each -> undecided(each) || tested(each).findAny().isPresent())
            .map(Gate::of)
            .filter(each -> each.state() == State.UNDECIDED)
            .toList();
    if (decisions.isEmpty() && held.isEmpty()) {
      throw new IllegalArgumentException("a gate needs a test, and this study has none");
    }
    List<TestDecision> stopping =
        decisions.stream().filter(each -> each.survives() != each.rejectionWanted()).toList();
    if (!stopping.isEmpty()) {
      String named =
          stopping.stream()
              .limit(MOST_NAMED)
              .map(TestDecision::name)
              .collect(Collectors.joining("; "));
      return new Gate(
          State.STOPPED,
          say(
              "%d of %s %s the line, after adjustment: %s%s",
              stopping.size(),
              Figures.counted(decisions.size(), "test", "tests"),
              stopping.size() == 1 ? "stops" : "stop",
              named,
              stopping.size() > MOST_NAMED ? " and others" : ""));
    }
    return held.isEmpty()
        ? new Gate(
            State.OPEN,
            decisions.size() == 1
                ? "the test doesn't stop the line"
                : say("none of %d tests stops the line", decisions.size()))
        : held.get(0);
  }

  /** Whether no part has a test and some part says that no data can decide it. */
  private static boolean undecided(Answer answer) {
    List<Answer> parts = answer.parts();
    return tested(answer).findAny().isEmpty()
        && (parts.isEmpty() ? Stream.of(answer) : parts.stream())
            .anyMatch(
                each -> each.find(Decidable.class).filter(found -> !found.possible()).isPresent());
  }

  private static Stream<Answer> tested(Answer answer) {
    List<Answer> parts = answer.parts();
    return (parts.isEmpty() ? Stream.of(answer) : parts.stream())
        .filter(each -> each.verdict().test().isPresent());
  }

  private static double alpha(Answer answer) {
    return answer.find(Tests.class).map(Tests::alpha).orElseThrow();
  }

  private static boolean rejects(Answer answer, TestResult test) {
    return test.rejectsAdjusted(alpha(answer));
  }

  private static String words(Answer answer) {
    TestResult test = answer.test();
    boolean rejects = rejects(answer, test);
    Verdict verdict = answer.verdict();
    String outcome =
        verdict.rejectionWanted()
            ? rejects ? "it is shown" : "it is not shown"
            : rejects ? "the null is rejected" : "the null is not rejected";
    TestResult.AdjustedP adjusted = test.adjusted();
    return say(
        "%s%s, %sp = %s (%s), alpha %s",
        answer.label().isEmpty() ? "" : answer.label() + ": ",
        outcome,
        adjusted == null ? "" : "adjusted ",
        Figures.pValue(adjusted == null ? test.log10PValue() : adjusted.log10PValue()),
        test.method().id(),
        Figures.plain(alpha(answer)));
  }
}
