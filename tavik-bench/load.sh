#!/bin/sh
# Mixed questions from one thread and from several, in turn: what each answers in its own time, the
# heap after each turn, and whether every answer is to the letter the first one.
#
#   tavik-bench/load.sh [SECONDS [THREADS]]
set -eu

root=$(CDPATH='' cd -P "$(dirname "$0")/.." && pwd)
cd "$root"
MAVEN_OPTS="-Xmx512m -XX:TieredStopAtLevel=4 -XX:+UseSerialGC ${MAVEN_OPTS:-}" exec mvn -B -q compile exec:java -pl tavik-bench \
  -am -Dexamples.skip=true -Dexec.mainClass=dev.tavik.bench.Load -Dexec.args="${1:-600} ${2:-8}"
