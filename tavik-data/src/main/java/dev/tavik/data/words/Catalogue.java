package dev.tavik.data.words;

import static dev.tavik.data.words.Heading.ANSWER;
import static dev.tavik.data.words.Heading.CLAIM;
import static dev.tavik.data.words.Heading.COUNTS;
import static dev.tavik.data.words.Heading.METHODS;
import static dev.tavik.data.words.Heading.VIEWS;
import static dev.tavik.data.words.Word.flag;
import static dev.tavik.data.words.Word.one;
import static dev.tavik.data.words.Word.several;
import static dev.tavik.result.Figures.say;

import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Method;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesSettings;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** The words of every question: options, keys of studies, and what documentation says of them. */
final class Catalogue {
  private Catalogue() {}

  private static final Word ALPHA =
      one(METHODS, "alpha", "A", "The significance level; 0.05 unless given.");
  private static final Word LEVEL =
      one(METHODS, "level", "L", "The confidence level; 1 - alpha unless given.");
  private static final Word DATA =
      one(
          COUNTS,
          "data",
          "FILE",
          "Rows with a header line, separated by comma, semicolon or tab; - reads standard "
              + "input.");
  private static final Word COUNT =
      one(COUNTS, "count", "COLUMN", "A frequency column: how many units each row stands for.");
  private static final Word WHERE =
      several(
          COUNTS,
          "where",
          "COLUMN=VALUE",
          "Only rows with this value; may be given several times.");
  private static final Word MISSING =
      one(
          COUNTS,
          "missing",
          "drop|level|fail",
          "What becomes of rows without a value: left out and reported (drop, the "
              + "default), a level of their own, or an error.");
  private static final Word OUTCOME =
      one(COUNTS, "outcome", "COLUMN", "The column that says what became of each unit.");
  private static final Word SUCCESS =
      several(
          COUNTS,
          "success",
          "LEVEL[,LEVEL]",
          "The level or levels of the outcome that count as success.");
  private static final Word GROUP =
      one(
          COUNTS,
          "group",
          "COLUMN",
          "The column of groups; several p-values are adjusted by Holm's method.");
  private static final Word BAYES =
      flag(
          VIEWS,
          "bayes",
          "Show the Bayesian view beside: Bayes factor, posterior, credible intervals, "
              + "other priors.");
  private static final Word PRIOR =
      one(
          VIEWS,
          "prior",
          "A,B",
          "The parameters of the beta prior, implies --bayes; 1,1 unless given.");
  private static final Word REGION =
      one(
          VIEWS,
          "region",
          "LOW,HIGH",
          "What is as good as the null: rates such as 4%,6%, of a comparison differences "
              + "such as -2%,2% or 2%; implies --bayes.");
  private static final Word SIMULATE =
      one(
          VIEWS,
          "simulate",
          "N",
          "Draw N worlds in which the null is true, and count how many look as extreme: "
              + "100000 or 1e6.");
  private static final Word SEED =
      one(
          VIEWS,
          "seed",
          "S",
          "Where the random numbers start; the same seed gives the same answer.");
  private static final Word UNTIL_CLEAR =
      flag(
          VIEWS,
          "until-clear",
          "Stop drawing once it is clear on which side of alpha p lies; N is the most.");
  private static final Word WORKING =
      flag(
          ANSWER,
          "working",
          "Show z tests and closed-form intervals by hand, every formula with its numbers.");
  private static final Word LABEL =
      one(ANSWER, "label", "TEXT", "A name for the question, used in the answer.");
  private static final Word LABEL_TAIL =
      one(ANSWER, "label", "TEXT", "A name for it, used in the answer.");

  static Vocabulary rate() {
    return Vocabulary.of("rate", "Is a proportion different from a value?")
        .positional(
            "tally",
            Word.Many.SEVERAL,
            "[NAME=]SUCCESSES/TRIALS",
            "Counts in place of a file: 14/400; several with names.")
        .one(
            CLAIM, "against", "VALUE", "The value that the rate is held against: 0.05, 5% or 1/20.")
        .one(
            CLAIM,
            "alternative",
            "two-sided|less|greater",
            "In which direction the null is doubted; two-sided unless given.")
        .with(ALPHA, LEVEL)
        .several(
            METHODS,
            "tests",
            "LIST|all",
            say(
                "Which tests: %s; %s unless given.",
                ids(ProportionTest.values()), and(RateSettings.against(0.5).tests())))
        .several(
            METHODS,
            "intervals",
            "LIST|all",
            say(
                "Which intervals: %s; %s unless given.",
                ids(ProportionInterval.values()), and(RateSettings.against(0.5).intervals())))
        .one(
            CLAIM,
            "lot",
            "N",
            "The sample was drawn without replacement from a lot of N units; the rate is the "
                + "lot's.")
        .one(ANSWER, "label", "TEXT", "A name for the rate, used in the answer.")
        .with(DATA, COUNT, WHERE, MISSING, OUTCOME, SUCCESS, GROUP, BAYES, PRIOR, REGION)
        .flag(
            COUNTS,
            "sequence",
            "Follow the Bayes factor through the rows of the file in their order, implies "
                + "--bayes.")
        .several(
            CLAIM,
            "planned",
            "N,N|A..B:STEP",
            "In place of counts: so many observations are planned; what is the chance that "
                + "their Bayes factor reaches a threshold?")
        .one(
            CLAIM,
            "threshold",
            "TIMES",
            "That threshold, how many times likelier; 20 unless given.")
        .one(CLAIM, "expect", "VALUE", "A rate at which that chance is wanted too.")
        .with(SIMULATE, SEED, UNTIL_CLEAR, WORKING)
        .examples(
            "tavik rate 14/400 --against 5% --alternative less",
            "tavik rate North=14/400 South=31/410 --against 5%",
            "tavik rate --data firing-log.csv --outcome grade --success cracked,warped \\",
            "  --against 8% --group kiln");
  }

  static Vocabulary compare() {
    return Vocabulary.of(
            "compare",
            "Do proportions differ, and by how much? Always the first group minus the second.")
        .positional(
            "tally",
            Word.Many.SEVERAL,
            "[NAME=]SUCCESSES/TRIALS",
            "The groups, in place of a file: North=14/400 South=31/410.")
        .one(
            CLAIM,
            "against",
            "DIFFERENCE",
            "The null difference, first minus second: 0 unless given; 2% or -0.02.")
        .one(
            CLAIM,
            "alternative",
            "two-sided|less|greater",
            "less: the first is lower; two-sided unless given.")
        .one(CLAIM, "margin", "M", "The largest difference without practical meaning, such as 3%.")
        .one(
            CLAIM,
            "show",
            "difference|noninferior|equivalent",
            "What is to be shown; the last two need a margin. Non-inferior means not lower "
                + "by the margin, or with --alternative less, where low is good, not higher by it.")
        .one(
            CLAIM,
            "baseline",
            "LEVEL",
            "The group that the others are compared with; else all pairs.")
        .with(ALPHA)
        .one(
            METHODS,
            "level",
            "L",
            "The confidence level; 1 - alpha unless given, for equivalence 1 - 2 alpha.")
        .several(
            METHODS,
            "tests",
            "LIST|all",
            say(
                "Which tests: %s; %s unless given. Paired: %s.",
                ids(TwoProportionTest.values()),
                and(CompareSettings.usual().tests()),
                ids(PairedTest.values())))
        .several(
            METHODS,
            "intervals",
            "LIST|all",
            say(
                "Which intervals; of the difference %s; of the ratio %s; of the odds ratio %s."
                    + " Paired: %s.",
                ids(DifferenceInterval.values()),
                ids(RatioInterval.values()),
                ids(OddsRatioInterval.values()),
                ids(PairedDifferenceInterval.values())))
        .one(ANSWER, "label", "TEXT", "A name for what is compared, used in the answer.")
        .with(DATA, COUNT, WHERE, MISSING, OUTCOME, SUCCESS, GROUP)
        .one(
            COUNTS,
            "table",
            "FILE",
            "A two-way table: a row a group, columns of successes and failures, or of "
                + "successes and total. Totals at its edges are left out.")
        .one(
            COUNTS,
            "total",
            "COLUMN",
            "The column of the table that holds the trials, if its name doesn't say so.")
        .flag(
            COUNTS,
            "paired",
            "The same units judged twice: two outcome columns, or --cells; three columns or "
                + "more: cochran-q.")
        .one(
            COUNTS,
            "cells",
            "\"A B; C D\"",
            "Pairs as counts: both, first only; second only, neither.")
        .with(BAYES, PRIOR, REGION, SIMULATE, SEED, UNTIL_CLEAR)
        .one(
            VIEWS,
            "null-model",
            "shuffle|pooled",
            "What is simulated: the outcomes shuffled over both groups, or two samples with "
                + "the pooled rate; shuffle unless given.")
        .with(WORKING)
        .key("first")
        .key("second")
        .examples(
            "tavik compare North=14/400 South=31/410 --alternative less",
            "tavik compare North=14/400 South=31/410 --margin 5% --show equivalent",
            "tavik compare --data firing-log.csv --outcome grade --success cracked,warped \\",
            "  --group kiln --baseline Tunnel",
            "tavik compare --table kilns.csv --success cracked",
            "tavik compare --paired --data regrade.csv \\",
            "  --outcome first_inspector,second_inspector --success cracked",
            "tavik compare --paired --cells \"14 1; 2 211\"");
  }

  static Vocabulary shares() {
    return Vocabulary.of("shares", "Do the counts of several categories follow claimed shares?")
        .positional(
            "counts",
            Word.Many.SEVERAL,
            "NAME=COUNT",
            "The counts, in place of a file: ash=31 iron=22.")
        .several(
            CLAIM,
            "against",
            "SHARES",
            "The claimed shares, in the order of the categories: 40%,30%,30% or 1/8,7/8, a "
                + "ratio 4:3:3, by name ash=40%,iron=60%, or equal.")
        .several(
            METHODS,
            "tests",
            "LIST|all",
            say(
                "Which tests: %s; %s unless given.",
                ids(SharesTest.values()), and(SharesSettings.usual().tests())))
        .several(
            METHODS,
            "intervals",
            "LIST|all",
            "Which intervals: goodman and sison-glaz, which hold for all shares together, "
                + "wilson, one at a time; goodman unless given.")
        .flag(VIEWS, "bayes", "Show the Bayesian view beside: Bayes factor and posterior shares.")
        .several(
            VIEWS,
            "prior",
            "A,B,C",
            "The parameters of the Dirichlet prior, one a category or one for all, implies "
                + "--bayes; 1 unless given.")
        .one(
            COUNTS,
            "table",
            "FILE",
            "A table of names and counts. A total and percents are left out.")
        .one(COUNTS, "outcome", "COLUMN", "The column whose levels are counted.")
        .several(
            COUNTS,
            "order",
            "LEVEL,LEVEL",
            "The order of the levels; by number or as they first appear unless given.")
        .with(SIMULATE, SEED, UNTIL_CLEAR, ALPHA, LEVEL, LABEL, DATA, COUNT, WHERE, MISSING)
        .examples(
            "tavik shares ash=31 celadon=22 iron=17 --against 40%,30%,30%",
            "tavik shares ash=31 celadon=22 iron=17 --against 4:3:3",
            "tavik shares --data returns.csv --outcome reason --count n --against equal");
  }

  static Vocabulary cross() {
    return Vocabulary.of("cross", "Are two classifications associated, and where does it sit?")
        .one(
            COUNTS,
            "cells",
            "\"A B; C D\"",
            "The counts, row by row: \"12 5; 7 9\"; with --paired a square.")
        .one(COUNTS, "table", "FILE", "A labelled two-way table. Totals and percents are left out.")
        .one(COUNTS, "rows", "COLUMN", "The column whose levels are the rows of the table.")
        .one(COUNTS, "columns", "COLUMN", "The column whose levels are the columns of the table.")
        .one(
            COUNTS,
            "strata",
            "COLUMN",
            "A third column: is there an association within its levels, and the same in all? "
                + "For two rows and two columns: mantel-haenszel, breslow-day, common odds ratio.")
        .flag(
            COUNTS,
            "paired",
            "Rows and columns classify the same units by the same levels: agreement (kappa) "
                + "and symmetry (bowker).")
        .one(
            METHODS,
            "ordered",
            "rows|columns|both",
            "Whose levels have an order: adds trend (two by k) or linear, gamma, tau-b, "
                + "Somers' d; with --paired weighted kappas.")
        .several(
            METHODS,
            "row-scores",
            "N,N",
            "Scores of ordered rows; the levels themselves if they are numbers, else 1, 2, 3.")
        .several(METHODS, "column-scores", "N,N", "The same of ordered columns.")
        .several(
            COUNTS,
            "order",
            "LEVEL,LEVEL",
            "The order of all rows, all columns or both; by number or as they first appear "
                + "unless given.")
        .several(
            COUNTS,
            "merge",
            "A+B=NAME",
            "Put levels of rows or of columns together; may be given several times.")
        .several(
            METHODS,
            "figures",
            "LIST|all",
            "What to show of each cell beside its count: row-percents, column-percents, "
                + "total-percents, expected, residuals, pearson-residuals, contributions; "
                + "residuals unless given.")
        .flag(
            METHODS,
            "pairwise",
            "Compare each two rows as well, p-values adjusted by Holm's method.")
        .several(
            METHODS,
            "tests",
            "LIST|all",
            say(
                "Which tests: %s; pearson and likelihood-ratio unless given, the one for ordered"
                    + " levels, and fisher where expected counts are small.",
                ids(TableTest.values())))
        .one(METHODS, "budget", "SECONDS", "How long fisher may take, about; 5 unless given.")
        .flag(VIEWS, "bayes", "Show the Bayesian view beside: Bayes factors for an association.")
        .one(
            VIEWS,
            "prior",
            "A",
            "The prior parameter of every cell, implies --bayes; 1 unless given.")
        .one(
            VIEWS,
            "sampling",
            "free|total|rows|columns|both",
            "What was fixed when the counts were collected, implies --bayes; total unless "
                + "given.")
        .with(SIMULATE, SEED, UNTIL_CLEAR, ALPHA, LEVEL, LABEL, DATA, COUNT, WHERE, MISSING)
        .examples(
            "tavik cross --data firing-log.csv --rows kiln --columns grade",
            "tavik cross --table kilns-by-grade.csv",
            "tavik cross --cells \"12 5; 7 9\" --tests all",
            "tavik cross --data firing-log.csv --rows shift --columns grade --strata kiln \\",
            "    --merge crazed+cracked+warped=damaged",
            "tavik cross --data inspections.csv --rows first --columns second --paired");
  }

  static Vocabulary plan() {
    return Vocabulary.of(
            "plan",
            "Tells how many observations a study needs, how much power it has, how small an "
                + "effect it finds, or how narrow its interval is: whichever of --n, --power and "
                + "what is expected is left out. Lists and ranges give a table.")
        .positional("for", Word.Many.ONE, "rate|compare|shares|table", "What is planned.")
        .several(
            CLAIM,
            "against",
            "P[,P]|SHARES",
            "The null value of a rate, or the claimed shares of a table.")
        .several(CLAIM, "base", "P[,P]", "To compare: the rate of the group to compare with.")
        .several(
            CLAIM,
            "expect",
            "P[,P]|A..B:STEP",
            "The rate that is expected, or the shares; left out, the smallest rates that are "
                + "found are told.")
        .several(
            CLAIM,
            "difference",
            "D[,D]",
            "What is expected as a difference from the base or null, such as -3%.")
        .several(CLAIM, "ratio", "R[,R]", "What is expected as a multiple of the base or null.")
        .several(
            CLAIM, "odds-ratio", "R[,R]", "What is expected as an odds ratio to the base or null.")
        .several(
            CLAIM,
            "n",
            "N[,N]|A..B:STEP",
            "The size of the first group; left out, it is solved for.")
        .several(
            CLAIM,
            "power",
            "P[,P]",
            "The chance to find what is expected, such as 80%; left out, it is solved for.")
        .several(METHODS, "alpha", "A[,A]", "The significance level; 0.05 unless given.")
        .several(
            METHODS,
            "sides",
            "two-sided|one-sided",
            "Whether the test looks to both sides; it does unless said otherwise.")
        .several(CLAIM, "alternative", "two-sided|less|greater", "The same with the direction.")
        .several(
            METHODS,
            "tests",
            "LIST|all",
            "Which tests: of a rate score unless given, of two rates z-pooled, of pairs "
                + "mcnemar.")
        .several(
            METHODS,
            "method",
            "normal|exact",
            "Power by the normal distribution, or exactly over all outcomes.")
        .several(CLAIM, "lot", "N", "A finite lot or population, of which the sample is a part.")
        .several(
            CLAIM,
            "allocation",
            "R",
            "To compare: the second group's size over the first's; 1 unless given.")
        .several(
            CLAIM,
            "show",
            "difference|noninferior|equivalent",
            "To compare: what is to be shown; the last two want --margin.")
        .several(CLAIM, "margin", "M", "The margin of non-inferiority or equivalence.")
        .several(
            CLAIM, "first-only", "P[,P]", "Of pairs: the rate with a success the first time only.")
        .several(
            CLAIM,
            "second-only",
            "P[,P]",
            "Of pairs: the rate with a success the second time only.")
        .several(CLAIM, "df", "N", "Of a table: the degrees of freedom.")
        .several(CLAIM, "shape", "RxC", "Of a table: its rows and columns, such as 3x4.")
        .several(CLAIM, "categories", "K", "Of claimed shares: how many categories.")
        .several(CLAIM, "w", "W[,W]", "Of a table: the effect size w.")
        .several(
            CLAIM,
            "conventional",
            "small|medium|large",
            "Of a table: w of 0.1, 0.3 or 0.5, for want of anything better.")
        .several(CLAIM, "cramers-v", "V[,V]", "Of a table: the effect as Cramer's V.")
        .several(
            COUNTS,
            "cells",
            "\"A B; C D\"",
            "Of a table: the probabilities expected in its cells, or the counts of a pilot.")
        .several(COUNTS, "table", "FILE", "Of a table: a pilot, as a labelled two-way table.")
        .several(COUNTS, "data", "FILE", "Of a table: a pilot, as rows; with --rows and --columns.")
        .several(COUNTS, "rows", "COLUMN", "The pilot's column of rows.")
        .several(COUNTS, "columns", "COLUMN", "The pilot's column of columns.")
        .several(COUNTS, "count", "COLUMN", "The pilot's frequency column.")
        .several(COUNTS, "where", "COLUMN=VALUE", "Only these rows of the pilot.")
        .several(
            COUNTS, "missing", "drop|level|fail", "What to do with missing values of the pilot.")
        .several(CLAIM, "trend", "P,P[,P]", "Of ordered groups: the rate expected in each.")
        .several(
            CLAIM,
            "scores",
            "S,S[,S]",
            "Of ordered groups: their places on a scale; 1, 2, 3 unless given.")
        .several(
            CLAIM, "half-width", "H[,H]", "For an interval in place of a test: half its length.")
        .several(
            METHODS,
            "intervals",
            "LIST|all",
            "Which intervals: of a rate wilson unless given, of a difference newcombe.")
        .several(METHODS, "level", "L[,L]", "The confidence level; 1 - alpha unless given.")
        .several(
            CLAIM,
            "design-effect",
            "D",
            "How many times a cluster sample inflates the variance; 1 unless given.")
        .several(CLAIM, "response", "P", "The share of those invited who will answer.")
        .several(VIEWS, "prior", "A,B", "The beta prior of a Bayes factor; 1,1 unless given.")
        .several(CLAIM, "threshold", "T[,T]", "What a Bayes factor is to reach; 20 unless given.")
        .several(ANSWER, "units", "WORD", "What is observed, for the sentence, such as tiles.")
        .several(COUNTS, "group", "WORD", "What each group is, for the sentence, such as kiln.")
        .several(ANSWER, "label", "TEXT", "A name for the plan, used in the answer.")
        .flag(COUNTS, "paired", "Plan for pairs: the same units judged twice.")
        .flag(VIEWS, "bayes", "Plan for a Bayes factor, of a rate or of two, to reach a threshold.")
        .examples(
            "tavik plan rate --against 8% --expect 5%,6%,11% --power 90%",
            "tavik plan compare --base 8% --expect 4.5% --power 80% --units tiles --group kiln",
            "tavik plan compare --base 8% --n 500 --power 80%",
            "tavik plan shares --against 40%,30%,30% --expect 45%,30%,25% --power 80%",
            "tavik plan table --shape 3x4 --w 0.2 --power 90% --chart power.png",
            "tavik plan rate --half-width 2% --expect 5% --response 40%");
  }

  static Vocabulary tail() {
    return Vocabulary.of("tail", "Looks up a probability or a critical value of a distribution.")
        .positional(
            "distribution",
            Word.Many.ONE,
            "DISTRIBUTION",
            "normal, t, chi-square, f, binomial, hypergeometric, beta or poisson.")
        .one(CLAIM, "value", "X", "A value: what lies on either side?")
        .several(CLAIM, "between", "A,B", "Two values: what lies between them?")
        .one(CLAIM, "area", "P", "An area: which values leave it in a tail, or in both?")
        .one(CLAIM, "mean", "M", "Of normal (0 unless given), poisson.")
        .one(CLAIM, "sd", "S", "Of normal; 1 unless given.")
        .several(CLAIM, "df", "N[,N]", "Degrees of freedom of t, chi-square and f, which has two.")
        .one(CLAIM, "noncentrality", "L", "Of chi-square; 0 unless given.")
        .several(CLAIM, "shape", "A,B", "The parameters of beta.")
        .one(CLAIM, "n", "N", "Trials, or units drawn.")
        .one(CLAIM, "p", "P", "The chance of success, of binomial.")
        .one(CLAIM, "population", "N", "The units drawn from, of hypergeometric.")
        .one(CLAIM, "successes", "K", "The successes among them, of hypergeometric.")
        .with(LABEL_TAIL)
        .examples(
            "tavik tail normal --value 1.96",
            "tavik tail chi-square --df 2 --area 5%",
            "tavik tail binomial --n 400 --p 5% --area 5%",
            "tavik tail hypergeometric --population 500 --successes 25 --n 60 --between 1,4");
  }

  static Vocabulary assess() {
    return Vocabulary.of(
            "assess",
            "Tells how methods behave with samples of a size: the true coverage of "
                + "intervals, the true size of tests.")
        .positional("for", Word.Many.ONE, "rate|compare", "Whose methods.")
        .several(CLAIM, "n", "N[,N]", "The size of the sample, or of both groups.")
        .several(
            CLAIM,
            "p",
            "P[,P]|A..B:STEP",
            "The true rates to look at. To compare, one for both groups, or two for the "
                + "first and the second: then tests show their power.")
        .with(LEVEL, ALPHA)
        .one(
            CLAIM,
            "alternative",
            "two-sided|less|greater",
            "The direction of tests; two-sided unless given.")
        .several(METHODS, "intervals", "LIST|all", "Which intervals, as for rate and compare.")
        .several(METHODS, "tests", "LIST|all", "Which tests, as for rate and compare.")
        .with(LABEL_TAIL)
        .examples(
            "tavik assess rate --n 50 --p 5%",
            "tavik assess rate --n 50 --p 1%..20%:1% --intervals wilson,wald --chart coverage.png",
            "tavik assess compare --n 40,60 --p 5% --tests all");
  }

  private static String ids(Method... methods) {
    return Arrays.stream(methods).map(Method::id).collect(Collectors.joining(", "));
  }

  private static String and(List<? extends Method> methods) {
    return methods.stream().map(Method::id).collect(Collectors.joining(" and "));
  }
}
