package dev.tavik.data;

import dev.tavik.answer.Question;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import dev.tavik.study.assess.AssessQuestion;
import java.math.BigDecimal;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes a question about the behaviour of methods from its words. */
final class AssessSpec {
  private final Spec spec;

  private AssessSpec(Spec spec) {
    this.spec = spec;
  }

  /**
   * Makes the question.
   *
   * @param spec the words
   * @param opening not used; no file is read
   * @return the question
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   */
  public static Question question(Spec spec, Opening opening) {
    return new AssessSpec(spec).question();
  }

  private Question question() {
    String kind = spec.required("for", "rate or compare");
    if (!kind.equals("rate") && !kind.equals("compare")) {
      throw new SpecException("methods are assessed for rate or compare, got '" + kind + "'");
    }
    boolean rate = kind.equals("rate");
    @Nullable String label = spec.text("label");
    @Nullable String alternative = spec.text("alternative");
    double alpha = proportion("alpha", 0.05);
    return new AssessQuestion(
        label == null ? "" : label,
        sizes(rate),
        rate ? rates() : pairs(),
        proportion("level", BigDecimal.ONE.subtract(BigDecimal.valueOf(alpha)).doubleValue()),
        alpha,
        alternative == null ? Alternative.TWO_SIDED : Alternative.of(alternative),
        rate
            ? chosen(
                "intervals",
                List.of(ProportionInterval.values()),
                List.of(
                    ProportionInterval.WALD,
                    ProportionInterval.WILSON,
                    ProportionInterval.CLOPPER_PEARSON),
                ProportionInterval::id)
            : List.of(),
        rate
            ? chosen(
                "tests",
                List.of(ProportionTest.values()),
                List.of(ProportionTest.SCORE, ProportionTest.EXACT),
                ProportionTest::id)
            : List.of(),
        rate
            ? List.of()
            : chosen(
                "intervals",
                ComparisonInterval.values(),
                List.of(
                    DifferenceInterval.WALD, DifferenceInterval.NEWCOMBE, DifferenceInterval.MEE),
                ComparisonInterval::id),
        rate
            ? List.of()
            : chosen(
                "tests",
                List.of(TwoProportionTest.values()),
                List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER),
                TwoProportionTest::id));
  }

  private double proportion(String word, double otherwise) {
    @Nullable String text = spec.text(word);
    return text == null ? otherwise : Proportion.parse(spec.name(word), text);
  }

  private <M> List<M> chosen(
      String word, List<M> all, List<? extends M> usual, Function<M, String> id) {
    return spec.has(word)
        ? CountsSpec.methods(spec, word, all, id).stream().distinct().toList()
        : List.copyOf(usual);
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
