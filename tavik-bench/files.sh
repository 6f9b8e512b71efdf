#!/bin/sh
# Times how long counting two columns of a file takes, beside the least that any program must do to it:
# text, a sweep of a thousand columns, gzip, Parquet, a workbook. Prints seconds and their ratio, measured in turn in one run.
#
#   tavik-bench/files.sh [rows]
set -eu

root=$(CDPATH='' cd -P "$(dirname "$0")/.." && pwd)
cd "$root"
MAVEN_OPTS="-Xmx512m -XX:TieredStopAtLevel=4 -XX:+UseSerialGC ${MAVEN_OPTS:-}" exec mvn -B -q compile exec:java -pl tavik-bench \
  -am -Dexamples.skip=true -Dexec.mainClass=dev.tavik.bench.ReadFiles -Dexec.args="${1:-13000000}"
