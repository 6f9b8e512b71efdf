package dev.tavik.answer;

import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;

/**
 * Says of a designed sample what the same rows would say if they had been drawn simply at random,
 * beside what its design says.
 *
 * @param counted what was counted, weights left aside
 * @param value the rate, or the difference of two
 * @param test a test that knows of no design
 * @param alpha the significance level
 * @param interval an interval that knows of none
 * @param sentence the same in words
 */
public record SimpleRandom(
    Value.Fields counted,
    double value,
    TestResult test,
    double alpha,
    Interval interval,
    String sentence)
    implements Finding {

  @Override
  public String key() {
    return "asIfSimpleRandom";
  }

  @Override
  public Value figures() {
    return Value.fields()
        .and(counted)
        .with("test", Tests.figures(test, alpha))
        .with("interval", Intervals.figures(interval));
  }

  @Override
  public List<Block> reading() {
    return List.of(Block.paragraph(sentence));
  }
}
