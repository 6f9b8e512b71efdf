#!/bin/sh
# Draws samples from the demo's trade population, whose rates are known, and tells how often each
# interval by the design, and each that knows of none, catches the truth; kept in docs/survey.md.
#
#   tavik-bench/coverage.sh [samples]      2,000 unless given
set -eu

root=$(CDPATH='' cd -P "$(dirname "$0")/.." && pwd)
cd "$root"
MAVEN_OPTS="-XX:TieredStopAtLevel=4 ${MAVEN_OPTS:-}" exec mvn -B -q compile exec:java -pl tavik-bench -am \
  -Dexamples.skip=true -Dexec.mainClass=dev.tavik.bench.SurveyCoverage ${1:+-Dexec.args="$1"}
