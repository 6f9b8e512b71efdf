package dev.tavik.spark;

import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.SparkSession;

/** Sessions for tests: nothing but loopback, and no page of its own. */
final class Cluster {
  private Cluster() {}

  /** With this program's own threads for workers. */
  static SparkSession threads() {
    return begin("local[2]").config("spark.sql.shuffle.partitions", "4").getOrCreate();
  }

  /** With two workers in processes of their own. */
  static SparkSession processes() throws java.io.IOException {
    Files.createDirectories(Path.of(System.getenv("SPARK_HOME"), "jars"));
    return begin("local-cluster[2,1,1024]")
        .config("spark.executor.extraClassPath", System.getProperty("java.class.path"))
        .config("spark.executor.memory", "1g")
        .config("spark.sql.adaptive.enabled", "true")
        .config("spark.speculation", "true")
        .config("spark.speculation.quantile", "0.1")
        .config("spark.sql.shuffle.partitions", "4")
        .getOrCreate();
  }

  private static SparkSession.Builder begin(String master) {
    return SparkSession.builder()
        .master(master)
        .config("spark.ui.enabled", "false")
        .config("spark.driver.host", "127.0.0.1")
        .config("spark.driver.bindAddress", "127.0.0.1")
        .config("spark.sql.warehouse.dir", "target/warehouse");
  }

  /** Texts as they stand in a file, without types. */
  static Dataset<Row> text(SparkSession session, Path file) {
    return session
        .read()
        .option("header", "true")
        .option("escape", "\"")
        .csv(file.toAbsolutePath().toString());
  }
}
