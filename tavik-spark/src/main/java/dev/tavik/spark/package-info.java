/**
 * Counts made on a cluster. {@link dev.tavik.spark.SparkCounts} asks Apache Spark how often each
 * combination of the columns of a question occurs; what comes back are counts or, of a designed
 * sample, sums of weights by stratum and cluster, never rows. All requests of a question are one
 * aggregation. {@link dev.tavik.spark.Submitted} is a program for {@code spark-submit}.
 *
 * <pre>{@code
 * Dataset<Row> log = spark.read().parquet("hdfs:///harrowmere/firing-log");
 * Tabulation counted = SparkCounts.of(log).count(CountRequest.of("grade", "kiln"));
 * }</pre>
 *
 * <p>One request is the engine's own grouped count ({@code Grouping}). Several, or sums, are one
 * pass over the rows of each partition ({@code Slices}), merged ({@code SliceMerger}) with sums to
 * twice the precision of a double, so that they don't depend on who was first. What is missing,
 * filtered, recoded or too much is decided as for every other source; only that a column has too
 * many levels is found where the rows are, and its levels stay there.
 */
@NullMarked
package dev.tavik.spark;

import org.jspecify.annotations.NullMarked;
