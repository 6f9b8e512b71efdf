package dev.tavik.spark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.count.Crossings;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DataException;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** With workers in processes of their own: skewed groups, too many levels, a worker that dies. */
@EnabledIfSystemProperty(named = "tavik.proofs", matches = "true")
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ProcessesTest {
  private static final long ROWS = 3_000_000;

  private static SparkSession session;

  @BeforeAll
  static void begin() throws IOException {
    session = Cluster.processes();
  }

  @AfterAll
  static void end() {
    session.stop();
  }

  /** Nine rows of ten are of one kiln, and every hundred thousandth of the tiles is another. */
  private static Dataset<Row> tiles() {
    return session
        .range(0, ROWS, 1, 12)
        .selectExpr(
            "if(id % 10 < 9, 'North', concat('Kiln ', id % 4)) as kiln",
            "if(id % 20 = 0, 'cracked', 'sound') as grade",
            "id % 100000 as tile",
            "0.5 + id % 2 as weight");
  }

  private static void requireRight(Tabulation counted) {
    // Of twenty in a row, two are of kilns by the remainder of 4, of which none is cracked.
    assertThat(counted.counts())
        .containsEntry(List.of("cracked", "North"), ROWS / 20)
        .containsEntry(List.of("sound", "North"), ROWS / 20 * 17)
        .containsEntry(List.of("sound", "Kiln 1"), ROWS / 20)
        .containsEntry(List.of("sound", "Kiln 3"), ROWS / 20)
        .hasSize(4);
    assertThat(counted.total()).isEqualTo(ROWS);
  }

  @Test
  @Order(1)
  void skewedGroupsAreCounted() {
    SparkCounts counts = SparkCounts.of(tiles());
    requireRight(counts.count(CountRequest.of("grade", "kiln")));
    Crossings swept = counts.countAgainst("kiln", CountRequest.of("*"));
    requireRight(swept.tables().get(0));
    assertThat(swept.leftOut()).containsOnlyKeys("tile");
    SurveyCounts weighted =
        counts.survey(SampleDesign.weighted("weight"), List.of(CountRequest.of("kiln"))).get(0);
    assertThat(weighted.totals())
        .containsExactlyInAnyOrder(ROWS * 0.85, ROWS * 0.075, ROWS * 0.075);
  }

  @Test
  @Order(2)
  void tooManyLevelsStayWhereTheyAre() {
    SparkCounts counts = SparkCounts.of(tiles()).named("tiles");
    assertThatThrownBy(() -> counts.count(CountRequest.of("tile", "kiln")))
        .isInstanceOf(DataException.class)
        .hasMessage(
            "tiles: column tile has more than 10,000 different values, too many for a"
                + " classification; is it the column you meant?");
  }

  /** A worker is killed while it counts: what it had counted is counted once more, and once. */
  @Test
  @Order(3)
  void aKilledWorkerChangesNothing() {
    List<ProcessHandle> workers = ProcessHandle.current().descendants().toList();
    assertThat(workers).hasSizeGreaterThanOrEqualTo(2);
    // A row that takes its time, so that there is something to interrupt.
    Dataset<Row> slow =
        tiles()
            .selectExpr(
                "kiln",
                "if(length(sha2(repeat(cast(tile as string), 40), 512)) > 1, grade, '') as grade");
    CompletableFuture<Tabulation> counted =
        CompletableFuture.supplyAsync(
            () ->
                SparkCounts.of(slow)
                    .countAgainst("kiln", CountRequest.of("grade"))
                    .tables()
                    .get(0));
    awaitTasks();
    workers.get(0).destroyForcibly();
    requireRight(counted.join());
    assertThat(workers.get(0).isAlive()).isFalse();
  }

  private static void awaitTasks() {
    while (session.sparkContext().statusTracker().getActiveStageIds().length == 0) {
      Thread.onSpinWait();
    }
  }
}
