package dev.tavik.data.study;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.study.rate.EvidenceForecastQuestion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Makes a question about planned observations of a rate from its words. */
record OutlookSpec(QuestionArguments spec) {
  private static final List<String> WORDS =
      List.of(
          "planned", "threshold", "expect", "against", "alternative", "prior", "bayes", "label");
  private static final int MOST_LINES = 200;

  EvidenceForecastQuestion question() {
    for (String word : QuestionKind.RATE.words().names()) {
      // A study gives its alpha to every question.
      boolean ofStudy = word.equals("alpha") && spec.name(word).equals(word);
      if (spec.has(word) && !ofStudy && !WORDS.contains(word)) {
        throw spec.refusal(
            "%s doesn't go with {planned}, which is about observations that are not made yet;"
                + " leave it out",
            word.equals("tally") ? "a tally" : spec.name(word));
      }
    }
    String against =
        spec.required(
            "against", "the value that the rate is held against, such as 0.05, 5% or 1/20");
    @Nullable String alternative = spec.text("alternative");
    @Nullable String label = spec.text("label");
    @Nullable String expected = spec.text("expect");
    return new EvidenceForecastQuestion(
        label == null ? "" : label,
        planned(),
        new Hypothesis(
            Proportion.parse(spec.name("against"), against),
            alternative == null ? Alternative.TWO_SIDED : Alternative.of(alternative)),
        spec.has("prior")
            ? BetaPrior.parse(spec.name("prior"), String.join(",", spec.all("prior")))
            : BetaPrior.UNIFORM,
        threshold(),
        expected == null ? null : Proportion.parse(spec.name("expect"), expected));
  }

  private double threshold() {
    @Nullable String text = spec.text("threshold");
    if (text == null) {
      return EvidenceForecastQuestion.USUAL_THRESHOLD;
    }
    spec.check(
        text.matches("\\d{1,9}(\\.\\d{1,9})?") && Double.parseDouble(text) > 1,
        "{threshold} must be a number above 1 such as 20, how many times likelier, got '%s'",
        text);
    return Double.parseDouble(text);
  }

  private List<Long> planned() {
    List<Long> planned = Ranges.counts(spec, "planned");
    spec.check(
        !planned.isEmpty() && planned.size() <= MOST_LINES,
        "{planned} must give 1 to %s numbers of observations, got %s",
        MOST_LINES,
        planned.isEmpty() ? "none" : "more");
    return planned;
  }
}
