package dev.tavik.data.study;

import dev.tavik.result.Numbers;
import dev.tavik.result.Proportion;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;

/** Reads lists of numbers apart by commas, with ranges such as {@code 200..2000:200} in them. */
final class Ranges {
  private static final int MOST = 1000;

  private Ranges() {}

  /** Whole numbers from 1, with thousands separators only in quotes of a file; 1e3 is no number. */
  static List<Long> counts(QuestionArguments spec, String word) {
    return read(spec, word, "numbers such as 200,400 or 200..2000:200", Ranges::count).stream()
        .map(BigDecimal::longValueExact)
        .toList();
  }

  private static BigDecimal count(String name, String text) {
    if (!text.matches("[1-9]\\d{0,11}")) {
      throw new SpecException(
          "%s must be whole numbers from 1 such as 200,400 or 200..2000:200, got '%s'", name, text);
    }
    return new BigDecimal(text);
  }

  /** Proportions as people write them. */
  static List<Double> proportions(QuestionArguments spec, String word) {
    return doubles(
        spec,
        word,
        "proportions such as 4%,5% or 1%..20%:1%",
        (name, text) -> BigDecimal.valueOf(Proportion.parse(name, text)));
  }

  /** Differences of proportions. */
  static List<Double> differences(QuestionArguments spec, String word) {
    return doubles(
        spec,
        word,
        "differences such as -3%,-4% or -5%..-2%:1%",
        (name, text) -> BigDecimal.valueOf(Proportion.parseDifference(name, text)));
  }

  /** Numbers above 0. */
  static List<Double> positive(QuestionArguments spec, String word, String example) {
    return doubles(spec, word, "numbers such as " + example, Ranges::positive);
  }

  private static BigDecimal positive(String name, String text) {
    return BigDecimal.valueOf(Numbers.positive(name, "numbers above 0", text));
  }

  private static List<Double> doubles(
      QuestionArguments spec,
      String word,
      String example,
      BiFunction<String, String, BigDecimal> parse) {
    return read(spec, word, example, parse).stream().map(BigDecimal::doubleValue).toList();
  }

  private static List<BigDecimal> read(
      QuestionArguments spec,
      String word,
      String example,
      BiFunction<String, String, BigDecimal> parse) {
    List<BigDecimal> values = new ArrayList<>();
    for (String part : spec.list(word)) {
      if (!part.contains("..")) {
        values.add(parse.apply(spec.name(word), part));
        continue;
      }
      String[] ends = part.split("\\.\\.|:", -1);
      if (ends.length != 3 || List.of(ends).contains("")) {
        throw new SpecException(
            "%s: a range needs both ends and a step, %s, got '%s'", spec.name(word), example, part);
      }
      range(spec.name(word), ends, parse, values);
    }
    if (values.size() > MOST) {
      throw new SpecException(spec.name(word) + " gives more than " + MOST + " values");
    }
    return values;
  }

  private static void range(
      String name,
      String[] ends,
      BiFunction<String, String, BigDecimal> parse,
      List<BigDecimal> values) {
    BigDecimal from = parse.apply(name, ends[0].strip());
    BigDecimal to = parse.apply(name, ends[1].strip());
    BigDecimal step = parse.apply(name, ends[2].strip());
    if (to.compareTo(from) < 0 || step.signum() <= 0) {
      throw new SpecException(
          "%s: a range runs upwards, such as 200..2000:200, got '%s..%s:%s'",
          name, ends[0], ends[1], ends[2]);
    }
    for (BigDecimal value = from;
        value.compareTo(to) <= 0 && values.size() <= MOST;
        value = value.add(step)) {
      values.add(value);
    }
  }
}
