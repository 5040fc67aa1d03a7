# Shared by the programs in this folder: finds a JDK 25, installs what is missing, builds when the sources are newer.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
BUILD="$ROOT/build"

say() { echo "tundra: $*" >&2; }
fail() { say "$*"; exit 1; }

is_jdk25() { [ -x "$1/bin/javac" ] && "$1/bin/javac" -version 2>&1 | grep -q '^javac 25'; }

find_jdk() {
  local d on_path
  on_path="$(command -v javac || true)"
  [ -n "$on_path" ] && on_path="$(dirname "$(dirname "$(readlink -f "$on_path")")")"
  for d in "${JAVA_HOME:-}" "$on_path" /usr/lib/jvm/*25* /opt/*jdk*25* "$HOME"/.sdkman/candidates/java/25* "$HOME"/.jdks/*25*; do
    if [ -n "$d" ] && is_jdk25 "$d"; then export JAVA_HOME="$d"; return 0; fi
  done
  return 1
}

may_install() { [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null; }

APT_UPDATED=
install_packages() {
  say "installing $*"
  if [ -z "$APT_UPDATED" ]; then apt-get update -qq >/dev/null 2>&1 || true; APT_UPDATED=yes; fi
  DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null 2>&1
}

# need PACKAGE...: sees to Debian packages; where there is no dpkg the system is trusted to have them.
need() {
  command -v dpkg-query >/dev/null || return 0
  local missing=() p
  for p in "$@"; do
    dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' || missing+=("$p")
  done
  [ ${#missing[@]} = 0 ] && return 0
  if may_install; then
    install_packages "${missing[@]}" || fail "could not install: ${missing[*]}"
  else
    fail "missing Debian packages, install them first: ${missing[*]}"
  fi
}

need_jdk() {
  find_jdk && return 0
  if may_install; then
    local p
    for p in temurin-25-jdk openjdk-25-jdk-headless; do
      install_packages "$p" && find_jdk && return 0
    done
  fi
  fail "no JDK 25 was found in JAVA_HOME, on the PATH or under /usr/lib/jvm; install one and try again"
}

need_maven() { command -v mvn >/dev/null || need maven; }

# Maven without the network first: after the first build everything is in its local repository.
maven() {
  local log="$BUILD/maven.log"
  mkdir -p "$BUILD"
  if [ -e "$BUILD/online-once" ] && (cd "$ROOT" && mvn -o -q -B "$@") >"$log" 2>&1; then return 0; fi
  if (cd "$ROOT" && mvn -q -B "$@") >"$log" 2>&1; then touch "$BUILD/online-once"; return 0; fi
  grep -E 'ERROR' "$log" | head -20 >&2
  fail "the build failed; all of it is in $log"
}

sources_newer() {
  [ ! -e "$1" ] || [ -n "$(find "$ROOT"/pom.xml "$ROOT"/*/pom.xml "$ROOT"/*/src/main -newer "$1" -type f -print -quit)" ]
}

build() {
  need_jdk
  sources_newer "$BUILD/built" || return 0
  need_maven
  say "building (the first time takes a few minutes)"
  rm -rf "$BUILD/lib" "$BUILD/fx" "$BUILD/tundra.aot"
  maven package dependency:copy-dependencies -pl app -am -DskipTests -DincludeScope=runtime -DoutputDirectory="$BUILD/lib"
  mkdir -p "$BUILD/fx"
  cp "$ROOT"/app/target/tundra-app-*.jar "$BUILD/lib/"
  local j
  for j in "$BUILD"/lib/javafx-*.jar; do
    # the ones without a platform in their name are empty
    case "$j" in *-linux*.jar | *-mac*.jar | *-win*.jar) mv "$j" "$BUILD/fx/" ;; *) rm "$j" ;; esac
  done
  java_args
  "$JAVA_HOME/bin/java" "${JAVA_ARGS[@]}" tundra.app.widget.StyleCompiler "$BUILD/styles" || say "the style sheets could not be compiled; Tundra starts more slowly"
  touch "$BUILD/built"
}

# How Tundra runs: from here, from its package, and when it is measured. Memory is collected in short steps, since with ten thousand elements
# a whole collection holds the window for half a second, and is given back after a minute of rest.
mapfile -t RUN_OPTIONS <"$ROOT/bin/jvm.options"
JAVA_ARGS=()
java_args() {
  local cp
  cp="$(printf '%s:' "$BUILD"/lib/*.jar)"
  JAVA_ARGS=(--enable-native-access=javafx.graphics,javafx.web,javafx.media,ALL-UNNAMED --module-path "$BUILD/fx"
    --add-modules javafx.controls,javafx.swing,javafx.web "${RUN_OPTIONS[@]}" "-Dtundra.styles=$BUILD/styles" -cp "${cp%:}")
}

RENDER_PACKAGES=(libgl1 libegl1 libfontconfig1)
WINDOW_PACKAGES=(libgtk-3-0 libxtst6 libxxf86vm1 libasound2)

# Two virtual displays whose numbers begin alike and end with 1 and 2, for two test processes at once; sets DISPLAYS to the beginning.
DISPLAYS=
two_displays() {
  need xvfb
  local base pids=()
  for base in $(seq 9 60); do
    [ -e "/tmp/.X${base}1-lock" ] || [ -e "/tmp/.X${base}2-lock" ] || break
  done
  local d
  for d in 1 2; do
    # -r: a key held long by a slow machine does not repeat
    Xvfb ":$base$d" -screen 0 1600x1000x24 -nolisten tcp -r >/dev/null 2>&1 &
    pids+=($!)
  done
  trap "kill ${pids[*]} 2>/dev/null || true" EXIT
  for d in 1 2; do
    for _ in $(seq 100); do [ -e "/tmp/.X11-unix/X$base$d" ] && break; sleep 0.1; done
    [ -e "/tmp/.X11-unix/X$base$d" ] || fail "no virtual display could be started"
  done
  DISPLAYS=$base
}

XVFB_PID=
virtual_display() {
  need xvfb
  local out; out="$(mktemp)"
  # -r: a key held long by a slow machine does not repeat
  Xvfb -displayfd 3 -screen 0 1600x1000x24 -nolisten tcp -r 3>"$out" 2>/dev/null &
  XVFB_PID=$!
  trap 'kill $XVFB_PID 2>/dev/null || true' EXIT
  for _ in $(seq 100); do [ -s "$out" ] && break; sleep 0.1; done
  [ -s "$out" ] || fail "no virtual display could be started"
  export DISPLAY=":$(cat "$out")"
  rm -f "$out"
}

# The JDK's start-up cache, made by one trial start after each build.
start_cache() {
  [ -e "$BUILD/tundra.aot" ] && return 0
  say "making the start-up cache"
  java_args
  local config; config="$(mktemp -d)"
  "$JAVA_HOME/bin/java" -XX:AOTCacheOutput="$BUILD/tundra.aot" -Dtundra.quit=true -Dtundra.config="$config" "${JAVA_ARGS[@]}" \
    tundra.app.Launcher >"$BUILD/aot.log" 2>&1 || true
  rm -rf "$config"
  # without it Tundra only starts more slowly
  [ -e "$BUILD/tundra.aot" ] || say "no start-up cache could be made (see $BUILD/aot.log); Tundra starts without it"
}

# The programs that measure, with all that they need; sets BENCH_CP.
build_bench() {
  build
  need "${RENDER_PACKAGES[@]}" "${WINDOW_PACKAGES[@]}" chromium chromium-driver
  if sources_newer "$BUILD/bench-built"; then
    need_maven
    say "building the benchmarks"
    rm -rf "$BUILD/bench-lib"
    maven package dependency:copy-dependencies -pl bench -am -DskipTests -DincludeScope=runtime -DoutputDirectory="$BUILD/bench-lib"
    touch "$BUILD/bench-built"
  fi
  BENCH_CP="$(printf '%s:' "$ROOT"/bench/target/tundra-bench-0.1.0.jar "$BUILD"/bench-lib/*.jar)"
  BENCH_CP="${BENCH_CP%:}"
}
