#!/bin/sh
# Times everything beside the least that any program must do for it, and prints the table that is kept
# in BENCH.md: methods, whole questions, exact tables, draws, plans, growth, processes, files.
#
#   tavik-bench/speed.sh [word]      only lines whose name contains the word
set -eu

root=$(CDPATH='' cd -P "$(dirname "$0")/.." && pwd)
cd "$root"
./tavik --version >/dev/null
MAVEN_OPTS="-Xmx2g -XX:TieredStopAtLevel=4 -XX:+UseSerialGC ${MAVEN_OPTS:-}" exec mvn -B -q compile exec:java -pl tavik-bench \
  -am -Dexamples.skip=true -Dexec.mainClass=dev.tavik.bench.Speed ${1:+-Dexec.args="'$1'"}
