package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.Locale;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Figures where numbers end: empty cells, perfect tables, 10¹² trials, p below any number. */
class FarFiguresTest {
  /**
   * By their definitions to forty digits in mpmath: power divergence 1.8 Σ O((O/E)^⅔ - 1), Theil's
   * U = G²/(2NH), quantiles, tails and Beta functions. Barnard's and Boschloo's p of n of n against
   * none of n is sup 2πⁿ(1 - π)ⁿ = 2·4⁻ⁿ.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "cross --cells '0 1; 5 0' --tests cressie-read | /tests/0/statistic/value | 5.3066581599254357",
        "cross --cells '3 5; 0 3' --tests cressie-read | /tests/0/statistic/value | 1.6895627698527495",
        "cross --cells '250000100 249999900; 249999800 250000200' | /estimates/7/value | 2.5968510736004687e-13",
        "cross --cells '250000100 249999900; 249999800 250000200' | /estimates/8/value | 2.5968510736003938e-13",
        "cross --cells '90000 10; 7 9000' | /tests/0/log10PValue | -21459.251558431898",
        "cross --cells '90000 10; 7 9000' | /cells/log10AdjustedPValues/0/0 | -21458.64949844057",
        "compare A=600/600 B=0/600 --tests barnard,boschloo | /tests/0/log10PValue | -360.9349648011134",
        "compare A=600/600 B=0/600 --tests barnard,boschloo | /tests/1/log10PValue | -360.9349648011134",
        "compare A=1000/1000 B=0/1000 --tests barnard,boschloo | /tests/0/log10PValue | -601.7589613322983",
        "compare A=1000/1000 B=0/1000 --tests barnard,boschloo | /tests/1/log10PValue | -601.7589613322983",
        "compare A=1/1000000000000 B=1/1000000000000 --intervals agresti-caffo | /intervals/0/upper | 3.919927969068349e-12",
        "compare A=90000000000/100000000000 B=10000000000/100000000000 --bayes --alternative less | /bayes/logBayesFactor | -25.105292472",
        "rate 1000000/1000000 --against 1% --prior 1,0.000001 | /bayes/logBayesFactor | 4605170.1859736986",
        "rate 5/20 --against 50% --prior 1/3,1/3 | /bayes/posterior/0/mean | 0.25806451612903226",
        "rate 5/20 --against 50% --prior 0.3333333333333333,0.3333333333333333 | /bayes/posterior/0/mean | 0.25806451612903226",
        "tail chi-square --df 2 --area 1e-150 | /lines/0/to | 2e-150",
        "tail chi-square --df 2 --area 1e-150 | /lines/1/from | 690.7755278982137",
        "tail f --df 2,2 --area 1e-290 | /lines/0/to | 1e-290",
        "tail t --df 1 --area 1e-290 | /lines/1/from | 3.183098861837907e289",
        "tail t --df 1 --value 1e155 | /lines/1/area | 3.183098861837907e-156",
        "tail chi-square --df 1 --value 1e20 | /lines/1/log10Area | -21714724095162591393",
        "tail chi-square --df 0.01 --area 95% | /lines/0/to | 0.000039523886527874794",
        "tail chi-square --df 0.01 --area 95% | /lines/1/from | 7.016667765235591e-261",
        "compare --paired --cells '5 0; 0 7' --tests mcnemar-mid-p --alternative less | /tests/0/pValue | 0.5",
        "compare --paired --cells '5 0; 0 7' --tests mcnemar-mid-p | /tests/0/pValue | 1"
      })
  void figuresAreRight(String line, String where, double expected) throws IOException {
    assertThat(CommandLine.json(line).at(where).asDouble())
        .isCloseTo(expected, within(2e-11 * Math.abs(expected)));
  }

  /** Limits of the odds ratio at which the score test's chi-square is the critical value. */
  @ParameterizedTest
  @CsvSource({
    "9,23,305789,305789",
    "305789,305789,9,23",
    "50,50,0,14",
    "14,400,31,410",
    "3,10,0,9"
  })
  void oddsRatioLimitsInvertTheScoreTest(long x1, long n1, long x2, long n2) throws IOException {
    JsonNode interval =
        CommandLine.json(
                String.format(
                    Locale.ROOT, "compare A=%d/%d B=%d/%d --intervals score", x1, n1, x2, n2))
            .at("/intervals/0");
    for (String end : new String[] {"lower", "upper"}) {
      double limit = interval.get(end).isNumber() ? interval.get(end).asDouble() : 0;
      if (limit > 0) {
        assertThat(scoreChiSquare(x1, n1, x2, n2, limit))
            .as("%s limit %s", end, limit)
            .isCloseTo(3.841458820694124, within(4e-8));
      }
    }
  }

  /** The likeliest expected counts with an odds ratio, by bisection; chi-square of the first. */
  private static double scoreChiSquare(long x1, long n1, long x2, long n2, double ratio) {
    long all = x1 + x2;
    double low = Math.max(0, all - (double) n2);
    double high = Math.min(n1, all);
    for (int i = 0; i < 2000; i++) {
      double a = low + (high - low) / 2;
      double found = Math.log(a) + Math.log(n2 - (all - a)) - Math.log(n1 - a) - Math.log(all - a);
      if (found < Math.log(ratio)) {
        low = a;
      } else {
        high = a;
      }
    }
    double a = (low + high) / 2;
    double variance = 1 / (1 / a + 1 / (n1 - a) + 1 / (all - a) + 1 / (n2 - all + a));
    return (x1 - a) * (x1 - a) / variance;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "cross --cells '50 0; 0 5'",
        "cross --cells '7 0 0; 0 9 0; 0 0 11'",
        "cross --cells '1 0; 0 1'",
        "cross --cells '999999999 0; 0 1'",
        "cross --paired --cells '50 0; 0 5'"
      })
  void limitsOfPerfectTablesHoldTheMeasure(String line) throws IOException {
    for (JsonNode interval : CommandLine.json(line).get("intervals")) {
      if (interval.get("lower").isNumber() && interval.get("upper").isNumber()) {
        assertThat(interval.get("lower").asDouble())
            .as(interval.toString())
            .isLessThanOrEqualTo(interval.get("upper").asDouble());
      }
    }
  }

  /** Once refused, endless or a fault; now answered with limits in order, and no NaN. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "compare A=990/1000 B=5/1000 --tests all",
        "compare A=6/25 B=0/9 --alternative less --level 50% --intervals koopman",
        "compare A=50/50 B=0/14 --alpha 0.999 --tests all --intervals all",
        "compare A=2360847/5426640 B=0/6 --bayes",
        "compare A=900000000000/1000000000000 B=100000000000/1000000000000 --bayes",
        "rate 500000000000/1000000000000 --against 40% --tests all --intervals all",
        "rate 990/1000 --against 10% --bayes --alternative less",
        "cross --cells '16 1; 2516 12974' --sampling total --prior 1000",
        "cross --cells '16 1; 2516 129745' --sampling total --prior 1000",
        "cross --cells '500000 499000; 250000 251000' --bayes",
        "cross --cells '5000 3 1 9; 2 8000 4 7; 11 1 9000 2' --tests all",
        "shares a=12 b=9 c=979 --against 1%,1%,98% --intervals all",
        "plan compare --base 99.99% --expect 99.99% --show noninferior --margin 1% --power 90%",
        "rate --planned 1000..100000:1000 --against 5% --expect 3%",
        "tail poisson --mean 1e11 --area 2.5%",
        "tail t --df 0.01 --area 2.5%",
        "tail normal --value 1e30",
        "plan compare --base 30% --expect 20% --allocation 1/2 --power 80%",
        "plan compare --base 30% --expect 20% --allocation 0.3333333333333 --power 80%"
      })
  void whatOnceFailedIsAnswered(String line) throws IOException {
    CommandLine answer = CommandLine.shell(line + " --json");
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out()).doesNotContain("\"NaN\"", "\"Infinity\"");
    for (JsonNode interval : new ObjectMapper().readTree(answer.out()).path("intervals")) {
      if (interval.path("lower").isNumber() && interval.path("upper").isNumber()) {
        assertThat(interval.get("lower").asDouble())
            .as(interval.toString())
            .isLessThanOrEqualTo(interval.get("upper").asDouble());
      }
    }
    assertThat(CommandLine.shell(line).out()).doesNotContain(" NaN");
  }

  /** Exact plans and methods assessed at sizes that take seconds. */
  @ParameterizedTest
  @EnabledIfSystemProperty(named = "tavik.proofs", matches = "true")
  @ValueSource(
      strings = {
        "plan compare --base 30% --expect 20% --power 80% --method exact --tests"
            + " fisher,boschloo,z-pooled",
        "assess compare --n 400,400 --p 5% --tests all --intervals all",
        "shares --data demo/firing-log.csv --outcome grade --against equal"
      })
  void largeSizesAreAnswered(String line) throws IOException {
    whatOnceFailedIsAnswered(line);
  }

  /** The table that plans count as rejected is the one that the test rejects. */
  @ParameterizedTest
  @CsvSource({"0.1,true", "0.0999999,false"})
  void aTieIsDecidedAlikeEverywhere(String alpha, boolean rejects) throws IOException {
    String more = " --tests fisher --alpha " + alpha;
    assertThat(CommandLine.json("compare A=3/3 B=0/3" + more).at("/tests/0/rejects").asBoolean())
        .isEqualTo(rejects);
    double power =
        CommandLine.json("plan compare --base 99% --expect 1% --n 3 --method exact" + more)
            .at("/lines/0/attainedPower")
            .asDouble();
    double chance = Math.pow(0.99, 6) + Math.pow(0.01, 6);
    assertThat(power).isCloseTo(rejects ? chance : 0, within(1e-12));
    double size =
        CommandLine.json("assess compare --n 3,3 --p 50%" + more)
            .at("/lines/0/tests/0/rejects")
            .asDouble();
    assertThat(size).isCloseTo(rejects ? 2.0 / 64 : 0, within(1e-12));
  }
}
