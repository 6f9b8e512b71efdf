#!/usr/bin/env bash
# How long a short question takes to start in the program with a Java of its own, beside a bare program
# that prints one line on the same Java; in turn, medians. Needs mvn -B -Pdist,image package first, and a JDK.
set -euo pipefail
cd "$(dirname "$0")/.."
rounds=${1:-21}
program=$(ls -d tavik-dist/target/image/tavik-* | head -n 1)
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT
echo 'public class Hello { public static void main(String[] a) { System.out.println("hello"); } }' >"$work/Hello.java"
javac --release 17 -d "$work" "$work/Hello.java"
cp -r "$program/runtime" "$work/bare"
"$work/bare/bin/java" -XX:+UseSerialGC -Xshare:dump >/dev/null 2>&1

measured() {
  local name=$1
  shift
  { TIMEFORMAT='%R %U %S'; time "$@" >/dev/null 2>&1; } 2>>"$work/$name.times"
}

for _ in $(seq "$rounds"); do
  measured bare "$work/bare/bin/java" -cp "$work" Hello
  measured question "$program/bin/tavik" rate 14/400 --against 5%
  measured version "$program/bin/tavik" --version
  measured help "$program/bin/tavik" rate --help
done

median() {
  awk -v column="$2" '{ print column == 1 ? $1 : $2 + $3 }' "$work/$1.times" | sort -n |
    awk '{ all[NR] = $1 } END { print all[int((NR + 1) / 2)] }'
}

bare=$(median bare 1)
bare_cpu=$(median bare 2)
printf '%-10s %8s %6s %8s %6s\n' '' seconds ratio cpu ratio
for name in bare version question help; do
  awk -v name=$name -v wall="$(median $name 1)" -v cpu="$(median $name 2)" -v bare="$bare" -v bare_cpu="$bare_cpu" \
    'BEGIN { printf "%-10s %8.3f %6.2f %8.3f %6.2f\n", name, wall, wall / bare, cpu, cpu / bare_cpu }'
done
