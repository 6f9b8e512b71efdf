package dev.tavik.answer;

import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Supplier;

/** Puts an answer together, findings in the order in which a reader wants them. */
public final class AnswerBuilder {
  private final Question question;
  private final String kind;
  private final String label;
  private final List<Finding> findings = new ArrayList<>();
  private List<Condition> conditions = List.of();
  private List<Caution> cautions = List.of();

  AnswerBuilder(Question question, String kind, String label) {
    this.question = question;
    this.kind = kind;
    this.label = label;
  }

  /**
   * Adds a finding.
   *
   * @param finding the finding
   * @return this builder
   */
  public AnswerBuilder add(Finding finding) {
    findings.add(finding);
    return this;
  }

  /**
   * Adds findings.
   *
   * @param more what follows
   * @return this builder
   */
  public AnswerBuilder addAll(Collection<? extends Finding> more) {
    findings.addAll(more);
    return this;
  }

  /**
   * Sets the assumptions of the answer.
   *
   * @param all all of them
   * @return this builder
   */
  public AnswerBuilder conditions(List<Condition> all) {
    conditions = all;
    return this;
  }

  /**
   * Sets the cautions.
   *
   * @param all all of them
   * @return this builder
   */
  public AnswerBuilder cautions(List<Caution> all) {
    cautions = all;
    return this;
  }

  /**
   * Builds the answer from tests and intervals; the rest is computed from them when it is first
   * read.
   *
   * @param tests all tests that were made
   * @param intervals all intervals that methods made
   * @param worded makes the whole answer, of the same question
   * @return the answer
   */
  public Answer worded(List<TestResult> tests, List<Interval> intervals, Supplier<Answer> worded) {
    Lazy<Answer.Content> rest = new Lazy<>(() -> worded.get().content());
    return new Answer(question, kind, label, tests, intervals, rest);
  }

  /**
   * Ends with the verdict.
   *
   * @param said the verdict
   * @return the answer
   */
  public Answer concluded(Verdict said) {
    Answer.Content whole =
        new Answer.Content(
            said, List.copyOf(conditions), List.copyOf(cautions), List.copyOf(findings));
    return new Answer(question, kind, label, List.of(), List.of(), () -> whole);
  }
}
