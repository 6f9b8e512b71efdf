package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlanCommandTest {
  @TempDir Path folder;

  private static String squeezed(String text) {
    return Arrays.stream(text.split("\\s+")).collect(Collectors.joining(" "));
  }

  /** What is asked, and a part of the answer with its blanks squeezed. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "rate --against 8% --expect 5%,6%,11% --power 90%|8% 6% 1,748 90.0%",
        "rate --against 8% --expect 5%,6%,11% --power 90%|From 731 to 1,748 observations in all",
        "rate --against 8% --expect 5% --power 90%|With 731 observations, a two-sided test (score)"
            + " at alpha 0.05 has a power of 90.0% to tell a rate of 5% from 8%.",
        "rate --against 8% --difference -3% --power 90%|With 731 observations",
        "rate --against 8% --n 731 --power 90%|731 observations find a rate of 5.000% or less, or of"
            + " 11.48% or more",
        "rate --against 8% --expect 5% --n 500..700:100|The power runs from 73.8% to 88.5%",
        "rate --against 8% --expect 5% --power 90% --method exact|With 716 observations",
        "rate --against 8% --expect 5% --power 90% --tests exact|8% 5% 718 90.1% 4.6% 774",
        "rate --against 8% --expect 5% --power 90% --tests exact|from 774 observations on all do",
        "rate --against 5% --expect 1% --power 80%|exactly 5% 1% 142 82.9% 5.1% 173",
        "rate --against 5% --expect 1% --power 80%|By exact power 142 observations reach it, and"
            + " from 173 observations on every number does",
        "rate --against 8% --expect 5% --power 90% --lot 2000|in a lot of 2,000",
        "rate --against 8% --expect 5% --power 90% --response 40%|731 1,828 90.0%",
        "compare --base 8% --expect 5%,4.5% --power 80%|8% 4.5% 2 x 750 1,500 80.0%",
        "compare --base 8% --expect 4.5% --power 80% --units tiles --group kiln|With 750 tiles from"
            + " each kiln (1,500 in all), a two-sided test (z-pooled)",
        "compare --base 8% --expect 5% --power 80%|8.8% 5.8%",
        "compare --base 8% --ratio 0.625 --power 80%|2 x 1,059",
        "compare --base 8% --expect 5% --power 80% --sides one-sided|a one-sided test (z-pooled)",
        "compare --base 8% --expect 4.5% --power 80% --allocation 2.5|500 + 1,249 1,749",
        "compare --base 30% --expect 12% --power 80% --tests fisher,z-pooled|fisher 30% 12% 2 x 88"
            + " 176 80.1% 3.4%",
        "compare --base 8% --expect 8% --show noninferior --margin 3% --alternative less --power 80%|to"
            + " show that the second rate is less than 3 points above the first, if the rates are"
            + " 8% and 8%",
        "compare --base 30% --difference 0 --show equivalent --margin 10% --power 80%|to show that"
            + " the rates differ by less than 10 points",
        "compare --paired --first-only 6% --second-only 2% --power 80%|With 391 pairs",
        "table --df 6 --w 0.2 --power 90%|With 436 observations, a chi-square test with 6 degrees",
        "table --shape 3x4 --w 0.1,0.2 --power 90%|6 0.2 436 90.0%",
        "table --categories 4 --conventional medium --power 90%|3 0.3 158 90.1%",
        "table --shape 3x4 --cramers-v 0.15 --power 90%|effect of w = 0.2121",
        "table --expect 40%,35%,25% --against 50%,30%,20% --power 90%|2 0.2021 310 90.0%",
        "table --cells \"20% 30%; 35% 15%\" --power 90%|w = 0.3015",
        "table --cells \"20 30; 35 15\" --power 90%|w = 0.302 comes from the counts given (100",
        "table --data demo/firing-log.csv --rows kiln --columns grade --power 90%|comes from"
            + " demo/firing-log.csv (1,196 observations)",
        "table --trend 4%,6%,8% --power 80%|With 553 observations in each group (1,659 in all), a"
            + " two-sided test (trend)",
        "rate --half-width 2% --expect 5% --response 40%|wilson 95% 5% 2 469 1,173 2.00",
        "rate --half-width 5% --intervals wald --lot 2000 --design-effect 1.5|wald 95% 50% 5 448",
        "rate --half-width 5%|if the rate is 50%, the worst case",
        "rate --half-width 2% --response 40% --lot 500|1,035 would have to be invited",
        "rate --n 400 --expect 5%|wilson 95% 5% 400 2.17",
        "compare --half-width 3% --base 8% --expect 5%|newcombe",
        "rate --bayes --against 8% --expect 5% --power 80% --threshold 10|With 1,335 observations,"
            + " the Bayes factor against a rate of 8% (prior Beta(1, 1)) reaches 10 for another"
            + " rate with a chance of 80.3% if the rate is 5%",
        "compare --bayes --base 30% --expect 10% --power 80% --threshold 5|the Bayes factor against"
            + " equal rates (prior Beta(1, 1)) reaches 5 for a difference with a chance of 8",
        "compare --bayes --base 30% --expect 30% --n 100|if the rates are 30% and 30%",
      })
  void plansAreSolved(String asked, String expected) {
    CommandLine answer = CommandLine.shell("plan " + asked);
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(answer.out().lines()).allMatch(line -> line.length() <= 80);
    assertThat(squeezed(answer.out())).contains(expected);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "plan|what is planned must be said: rate, compare, shares or table",
        "plan foo|a plan is for rate, compare, shares or table, got 'foo'",
        "plan rate|--against is needed",
        "plan rate --against 8% --expect 8% --power 80%|is the null value itself, 8%",
        "plan rate --against 8% --expect 5% --power 4%|power must be above alpha, 0.05, got 0.04",
        "plan rate --against 8% --expect 5% --alternative greater --power 80%|the expected rate 5%"
            + " lies below the null value 8%, but the alternative is greater",
        "plan rate --against 8% --expect 5%|missing are n and power",
        "plan rate --against 8% --expect 5% --power 80% --n 100|nothing is left to solve for",
        "plan rate --against 8% --expect 5% --power 80|did you mean 80%?",
        "plan rate --against 60 --expect 5% --power 80%|did you mean 60%?",
        "plan rate --against 8% --ratio 20 --power 80%|gives a rate of 1.6",
        "plan rate --against 8% --difference -9% --power 80%|gives a rate of -0.01",
        "plan rate --against 8% --expect 5% --ratio 0.5 --power 80%|said once",
        "plan rate --against 8% --expect 5% --n 200..:100|a range needs both ends and a step",
        "plan rate --against 8% --expect 5% --n 200..2000|a range needs both ends and a step",
        "plan rate --against 8% --expect 5% --n 2000..200:100|a range runs upwards",
        "plan rate --against 8% --expect 5% --n 1..100000:1|gives more than 1000 values",
        "plan rate --against 8% --expect 1%..5%:0.01% --n 10..1000:10|at most 10,000 lines",
        "plan rate --against 8% --base 5% --power 80%|--base doesn't go with plan rate",
        "plan rate --against 8% --expect 5% --power 80% --lot 300 --tests wald|finite lot",
        "plan rate --against 8% --expect 5% --power 80% --method guess|normal or exact",
        "plan rate --bayes --against 8% --expect 5% --power 80% --threshold 1|above 1",
        "plan compare --bayes --base 8% --expect 5% --power 80% --tests fisher|--tests doesn't go",
        "plan rate --half-width 2% --n 100|nothing is left to solve for",
        "plan rate --half-width 60|did you mean 60%?",
        "plan rate --half-width 2% --response 2|must lie strictly between 0 and 1",
        "plan rate --half-width 2% --intervals blaker|--intervals has no 'blaker'",
        "plan compare --base 8% --expect 5% --power 80% --sides three|two-sided or one-sided",
        "plan compare --base 8% --expect 5%,11% --power 80% --sides one-sided|lies on both sides",
        "plan compare --base 8% --expect 5% --power 80% --show equivalent|needs --margin",
        "plan compare --base 8% --expect 5% --power 80% --margin 3%|needs --show",
        "plan compare --base 8% --expect 12% --power 80% --show equivalent --margin 3%|beyond the"
            + " margin",
        "plan compare --base 8% --expect 5% --power 80% --tests fisher --method normal|no power by"
            + " the normal distribution",
        "plan compare --base 2% --expect 2% --power 80% --show noninferior --margin 3%|no room",
        "plan compare --half-width 3% --base 8%|planned for both rates",
        "plan table --w 0.2 --power 80%|a table is described by one of",
        "plan table --df 0 --w 0.2 --power 80%|--df must be a whole number from 1",
        "plan table --shape 3 --w 0.2 --power 80%|rows x columns such as 3x4",
        "plan table --df 3 --conventional huge --power 80%|small (w = 0.1), medium",
        "plan table --cells \"20% 30%; 35% 20%\" --power 80%|these add up to 105%",
        "plan table --cells \"20% 30%; 20% 30%\" --power 80%|independent",
        "plan table --expect 40%,60% --against 40%,60% --power 80%|are those claimed",
        "plan table --trend 5%,5%,5% --power 80%|have no trend",
        "plan table --trend 5%,8% --scores 2,1 --power 80%|scores must rise",
        "plan table --df 3 --w 0.2 --power 80% --method exact|isn't offered for tables",
        "plan table --df 3 --w 0.2 --power 80% --chart effects=x.gif|must end in .png or .svg",
        "plan rate --against 8% --expect 7.9% --power 99% --tests exact|there is no plan: an exact"
            + " search for n ends at 65,536",
        "plan compare --base 30% --expect 29% --power 80% --tests boschloo --n 2000|nothing is left",
        "plan compare --base 30% --expect 29% --tests boschloo --n 2000|there is no plan: boschloo is"
            + " planned for up to 3,000 units",
        "plan compare --base 8% --expect 8% --power 80% --show noninferior --margin 3% --alternative"
            + " two-sided|is about one side",
        "plan rate --against 8% --expect 5% --power 80% --group kiln|--group doesn't go with plan",
      })
  void badPlansAreRefused(String line, String message) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).isEqualTo(2);
    assertThat(answer.out()).isEmpty();
    assertThat(answer.err()).contains(message).doesNotContain("\tat ");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "plan rate --half-width 2% --chart x.svg|the picture of power is of a plan for a test",
        "plan rate --against 8% --expect 1%..7%:1% --power 80% --chart x.svg|one to six curves",
        "plan rate --against 8% --expect 5% --power 80% --tests exact --chart errors=x.svg|of one"
            + " test by the normal distribution",
      })
  void aPictureThatCantBeDrawnCostsThePictureOnly(String line, String why) {
    CommandLine answer = CommandLine.shell(line);
    assertThat(answer.status()).as(answer.err()).isEqualTo(2);
    assertThat(answer.out()).contains("The plan, solved for n");
    assertThat(answer.err()).startsWith("tavik: x.svg is not drawn: ").contains(why);
  }

  @Test
  void programsGetEveryLine() throws IOException {
    JsonNode plan = CommandLine.json("plan compare --base 8% --expect 5%,4.5% --power 80%");
    assertThat(plan.get("solvedFor").asText()).isEqualTo("n");
    JsonNode line = plan.at("/lines/0");
    assertThat(line.get("n").toString()).isEqualTo("[1059,1059]");
    assertThat(line.get("holdsFrom")).isEqualTo(line.get("n"));
    assertThat(line.get("total").asInt()).isEqualTo(2118);
    assertThat(line.get("base").asDouble()).isEqualTo(0.08);
    assertThat(line.get("expect").asDouble()).isEqualTo(0.05);
    assertThat(line.get("attainedPower").asDouble()).isBetween(0.8, 0.8005);
    assertThat(line.get("attainedAlpha").asDouble()).isEqualTo(0.05);
    assertThat(line.get("sensitivity")).hasSize(4);
    JsonNode exact =
        CommandLine.json("plan rate --against 5% --expect 1% --power 80%").at("/lines/0/exact");
    assertThat(exact.at("/n/0").asInt()).isEqualTo(142);
    assertThat(exact.at("/holdsFrom/0").asInt()).isEqualTo(173);
    JsonNode table = CommandLine.json("plan table --df 6 --w 0.2 --n 436").at("/lines/0");
    assertThat(table.get("df").asInt()).isEqualTo(6);
    assertThat(table.get("w").asDouble()).isEqualTo(0.2);
    assertThat(table.get("power").isNull()).isTrue();
    assertThat(table.get("attainedPower").asDouble()).isCloseTo(0.9, within(1e-3));
    JsonNode width =
        CommandLine.json("plan rate --half-width 2% --expect 5% --response 40%").at("/lines/0");
    assertThat(width.get("invite").asInt()).isEqualTo(1173);
    assertThat(width.get("attainedHalfWidth").asDouble()).isBetween(0.0199, 0.02);
    JsonNode evidence =
        CommandLine.json("plan rate --bayes --against 8% --expect 8% --power 80% --threshold 10");
    assertThat(evidence.at("/lines/0/threshold").asDouble()).isEqualTo(10);
    assertThat(evidence.at("/lines/0/alpha").isNull()).isTrue();
    JsonNode refused =
        CommandLine.json("plan rate --against 8% --expect 7.9%,4% --power 99% --tests exact")
            .at("/lines/0");
    assertThat(refused.get("refused").asText()).contains("an exact search for n ends");
    assertThat(refused.get("expect").asDouble()).isEqualTo(0.079);
  }

  @Test
  void studiesPlanToo() throws IOException {
    Path study = folder.resolve("study.yaml");
    Files.writeString(
        study,
        """
        alpha: 0.01
        questions:
          - {ask: plan, for: compare, base: 8%, expect: 5%, power: 80%, sides: two-sided, alpha: 5%}
          - {ask: plan, for: rate, half-width: 2%, expect: 5%}
          - {ask: plan, for: table, cells: [[20, 30], [35, 15]], power: 90%}
          - {ask: plan, for: rate, bayes: true, against: 8%, expect: 5%, n: [400, 800]}
        """);
    JsonNode answers = CommandLine.json("run " + study).get("answers");
    assertThat(answers.at("/0/lines/0/n/0").asInt()).isEqualTo(1059);
    assertThat(answers.at("/1/lines/0/level").asDouble()).isEqualTo(0.99);
    assertThat(answers.at("/2/lines/0/alpha").asDouble()).isEqualTo(0.01);
    assertThat(answers.at("/3/lines")).hasSize(2);
  }

  @Test
  void picturesShowPowerAndErrors() throws IOException {
    Path chart = folder.resolve("n.svg");
    Path effect = folder.resolve("effect.svg");
    Path errors = folder.resolve("errors.svg");
    CommandLine answer =
        CommandLine.shell(
            String.format(
                Locale.ROOT,
                "plan compare --base 8%% --expect 5%%,4.5%% --power 80%% --units tiles --chart %s"
                    + " --chart effects=%s --chart errors=%s",
                chart,
                effect,
                errors));
    assertThat(answer.status()).as(answer.err()).isZero();
    assertThat(Files.readString(chart))
        .contains(
            "Power over the number of tiles",
            "5% against 8%: n = 1,059",
            "4.5% against 8%: n = 750",
            "80% wanted",
            "tiles in each group");
    assertThat(Files.readString(effect))
        .contains("Power over what is expected", "2 x 1,059: 5%", "2 x 750: 4.5%", "the null");
    assertThat(Files.readString(errors))
        .contains(
            "with 2 x 1,059 tiles",
            "orange: the test rejects; alpha 0.05, power 80.0%",
            "where nothing is there: 0 points",
            "as expected: -3 points",
            ">2.5% rejected<",
            ">95.0% not rejected<",
            ">80.0% rejected<",
            ">20.0% not rejected<",
            "rejected up to ");
    CommandLine.shell("plan table --df 6 --w 0.2 --power 90% --chart errors=" + errors);
    assertThat(Files.readString(errors)).contains("rejected from 12.6", "w = 0.2", "chi-square");
    CommandLine.shell("plan rate --against 8% --n 500..700:50 --expect 5% --chart " + chart);
    assertThat(Files.readString(chart)).contains(">500<", ": 5% against 8%");
    CommandLine.shell(
        "plan rate --bayes --against 20% --expect 35% --threshold 5 --power 80% --chart " + chart);
    assertThat(Files.readString(chart)).contains("Chance to reach the threshold");
  }

  /** A curve has the power that a plan for each of its sizes has, or for each of its effects. */
  @ParameterizedTest
  @ValueSource(strings = {"--method normal", "--method exact --tests fisher"})
  void curvesAreThePowerOfPlans(String method) throws IOException {
    String plan = "plan compare --base 8% " + method;
    JsonNode curves = CommandLine.json(plan + " --expect 3% --n 150 --working");
    JsonNode sizes = curves.at("/powerOverSizes/curves/0");
    for (int at = 20; at < sizes.at("/x").size(); at += 60) {
      assertThat(
              CommandLine.json(plan + " --expect 3% --n " + sizes.at("/x").get(at).asInt())
                  .at("/lines/0/attainedPower")
                  .asDouble())
          .isCloseTo(sizes.at("/y").get(at).asDouble(), within(1e-11));
    }
    JsonNode effects = curves.at("/powerOverEffects/curves/0");
    for (int at = 10; at < effects.at("/x").size(); at += 90) {
      String expected = effects.at("/x").get(at).asText();
      assertThat(
              CommandLine.json(plan + " --n 150 --expect " + expected)
                  .at("/lines/0/attainedPower")
                  .asDouble())
          .isCloseTo(effects.at("/y").get(at).asDouble(), within(1e-9));
    }
    assertThat(CommandLine.json(plan + " --expect 3% --n 150").has("powerOverSizes")).isFalse();
    assertThat(CommandLine.shell("plan rate --half-width 2% --expect 5% --working").status())
        .isEqualTo(2);
  }
}
