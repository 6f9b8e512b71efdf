package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Rejected pairs against asking the test about every pair, weighted by binomial products. */
class CriticalPairsTest {
  private static final int[][] SIZES = {{1, 1}, {3, 2}, {7, 9}, {12, 5}, {14, 14}, {6, 30}};

  private static double mass(int n, int x, double p) {
    double mass = Math.pow(p, x) * Math.pow(1 - p, n - x);
    for (int i = 1; i <= x; i++) {
      mass *= (n - x + i) / (double) i;
    }
    return mass;
  }

  private static double enumerated(
      int n1, int n2, double p1, double p2, BiPredicate<Tally, Tally> rejects) {
    double sum = 0;
    for (int x = 0; x <= n1; x++) {
      for (int y = 0; y <= n2; y++) {
        if (rejects.test(Tally.of(x, n1), Tally.of(y, n2))) {
          sum += mass(n1, x, p1) * mass(n2, y, p2);
        }
      }
    }
    return sum;
  }

  static Stream<Arguments> tests() {
    List<Arguments> cases = new ArrayList<>();
    for (TwoProportionTest test : TwoProportionTest.values()) {
      for (Alternative alternative : Alternative.values()) {
        for (double against : new double[] {0, -0.1, 0.15}) {
          if (test != TwoProportionTest.BARNARD && test.knows(against)) {
            cases.add(Arguments.of(test, new Hypothesis(against, alternative)));
          }
        }
      }
    }
    return cases.stream();
  }

  @ParameterizedTest
  @MethodSource("tests")
  void chancesAreSumsOverRejectedPairs(TwoProportionTest test, Hypothesis hypothesis) {
    for (int[] n : SIZES) {
      for (double alpha : new double[] {0.05, 0.2}) {
        CriticalPairs pairs = test.criticalPairs(n[0], n[1], hypothesis, alpha);
        for (double[] p : new double[][] {{0.3, 0.3}, {0.05, 0.6}, {0.9, 0.4}, {0.001, 0.999}}) {
          assertThat(pairs.chance(p[0], p[1]))
              .as("%d and %d at %s, alpha %s", n[0], n[1], List.of(p[0], p[1]), alpha)
              .isCloseTo(
                  enumerated(
                      n[0],
                      n[1],
                      p[0],
                      p[1],
                      (one, two) -> test.of(one, two, hypothesis).rejects(alpha)),
                  within(1e-13));
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("margins")
  void equivalenceNeedsBothTests(TwoProportionTest test, double margin) {
    for (int[] n : SIZES) {
      double found = test.equivalenceChance(n[0], n[1], margin, 0.2, 0.55, 0.5);
      double expected =
          enumerated(
              n[0],
              n[1],
              0.55,
              0.5,
              (one, two) ->
                  test.of(one, two, Hypothesis.less(margin)).rejects(0.2)
                      && test.of(one, two, Hypothesis.greater(-margin)).rejects(0.2));
      assertThat(found).isCloseTo(expected, within(1e-13));
    }
  }

  static Stream<Arguments> margins() {
    return Stream.of(
        Arguments.of(TwoProportionTest.SCORE, 0.3),
        Arguments.of(TwoProportionTest.SCORE, 0.6),
        Arguments.of(TwoProportionTest.Z_SEPARATE, 0.4));
  }

  /** The most powerful test of its order that stays at alpha is never beaten by Fisher's. */
  @Test
  void boschlooKeepsAlphaAndBeatsFisher() {
    CriticalPairs boschloo =
        TwoProportionTest.BOSCHLOO.criticalPairs(40, 55, Hypothesis.twoSided(0), 0.05);
    CriticalPairs fisher =
        TwoProportionTest.FISHER.criticalPairs(40, 55, Hypothesis.twoSided(0), 0.05);
    for (int i = 1; i < 200; i++) {
      double p = i / 200.0;
      assertThat(boschloo.chance(p, p)).isLessThanOrEqualTo(0.05);
      assertThat(boschloo.chance(p, 0.3)).isGreaterThanOrEqualTo(fisher.chance(p, 0.3));
    }
  }

  @Test
  void tooMuchIsDeclined() {
    assertThatThrownBy(
            () -> TwoProportionTest.FISHER.criticalPairs(20_000, 1, Hypothesis.twoSided(0), 0.05))
        .isInstanceOf(NotApplicableException.class)
        .hasMessageStartingWith("too-many-pairs-of-counts (20000, ");
  }
}
