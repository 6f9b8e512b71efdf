package dev.tavik.answer;

import dev.tavik.result.Adjustment;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Is one test of a study, with its p-value adjusted over its family.
 *
 * @param number the number of its question, from 1
 * @param label the question's label, or its kind
 * @param part the group or pair of the question; empty where it has none
 * @param family the family over which it is adjusted; empty for the whole study
 * @param alpha the significance level of its question
 * @param test the test, with its adjusted p-value
 * @param rejectionWanted whether rejecting shows what was to be shown, as of equivalence
 */
public record TestDecision(
    int number,
    String label,
    String part,
    String family,
    double alpha,
    TestResult test,
    boolean rejectionWanted) {

  /** {@return whether its null is rejected, taken by itself} */
  public boolean rejects() {
    return test.rejects(alpha);
  }

  /** {@return whether its null is rejected with regard to all tests of its family} */
  public boolean survives() {
    return test.rejectsAdjusted(alpha);
  }

  /** {@return the name of its question, and of its part of it} */
  public String name() {
    return label + (part.isEmpty() ? "" : ", " + part);
  }

  /** {@return what became of it, in words} */
  public String outcome() {
    if (!rejects()) {
      return "does not reject";
    }
    return survives() ? "rejects" : "rejects by itself only";
  }

  /**
   * Lists the tests of several questions: of one with parts, a test for each of them, that on which
   * the part's verdict rests; of others that of their own verdict.
   *
   * @param answers the answers, in the order of their questions
   * @param families the family of each answer
   * @param adjustment how p-values are adjusted
   * @return the decisions
   */
  public static List<TestDecision> of(
      List<Answer> answers, List<String> families, Adjustment adjustment) {
    List<TestDecision> decisions = new ArrayList<>();
    for (int i = 0; i < answers.size(); i++) {
      Answer answer = answers.get(i);
      List<SubAnswers> parts = answer.findAll(SubAnswers.class);
      for (SubAnswers each : parts) {
        for (int k = 0; k < each.answers().size(); k++) {
          add(
              decisions,
              i + 1,
              answer,
              each.names().get(k),
              families.get(i),
              each.answers().get(k));
        }
      }
      if (parts.isEmpty()) {
        add(decisions, i + 1, answer, "", families.get(i), answer);
      }
    }
    return adjusted(decisions, adjustment);
  }

  private static void add(
      List<TestDecision> decisions,
      int number,
      Answer whole,
      String part,
      String family,
      Answer tested) {
    if (tested.verdict().test().isPresent()) {
      String label = whole.label().isEmpty() ? whole.kind() : whole.label();
      double alpha = tested.find(Tests.class).map(Tests::alpha).orElseThrow();
      decisions.add(
          new TestDecision(
              number,
              label,
              part,
              family,
              alpha,
              tested.test(),
              tested.verdict().rejectionWanted()));
    }
  }

  private static List<TestDecision> adjusted(List<TestDecision> decisions, Adjustment adjustment) {
    Map<String, List<Integer>> families = new LinkedHashMap<>();
    for (int i = 0; i < decisions.size(); i++) {
      families.computeIfAbsent(decisions.get(i).family(), name -> new ArrayList<>()).add(i);
    }
    List<TestDecision> adjusted = new ArrayList<>(decisions);
    for (List<Integer> family : families.values()) {
      List<TestResult> tests =
          adjustment.of(family.stream().map(i -> decisions.get(i).test()).toList());
      for (int i = 0; i < family.size(); i++) {
        adjusted.set(family.get(i), decisions.get(family.get(i)).with(tests.get(i)));
      }
    }
    return adjusted;
  }

  private TestDecision with(TestResult other) {
    return new TestDecision(number, label, part, family, alpha, other, rejectionWanted);
  }

  /** {@return what machines see of it} */
  public Value figures() {
    Value.Fields fields =
        Value.result()
            .with("number", (long) number)
            .with("label", label)
            .with("part", part.isEmpty() ? null : part)
            .with("family", family.isEmpty() ? null : family)
            .with("method", test.method().id())
            .with("alpha", alpha)
            .with("pValue", test.pValue())
            .with("log10PValue", test.log10PValue())
            .with("rejects", rejects());
    TestResult.AdjustedP adjusted = test.adjusted();
    return adjusted == null
        ? fields
        : fields
            .with("adjustedPValue", adjusted.pValue())
            .with("log10AdjustedPValue", adjusted.log10PValue())
            .with("survives", survives());
  }
}
