package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.data.SourceOpener;
import dev.tavik.result.Numbers;
import dev.tavik.result.Proportion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Makes a question about the tail of a distribution from its words. */
record TailSpec(QuestionArguments spec) {
  /** The parameters of each distribution, those that may be left out in brackets. */
  private static final Map<String, List<String>> PARAMETERS = new LinkedHashMap<>();

  static {
    PARAMETERS.put("normal", List.of("[mean]", "[sd]"));
    PARAMETERS.put("t", List.of("df"));
    PARAMETERS.put("chi-square", List.of("df", "[noncentrality]"));
    PARAMETERS.put("f", List.of("df"));
    PARAMETERS.put("binomial", List.of("n", "p"));
    PARAMETERS.put("hypergeometric", List.of("population", "successes", "n"));
    PARAMETERS.put("beta", List.of("shape"));
    PARAMETERS.put("poisson", List.of("mean"));
  }

  private static final List<String> OTHERS =
      List.of("label", "distribution", "value", "between", "area");

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
    return new TailSpec(spec).question();
  }

  private Question question() {
    String known = String.join(", ", PARAMETERS.keySet());
    String distribution = spec.required("distribution", "one of " + known);
    List<String> parameters = PARAMETERS.get(distribution);
    if (parameters == null) {
      throw new SpecException(
          "there is no distribution '" + distribution + "'; accepted are " + known);
    }
    requireParameters(distribution, parameters);
    long asked = List.of("value", "between", "area").stream().filter(spec::has).count();
    spec.check(
        asked == 1,
        "a tail is asked for by one of {value} X, {between} A,B and {area} P, got %s",
        asked == 0 ? "none" : "several");
    @Nullable String label = spec.text("label");
    @Nullable String area = spec.text("area");
    List<Double> values = numbers(spec.has("between") ? "between" : "value");
    if (area == null && values.size() != (spec.has("between") ? 2 : 1)) {
      throw new SpecException(
          spec.has("between")
              ? spec.name("between") + " must be two values such as 10,20"
              : spec.name("value") + " must be one value such as 1.96");
    }
    return new TailQuestion(
        label == null ? "" : label,
        tail(distribution),
        area == null ? values.get(0) : null,
        area == null && values.size() == 2 ? values.get(1) : null,
        area == null ? null : Proportion.parse(spec.name("area"), area));
  }

  private void requireParameters(String distribution, List<String> parameters) {
    for (String parameter : parameters) {
      if (!parameter.startsWith("[") && !spec.has(parameter)) {
        throw new SpecException(
            distribution + " needs " + spec.name(parameter) + ": " + example(distribution));
      }
    }
    for (String word : QuestionKind.TAIL.words().names()) {
      if (spec.has(word)
          && !OTHERS.contains(word)
          && !parameters.contains(word)
          && !parameters.contains("[" + word + "]")) {
        throw new SpecException(
            spec.name(word) + " is no parameter of " + distribution + ": " + example(distribution));
      }
    }
  }

  private String example(String distribution) {
    return switch (distribution) {
      case "normal" -> spec.name("mean") + " 0 and " + spec.name("sd") + " 1 unless given";
      case "t" -> spec.name("df") + " 12";
      case "chi-square" -> spec.name("df") + " 2, and " + spec.name("noncentrality") + " if any";
      case "f" -> spec.name("df") + " 2,30";
      case "binomial" -> spec.name("n") + " 400 and " + spec.name("p") + " 5%";
      case "hypergeometric" -> spec.say("{population} 500, {successes} 25 and {n} 60");
      case "beta" -> spec.name("shape") + " 2,38";
      default -> spec.name("mean") + " 3.5";
    };
  }

  private Tail tail(String distribution) {
    return switch (distribution) {
      case "normal" -> Tail.normal(number("mean", 0), number("sd", 1));
      case "t" -> Tail.t(number("df", 0));
      case "chi-square" -> Tail.chiSquare(number("df", 0), number("noncentrality", 0));
      case "f" -> Tail.f(pair("df").get(0), pair("df").get(1));
      case "binomial" ->
          Tail.binomial(count("n"), Proportion.parse(spec.name("p"), spec.required("p", "")));
      case "hypergeometric" ->
          Tail.hypergeometric(count("population"), count("successes"), count("n"));
      case "beta" -> Tail.beta(pair("shape").get(0), pair("shape").get(1));
      default -> Tail.poisson(number("mean", 0));
    };
  }

  private List<Double> pair(String word) {
    List<Double> pair = numbers(word);
    if (pair.size() != 2) {
      throw new SpecException(
          spec.name(word) + " must be two numbers such as 2,30, got " + pair.size());
    }
    return pair;
  }

  private double number(String word, double otherwise) {
    List<Double> numbers = numbers(word);
    if (numbers.size() > 1) {
      throw new SpecException(spec.name(word) + " must be one number, got " + numbers.size());
    }
    return numbers.isEmpty() ? otherwise : numbers.get(0);
  }

  private long count(String word) {
    String text = spec.required(word, "a whole number");
    if (!text.matches("\\d{1,13}")) {
      throw new SpecException(spec.name(word) + " must be a whole number, got '" + text + "'");
    }
    return Long.parseLong(text);
  }

  private List<Double> numbers(String word) {
    List<Double> numbers = new ArrayList<>();
    for (String text : spec.list(word)) {
      numbers.add(Numbers.parse(spec.name(word), text));
    }
    return numbers;
  }
}
