#!/usr/bin/env bash
# So many seconds of a fuzzer by each way in, or by some: tavik-fuzz/fuzz.sh SECONDS [ENTRY...]
# mvn -B -Pfuzz verify -pl tavik-fuzz -am calls it; what it finds lies in target/fuzz/ENTRY.
set -euo pipefail
cd "$(dirname "$0")"
seconds=$1
shift
entries=("$@")
[ ${#entries[@]} -gt 0 ] || entries=(file sheet content codebook study table words tallies)
status=0
for entry in "${entries[@]}"; do
  mkdir -p "target/fuzz/$entry/corpus"
  echo "$entry:"
  if ! java -Xmx1g -Dtavik.fuzz.entry="$entry" -cp "target/test-classes:$(cat target/classpath)" \
    com.code_intelligence.jazzer.Jazzer --target_class=dev.tavik.fuzz.Fuzzed \
    --instrumentation_includes='dev.tavik.data.**:dev.tavik.cli.**:dev.tavik.count.**' \
    --reproducer_path="target/fuzz/$entry" -artifact_prefix="target/fuzz/$entry/" \
    -max_total_time="$seconds" -max_len=65536 -rss_limit_mb=3000 -timeout=60 -print_final_stats=1 \
    "target/fuzz/$entry/corpus" "src/test/seeds/$entry" >"target/fuzz/$entry/log" 2>&1; then
    status=1
    grep -m 3 -A 6 "Java Exception\|ERROR" "target/fuzz/$entry/log" || tail -5 "target/fuzz/$entry/log"
  fi
  grep -E "^Done|stat::number_of_executed_units|stat::average" "target/fuzz/$entry/log" || true
done
exit $status
