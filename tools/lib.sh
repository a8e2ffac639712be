# Shared by the scripts of this folder; sourced, not run.

root_dir="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"

# One clear sentence, then the end.
die() {
  printf 'Ember Cup: %s\n' "$1" >&2
  exit 1
}

# What cannot be written, as into a file on a full disk, ends nothing.
say() { printf '%s\n' "$1" || true; }

# Can this person install packages without being asked?
may_install() { [ "$(id -u)" = 0 ] || sudo -n true 2>/dev/null; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi; }

# PostgreSQL refuses root; then its own user does the work.
as_postgres() { if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }

postgres_bin() {
  local newest
  newest="$(find /usr/lib/postgresql -maxdepth 3 -name initdb -path '*/bin/*' 2>/dev/null | sort -V | tail -n 1)"
  if [ -n "$newest" ]; then dirname "$newest"; elif command -v initdb >/dev/null; then dirname "$(command -v initdb)"; else return 1; fi
}

# A Node new enough for the build: the machine's, or the one this project fetched for itself.
node_bin() {
  local candidate
  for candidate in "$root_dir/.tools/node/bin/node" "$(command -v node || true)"; do
    [ -x "$candidate" ] || continue
    if "$candidate" -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>22||(a===22&&b>=12)||(a===20&&b>=19)?0:1)'; then
      dirname "$candidate"
      return 0
    fi
  done
  return 1
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Fails when nothing answers where a JDBC address of PostgreSQL points; what it cannot read is left to the driver.
database_answers() {
  [[ "$1" =~ ^jdbc:postgresql://([^/:,?[]+|\[[0-9A-Fa-f:]+\])(:([0-9]+))?/[^,]*$ ]] || return 0
  local host="${BASH_REMATCH[1]//[\[\]]/}" port="${BASH_REMATCH[3]:-5432}"
  timeout 5 bash -c "exec 3<>/dev/tcp/$host/$port" 2>/dev/null
}

free_port() {
  local port
  for _ in $(seq 1 50); do
    port=$((20000 + RANDOM % 12000))
    port_taken "$port" || { echo "$port"; return 0; }
  done
  return 1
}

# Where the households of this user are kept.
data_dir() {
  if [ -n "${EMBER_DATA:-}" ]; then printf '%s' "$EMBER_DATA"
  elif [ "$(id -u)" = 0 ]; then printf /var/lib/ember-cup
  else printf '%s' "${XDG_DATA_HOME:-$HOME/.local/share}/ember-cup"; fi
}

# Runs a command with the address of a household's server ("own" or "demo") as its last word: the one that runs, or one that is
# started for it and stopped again.
with_server() {
  local which="$1" home port log
  shift
  home="$(data_dir)/$which"
  if [ -e "$home/start.lock" ] && ! flock -n "$home/start.lock" true; then
    port="$(cat "$home/server.port" 2>/dev/null || true)"
    [ -n "$port" ] || die "Ember Cup is just being started on $home; try again when it is ready"
    "$@" "http://127.0.0.1:$port"
    return
  fi
  log="$(mktemp)"
  port="$(free_port)" || die "no free port on loopback"
  local words=()
  [ "$which" = demo ] || words+=(--own)
  say "Ember Cup is not running; it is started for this …"
  # In a session of its own, so that Ctrl-C here ends it in order by the trap below.
  EMBER_PORT="$port" EMBER_NIGHTLY=false setsid ./start "${words[@]}" >"$log" 2>&1 &
  started=$!
  trap 'kill -TERM "$started" 2>/dev/null; wait "$started" 2>/dev/null; rm -f "'"$log"'"' EXIT
  trap 'exit 130' INT TERM
  until grep -q "is ready" "$log"; do
    kill -0 "$started" 2>/dev/null || { cat "$log" >&2; exit 1; }
    sleep 0.25
  done
  "$@" "http://127.0.0.1:$port"
}

# The sentence of a problem document in a file.
detail_of() { sed -n 's/.*"detail":"\([^"]*\)".*/\1/p' "$1" | head -n 1; }
