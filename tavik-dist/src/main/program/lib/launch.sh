# How Tavik is started, from a checkout as from an installation. Read by the launchers in both, which say
#   home     the program's folder, whose runtime/ is a Java of its own, if there is one
#   jar      the program
#   drivers  the folder with drivers of databases
#   list     the names of the classes that a tour loads
#   store    the folder where the archive of these classes is kept, if it can be written to
# shellcheck shell=sh disable=SC2154 # said by the launchers
# shellcheck disable=SC3013 # -nt is in every shell that is called sh
# No word of the user's is handed to another program, which might take it for an option of its own.

runs=$home/runtime/bin/java
if [ -x "$runs" ]; then
  java=$runs
elif [ -n "${JAVA_HOME:-}" ] && [ -x "$JAVA_HOME/bin/java" ]; then
  java=$JAVA_HOME/bin/java
elif command -v java >/dev/null 2>&1; then
  java=$(command -v java)
else
  echo "tavik: no Java found; install Java 17 or newer, or set JAVA_HOME to one." >&2
  exit 4
fi

# Names of files, columns and labels are UTF-8, whatever the locale; the only part of it that Java
# takes from the surroundings is how words on the command line are encoded.
if [ -d /usr/lib/locale/C.utf8 ] || [ -d /usr/lib/locale/C.UTF-8 ]; then
  LC_ALL=C.UTF-8
  export LC_ALL
else
  case ${LC_ALL:-${LC_CTYPE:-${LANG:-}}} in
    *[Uu][Tt][Ff]8* | *[Uu][Tt][Ff]-8*) ;;
    *)
      LC_ALL=C.UTF-8
      export LC_ALL
      ;;
  esac
fi

# The same flags make the class-data archive and use it.
flags='-Xshare:auto -XX:-UsePerfData -Xlog:cds=off -Xlog:cds+dynamic=off'
case ${JAVA_OPTS:-} in
  *-XX:+Use*GC*) ;;
  *) flags="-XX:+UseSerialGC $flags" ;;
esac
case ${JAVA_OPTS:-} in
  *-Xmx* | *-XX:MaxRAM*) ;;
  *) flags="-Xmx512m $flags" ;;
esac

# Which Java this is, by the note that lies beside it; without one, by its path.
which_java() {
  real=$(readlink -f -- "$java" 2>/dev/null) || real=$java
  version=
  if [ -r "${real%/bin/java}/release" ]; then
    while IFS='=' read -r key value; do
      case $key in
        JAVA_VERSION) version=$value ;;
      esac
    done <"${real%/bin/java}/release"
    version=${version#\"}
    version=${version%\"}
  fi
}

# A Java that is too old says so in its own words, and long; this is said in its place.
require_version() {
  major=${version%%.*}
  case $major in
    '' | *[!0-9]*) return ;;
  esac
  if [ "$major" -lt 17 ]; then
    echo "tavik: Java 17 or newer is needed, $real is $version; install one, or set JAVA_HOME to it." >&2
    exit 4
  fi
}

# Classes ready to be used as they are take two thirds off a short run. An archive of them is good for
# one jar in one place and for one Java: a program that was moved or copied, or another Java, gets
# its own, once. Where none can be made, that is noted too. Java 17 makes no use of one whose place
# has a blank in its name.
remember() {
  [ -w "$store" ] || return 1
  echo "tavik: preparing once for a quick start, this takes some seconds ..." >&2
  # shellcheck disable=SC2086 # the flags are words
  if "$java" $flags -XX:TieredStopAtLevel=1 -Xshare:dump -XX:SharedClassListFile="$list" \
    -XX:SharedArchiveFile="$archive.$$" -cp "$jar" >/dev/null 2>&1; then
    mv -f "$archive.$$" "$archive"
  else
    rm -f "$archive.$$" "$archive"
  fi
  printf '%s\n' "$maker" >"$made.$$"
  # A program may be dated later than today.
  [ ! "$jar" -nt "$made.$$" ] || touch -r "$jar" "$made.$$"
  mv -f "$made.$$" "$made"
}

# Whether the archive, or the note that there can be none, is of this jar in this place.
remembered() {
  archive=$store/tavik.jsa
  made=$archive.of
  known=
  [ -f "$made" ] || return 1
  for part in "$jar" "${jar%/*}"/lib/*.jar; do
    [ ! "$part" -nt "$made" ] || return 1
  done
  IFS= read -r known <"$made"
  [ "$known" = "$maker" ]
}

# Where the program's folder is read-only, the archive lies in the user's own cache, one for each place.
in_cache() {
  cache=${XDG_CACHE_HOME:-${HOME:+$HOME/.cache}}
  [ -n "$cache" ] || return 1
  key=$(printf '%s' "$jar" | cksum)
  store=$cache/tavik/${key%% *}
  mkdir -p "$store" 2>/dev/null
}

which_java
require_version
maker="$jar with $(printf '%s ' "${jar%/*}"/lib/*.jar)by $real $version"
if [ -f "$list" ] && ! remembered && ! remember && in_cache; then
  remembered || remember || :
fi

# The quick compiler takes a third off the time of a small question; a large file, a simulation or an
# exact plan is worth the thorough compiler, which is twice as fast there. How large a file is, is
# known by the shell's own redirection.
large() {
  [ -f "$1" ] && [ -r "$1" ] && [ "$(wc -c <"$1")" -gt 30000000 ]
}

quick=-XX:TieredStopAtLevel=1
for word; do
  case $word in
    - | --simulate | --simulate=* | --method | --method=* | --data=-) quick= ;;
    --*=*) ! large "${word#*=}" || quick= ;;
    *) ! large "$word" || quick= ;;
  esac
done

terminal=false
width=${COLUMNS:-}
if [ -t 1 ]; then
  terminal=true
  if [ -z "$width" ]; then
    width=$(stty size <&1 2>/dev/null) || width=
    width=${width##* }
  fi
fi
progress=false
[ ! -t 2 ] || progress=true
person=false
[ ! -t 0 ] || [ ! -t 1 ] || person=true
set -- -jar "$jar" "$@"
set -- -Dtavik.terminal=$terminal -Dtavik.width="$width" -Dtavik.progress=$progress -Dtavik.person=$person \
  -Dtavik.name="$0" -Dtavik.drivers="$drivers" "$@"
if [ -f "${archive:-}" ]; then
  set -- -XX:SharedArchiveFile="$archive" "$@"
fi
# shellcheck disable=SC2086 # flags and options are words
exec "$java" $flags $quick ${JAVA_OPTS:-} "$@"
