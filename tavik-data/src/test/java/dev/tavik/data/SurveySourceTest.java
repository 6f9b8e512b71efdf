package dev.tavik.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.ByReplicate;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.count.SurveyCounts.Stratum;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Sums of weights by stratum and cluster as rows are read, against sums over kept rows. */
class SurveySourceTest {
  private static final SampleDesign DESIGN = SampleDesign.weighted("w").strata("h").clusters("c");

  private static CountSource text(String text) {
    return Sources.open(
        "rows.csv", name -> new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
  }

  private static SurveyCounts count(String text, SampleDesign design, String... columns) {
    return text(text).survey(design, List.of(CountRequest.of(columns))).get(0);
  }

  /** A row as it was made, before it became text. */
  private record Made(String stratum, String cluster, double weight, String outcome, String kiln) {}

  private static List<Made> made(long seed, int size) {
    Random random = new Random(seed);
    List<Made> rows = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      int cluster = random.nextInt(60);
      rows.add(
          new Made(
              "hall " + cluster % 7,
              "pallet-" + cluster,
              random.nextInt(20) == 0 ? 0 : random.nextInt(4_000) / 100.0,
              random.nextInt(15) == 0
                  ? ""
                  : new String[] {"sound", "cracked", "warped"}[random.nextInt(3)],
              "kiln" + random.nextInt(random.nextInt(4) == 0 ? 40 : 3)));
    }
    return rows;
  }

  /**
   * As text, with blanks, quotes and more columns; one letter beyond ASCII for the other reader.
   */
  private static String written(List<Made> rows, long seed, boolean letters) {
    Random random = new Random(seed);
    StringBuilder text = new StringBuilder("day,h,w,c,outcome,kiln\n");
    for (Made row : rows) {
      text.append(letters ? "Münster" : "Monday").append(',');
      text.append(row.stratum()).append(',');
      String weight = String.valueOf(row.weight());
      text.append(random.nextInt(9) == 0 ? " " + weight + " " : weight).append(',');
      text.append(random.nextInt(5) == 0 ? '"' + row.cluster() + '"' : row.cluster()).append(',');
      text.append(row.outcome()).append(',');
      text.append(row.kiln()).append(random.nextInt(3) == 0 ? "\r\n" : "\n");
    }
    return text.toString();
  }

  /** By stratum, cluster and combination, summed in the plainest way. */
  private static Map<List<String>, Double> twin(List<Made> rows) {
    Map<List<String>, Double> sums = new LinkedHashMap<>();
    for (Made row : rows) {
      if (row.weight() > 0 && !row.outcome().isEmpty()) {
        sums.merge(
            List.of(row.stratum(), row.cluster(), row.outcome(), row.kiln()),
            row.weight(),
            Double::sum);
      }
    }
    return sums;
  }

  @ParameterizedTest
  @CsvSource({"1, false", "2, false", "3, true", "4, true"})
  void sumsByClusterAreThoseOfTheRows(long seed, boolean letters) {
    List<Made> rows = made(seed, 4_000);
    SurveyCounts counts = count(written(rows, seed, letters), DESIGN, "outcome", "kiln");
    Map<List<String>, Double> expected = twin(rows);
    ByCluster sums = (ByCluster) counts.sums();
    Map<String, Double> byStratum = new TreeMap<>();
    Map<String, Double> found = new TreeMap<>();
    List<List<String>> combinations = counts.combinations();
    double total = 0;
    for (int i = 0; i < sums.clusters(); i++) {
      String stratum = sums.strata().get(sums.stratumOf().get(i)).name();
      for (int entry = sums.sums().begin(i); entry < sums.sums().begin(i + 1); entry++) {
        List<String> combination = combinations.get(sums.sums().column(entry));
        found.merge(stratum + combination, sums.sums().value(entry), Double::sum);
        total += sums.sums().value(entry);
      }
    }
    expected.forEach(
        (place, sum) ->
            byStratum.merge(place.get(0) + List.of(place.get(2), place.get(3)), sum, Double::sum));
    assertThat(found.keySet()).isEqualTo(byStratum.keySet());
    found.forEach((place, sum) -> assertThat(sum).isCloseTo(byStratum.get(place), within(1e-9)));
    assertThat(sums.clusters())
        .isEqualTo(
            (int)
                rows.stream()
                    .filter(row -> row.weight() > 0)
                    .map(Made::cluster)
                    .distinct()
                    .count());
    assertThat(total).isCloseTo(counts.weights().sum(), within(1e-7));
    assertThat(counts.weights().zero())
        .isEqualTo(rows.stream().filter(row -> row.weight() == 0).count());
    assertThat(counts.weights().greatest())
        .isEqualTo(
            rows.stream()
                .filter(row -> !row.outcome().isEmpty())
                .mapToDouble(Made::weight)
                .max()
                .orElseThrow());
    assertThat(counts.units().total())
        .isEqualTo(
            rows.stream().filter(row -> row.weight() > 0 && !row.outcome().isEmpty()).count());
    assertThat(counts.units().missing().get("outcome"))
        .isEqualTo(
            rows.stream().filter(row -> row.weight() > 0 && row.outcome().isEmpty()).count());
    assertThat(counts.units().filtered()).isZero();
  }

  /** Each row a cluster: the sums of squares, and all rows of a stratum, filtered ones too. */
  @Test
  void rowsAsClustersHaveSquares() {
    List<Made> rows = made(9, 3_000);
    SurveyCounts counts =
        text(written(rows, 9, false))
            .survey(
                SampleDesign.weighted("w").strata("h"),
                List.of(CountRequest.of("outcome").where("kiln", "kiln1")))
            .get(0);
    ByUnit sums = (ByUnit) counts.sums();
    for (int h = 0; h < sums.strata().size(); h++) {
      Stratum stratum = sums.strata().get(h);
      List<Made> there =
          rows.stream()
              .filter(row -> row.stratum().equals(stratum.name()) && row.weight() > 0)
              .toList();
      assertThat(stratum.clusters()).isEqualTo(there.size());
      double squares = 0;
      for (int entry = sums.squares().begin(h); entry < sums.squares().begin(h + 1); entry++) {
        squares += sums.squares().value(entry);
      }
      double expected =
          there.stream()
              .filter(row -> row.kiln().equals("kiln1") && !row.outcome().isEmpty())
              .mapToDouble(row -> row.weight() * row.weight())
              .sum();
      assertThat(squares).isCloseTo(expected, within(1e-8));
    }
    assertThat(counts.units().filtered())
        .isEqualTo(
            rows.stream().filter(row -> row.weight() > 0 && !row.kiln().equals("kiln1")).count());
  }

  /** A row that stands for three is three rows of its weight. */
  @Test
  void frequenciesRepeatRows() {
    String frequencies = "h,c,w,n,outcome\na,1,2.5,3,yes\na,1,1,2,no\na,2,4,1,yes\na,2,4,0,no\n";
    String repeated =
        "h,c,w,outcome\n" + "a,1,2.5,yes\n".repeat(3) + "a,1,1,no\n".repeat(2) + "a,2,4,yes\n";
    for (SampleDesign design : List.of(DESIGN, SampleDesign.weighted("w").strata("h"))) {
      SurveyCounts one =
          text(frequencies)
              .survey(design, List.of(CountRequest.of("outcome").frequency("n")))
              .get(0);
      SurveyCounts other = count(repeated, design, "outcome");
      assertThat(one.totals()).containsExactly(other.totals(), within(1e-15));
      assertThat(one.squares()).containsExactly(other.squares(), within(1e-15));
      assertThat(one.units().total()).isEqualTo(6).isEqualTo(other.units().total());
      assertThat(one.strata()).isEqualTo(other.strata());
    }
  }

  /** Several requests in one pass are each what it is alone. */
  @Test
  void severalRequestsAreCountedAtOnce() {
    String written = written(made(4, 2_000), 4, false);
    List<SurveyCounts> both =
        text(written)
            .survey(DESIGN, List.of(CountRequest.of("outcome", "kiln"), CountRequest.of("kiln")));
    assertThat(both).hasSize(2);
    assertThat(both.get(0).totals())
        .containsExactly(count(written, DESIGN, "outcome", "kiln").totals());
    assertThat(both.get(1).totals()).containsExactly(count(written, DESIGN, "kiln").totals());
  }

  /** A filter that no row has as it is written holds but for case, for sums as for counts. */
  @Test
  void filtersHoldButForCase() {
    String rows = "h,c,w,outcome,kiln\na,1,2,yes,North\na,2,3,no,North\na,2,5,no,South\n";
    SurveyCounts counts =
        text(rows)
            .survey(DESIGN, List.of(CountRequest.of("outcome").where("kiln", "north")))
            .get(0);
    assertThat(counts.totals()).containsExactly(2, 3);
    assertThat(counts.strata().get(0).clusters()).isEqualTo(2);
  }

  /** Levels put together sum; what a renaming leaves out is in no combination. */
  @Test
  void renamedCombinationsSum() {
    SurveyCounts counts =
        count("h,c,w,outcome\na,1,2,yes\na,1,3,no\na,2,5,maybe\na,2,7,yes\n", DESIGN, "outcome");
    SurveyCounts merged =
        counts.renamed(units -> units.merged("outcome", java.util.Set.of("no", "maybe"), "other"));
    assertThat(merged.combinations()).containsExactly(List.of("yes"), List.of("other"));
    assertThat(merged.totals()).containsExactly(9, 8);
    assertThat(merged.squares()).containsExactly(53, 34);
    SurveyCounts recoded =
        merged.renamed(
            units -> units.recoded(0, level -> level.equals("other") ? null : "agreed", List.of()));
    assertThat(recoded.combinations()).containsExactly(List.of("agreed"));
    assertThat(recoded.totals()).containsExactly(9);
    assertThat(recoded.counted(new double[] {1})).containsExactly(1, 0, 0);
  }

  @Test
  void populationsAreThoseOfTheirColumnOrOneNumber() {
    String rows = "h,c,w,n,outcome\na,1,1,40,yes\na,2,1,40,no\nb,3,1,9,no\nb,4,1,9,yes\n";
    assertThat(count(rows, DESIGN.population("n"), "outcome").strata())
        .containsExactly(new Stratum("a", 2, 40), new Stratum("b", 2, 9));
    assertThat(count(rows, SampleDesign.clustered("c").population("80"), "outcome").strata())
        .containsExactly(new Stratum("", 4, 80));
    assertThat(new Stratum("a", 2, 40).unsampled()).isEqualTo(0.95);
    assertThat(new Stratum("a", 2, Double.POSITIVE_INFINITY).unsampled()).isEqualTo(1);
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> count(rows.replace("9,no", "0,no"), DESIGN.population("n"), "outcome"))
        .withMessageContaining("line 4, column n has 0; a population is a number from 1");
  }

  /**
   * Names of columns hold but for case; a star stands for any letters, in the order of the file.
   */
  @ParameterizedTest
  @ValueSource(strings = {"RW*", "rw1/rw2/rw10", "*w1*/rw2"})
  void replicatesAreFoundByTheirNames(String columns) {
    String rows = "W,rw1,rw2,rw10,y\n1,2,0,1,yes\n3,0,6,3,no\n0,0,0,0,no\n";
    SurveyCounts counts =
        count(
            rows,
            SampleDesign.weighted("w")
                .replicates(Replication.of(Replication.Kind.BOOTSTRAP, columns.split("/"))),
            "y");
    ByReplicate sums = (ByReplicate) counts.sums();
    assertThat(sums.replicates()).isEqualTo(3);
    assertThat(counts.totals()).containsExactly(1, 3);
    double[] all = new double[2];
    for (int r = 0; r < 3; r++) {
      for (int c = 0; c < 2; c++) {
        all[c] += sums.sums(r)[c];
      }
    }
    assertThat(all).containsExactly(3, 9);
  }

  @ParameterizedTest
  @CsvSource({
    "JACKKNIFE, 0, 40, 0.975, 39",
    "DELETE_GROUP, 0, 40, 0.975, 39",
    "BALANCED, 0, 40, 0.025, 40",
    "BALANCED, 0.5, 40, 0.1, 40",
    "BOOTSTRAP, 0, 40, 0.025, 39"
  })
  void replicatesHaveTheScaleOfTheirKind(
      Replication.Kind kind, double fay, int count, double scale, double df) {
    Replication made = new Replication(List.of("rw_*"), kind, fay, List.of(), null);
    assertThat(made.scale(7, count)).isCloseTo(scale, within(1e-15));
    assertThat(made.df(count)).isEqualTo(df);
    Replication said = new Replication(List.of("rw_*"), kind, fay, List.of(0.5, 0.25), 12.0);
    assertThat(said.scale(1, count)).isEqualTo(0.25);
    assertThat(said.df(count)).isEqualTo(12);
  }

  @Test
  void designsThatContradictThemselvesAreRefused() {
    Replication replication = Replication.of(Replication.Kind.BOOTSTRAP, "rw_*");
    assertThatExceptionOfType(IllegalArgumentException.class)
        .isThrownBy(() -> DESIGN.replicates(replication))
        .withMessageContaining("without strata, clusters and population");
    assertThatExceptionOfType(IllegalArgumentException.class)
        .isThrownBy(() -> Replication.fay(1, "rw_*"))
        .withMessageContaining("balanced-fay must be from 0 to below 1, got 1.0");
    assertThatExceptionOfType(IllegalArgumentException.class)
        .isThrownBy(() -> Replication.of(Replication.Kind.BALANCED))
        .withMessageContaining("replicates must name columns");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> count("h,c,w,y\n", DESIGN, "y"))
        .withMessageContaining("no rows of data");
    assertThatExceptionOfType(DataException.class)
        .isThrownBy(() -> count("h,c,weight,y\na,1,1,no\n", DESIGN, "y"))
        .withMessageContaining("has no column 'w'");
  }

  @ParameterizedTest
  @CsvSource({
    "weight, true",
    "WEIGHT, true",
    "survey_weight, true",
    "wt2, true",
    "final.wgt, true",
    "Gewicht, true",
    "heavyweight, false",
    "weighting, false",
    "height, false",
    "w, false"
  })
  void columnsCalledLikeWeightsAreKnown(String name, boolean like) {
    assertThat(SampleDesign.isCalledWeight(name)).isEqualTo(like);
    String unused =
        text("y," + name + "\nyes,1\nno,2\n").count(CountRequest.of("y")).unusedWeight();
    assertThat(unused).isEqualTo(like ? name : "");
  }
}
