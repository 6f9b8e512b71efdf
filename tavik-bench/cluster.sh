#!/usr/bin/env bash
# Counting on a cluster beside the engine's own bare aggregation: tavik-bench/cluster.sh [ROWS [FOLDER]]
set -euo pipefail
cd "$(dirname "$0")/.."
classpath=tavik-spark/target/measure.classpath
mvn -B -q -pl tavik-spark -am -DskipTests test-compile \
  org.apache.maven.plugins:maven-dependency-plugin:3.9.0:build-classpath -Dmdep.outputFile=target/measure.classpath
opens=$(sed -n 's:.*<spark.opens>\(.*\)</spark.opens>.*:\1:p' tavik-spark/pom.xml)
# shellcheck disable=SC2086
SPARK_HOME=target/spark SPARK_LOCAL_IP=127.0.0.1 exec java $opens -Xmx1g \
  -cp "tavik-spark/target/test-classes:tavik-spark/target/classes:$(cat "$classpath")" \
  dev.tavik.spark.Measure "${1:-1000000}" "${2:-tavik-spark/target}"
