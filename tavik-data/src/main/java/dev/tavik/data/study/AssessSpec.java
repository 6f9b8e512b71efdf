package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.data.SourceOpener;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.study.assess.AssessQuestion;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes a question about the behaviour of methods from its words. */
record AssessSpec(QuestionArguments spec) {

  /**
   * Makes the question.
   *
   * @param spec the words
   * @param opening not used; no file is read
   * @return the question
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   */
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    return new AssessSpec(spec).question();
  }

  private Question question() {
    String kind = spec.required("for", "rate or compare");
    if (!kind.equals("rate") && !kind.equals("compare")) {
      throw new SpecException("methods are assessed for rate or compare, got '" + kind + "'");
    }
    boolean rate = kind.equals("rate");
    List<Long> n = sizes(rate);
    AssessQuestion usual =
        rate
            ? AssessQuestion.rate(n.get(0), rates())
            : AssessQuestion.compare(n.get(0), n.get(1), pairs());
    AssessQuestion question =
        spec.choices(
            usual,
            rate ? List.of(ProportionTest.values()) : List.of(TwoProportionTest.values()),
            rate ? List.of(ProportionInterval.values()) : List.of(ComparisonInterval.values()));
    @Nullable String alternative = spec.text("alternative");
    @Nullable String label = spec.text("label");
    return question
        .alternative(alternative == null ? Alternative.TWO_SIDED : Alternative.of(alternative))
        .named(label == null ? "" : label);
  }

  private List<Long> sizes(boolean rate) {
    List<String> written = spec.list("n");
    if (written.isEmpty() || written.stream().anyMatch(each -> !each.matches("\\d{1,9}"))) {
      throw new SpecException(
          spec.name("n")
              + (rate
                  ? " must be the size of the sample, such as 400"
                  : " must be the size of both groups, such as 60,80"));
    }
    List<Long> sizes = written.stream().map(Long::parseLong).toList();
    spec.check(
        (rate ? sizes.size() == 1 : sizes.size() <= 2),
        "{n} must be %s, got %s",
        rate ? "one number" : "one number or two",
        sizes.size());
    return rate || sizes.size() == 2 ? sizes : List.of(sizes.get(0), sizes.get(0));
  }

  private List<Double> rates() {
    List<Double> rates = Ranges.proportions(spec, "p");
    spec.check(!rates.isEmpty(), "{p} must give the true rates, such as 5%% or 1%%..20%%:1%%");
    return rates;
  }

  /** One rate, or each of a range, for both groups; two for the first and the second. */
  private List<Double> pairs() {
    List<Double> rates = rates();
    boolean two = rates.size() == 2 && !String.join("", spec.list("p")).contains("..");
    return two ? rates : rates.stream().flatMap(p -> Stream.of(p, p)).toList();
  }
}
