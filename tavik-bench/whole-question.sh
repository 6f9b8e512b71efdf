#!/bin/sh
# Times whole questions, process and all, against a Java machine that does nothing, in turn, so that
# whatever else the machine does falls on all of them alike. Prints the median of each in milliseconds.
#
#   tavik-bench/whole-question.sh [runs]
set -eu

runs=${1:-15}
root=$(CDPATH='' cd -P "$(dirname "$0")/.." && pwd)
times=$(mktemp -d)
trap 'rm -rf "$times"' EXIT INT TERM
cd "$root"
./tavik --version >/dev/null

mkdir "$times/nothing"
cat >"$times/nothing/Nothing.java" <<'JAVA'
final class Nothing {
  public static void main(String[] arguments) {}
}
JAVA
javac -d "$times/nothing" "$times/nothing/Nothing.java"

once() {
  name=$1
  shift
  start=$(date +%s%N)
  "$@" >/dev/null
  end=$(date +%s%N)
  echo $(((end - start) / 1000)) >>"$times/$name"
}

i=0
while [ "$i" -lt "$runs" ]; do
  once 0-java-doing-nothing java -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Xshare:auto \
    -cp "$times/nothing" Nothing
  once 1-rate-from-a-tally ./tavik rate 14/400 --against 5%
  once 2-compare-two-tallies ./tavik compare North=14/400 South=31/410
  once 3-compare-every-method ./tavik compare North=14/400 South=31/410 --tests all --intervals all
  once 4-compare-kilns-of-a-file ./tavik compare --data demo/firing-log.csv --outcome grade \
    --success cracked,warped --group kiln
  i=$((i + 1))
done

for file in "$times"/[0-9]-*; do
  sort -n "$file" | awk -v name="$(basename "$file" | cut -c3-)" \
    '{ t[NR] = $1 } END { printf "%-28s %7.0f ms\n", name, t[int((NR + 1) / 2)] / 1000 }'
done
