# Shared by ./start and ./test: says what it does, installs what is missing, runs a PostgreSQL of the project's own.
# Everything it writes goes under .run/, which git ignores.

ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
RUN="$ROOT/.run"
mkdir -p "$RUN"
export DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1 DOTNET_SKIP_FIRST_TIME_EXPERIENCE=1

say()  { printf '%s\n' "• $*"; }
fail() { printf '\n%s\n' "Can’t go on: $*" >&2; exit 1; }

# Runs a command as root, through sudo where needed.
as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else fail "“$*” needs root, and there is no sudo. Run it as root, then start again."
  fi
}

require_tools() {
  local found="$RUN/tools.found"
  # What was found the last time is asked its version again once it is newer than that.
  if [ "$found" -nt "$(command -v dotnet)" ] && [ "$found" -nt "$(command -v node)" ] && [ "$found" -nt "$(command -v npm)" ]; then return; fi
  command -v dotnet >/dev/null || fail "the .NET 10 SDK is missing. Install it so that “dotnet --version” answers 10.0, then start again."
  case "$(cd "$ROOT" && dotnet --version 2>/dev/null)" in
    10.*) ;;
    *) fail "this needs the .NET 10 SDK; “dotnet --list-sdks” shows: $(dotnet --list-sdks 2>/dev/null | tr '\n' ';')" ;;
  esac
  command -v node >/dev/null || fail "Node is missing. Install Node 20 or newer with npm, then start again."
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node $(node --version) is too old; install Node 20 or newer."
  command -v npm >/dev/null || fail "npm is missing; it comes with Node 20."
  touch "$found"
}

# install_packages COMMAND PACKAGE...: installs the Debian packages unless the command is there already.
install_packages() {
  local probe="$1"; shift
  if eval "$probe" >/dev/null 2>&1; then return; fi
  command -v apt-get >/dev/null || fail "$* can’t be installed here: there is no apt-get. Install $* yourself, then start again."
  say "Installing $* (Debian packages)"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >"$RUN/apt.log" 2>&1 \
    || say "The list of packages could not be refreshed; trying with what is known (see .run/apt.log)"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >>"$RUN/apt.log" 2>&1 \
    || fail "installing $* did not work. The last lines of .run/apt.log: $(tail -3 "$RUN/apt.log")"
  eval "$probe" >/dev/null 2>&1 || fail "$* is installed, but its programs are not where they should be."
}

# Debian keeps the server's programs out of PATH.
postgres_programs() {
  local at
  for at in /usr/lib/postgresql/*/bin; do [ -x "$at/initdb" ] && POSTGRES_BIN="$at"; done
  [ -n "${POSTGRES_BIN:-}" ]
}

free_port() {
  node -e 'const s = require("net").createServer(); s.listen(0, "127.0.0.1", () => { console.log(s.address().port); s.close(); })'
}

# A port that nobody answers on is free; the shell asks by itself, which starts no program.
port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# PostgreSQL refuses to run as root; then it runs as its own system user.
as_database_user() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

# use_database NAME: sets VERDANT_DATABASE, starting a cluster of the project's own unless one was named already.
use_database() {
  local name="$1"
  if [ -n "${VERDANT_DATABASE:-}" ]; then
    say "Using the database named by VERDANT_DATABASE"
    OWN_CLUSTER=no
    return
  fi
  OWN_CLUSTER=yes
  install_packages postgres_programs postgresql
  postgres_programs
  place_cluster
  if ! cluster_runs; then
    if [ ! -f "$CLUSTER/PG_VERSION_MADE" ]; then make_cluster; fi
    local port
    port="$(cat "$RUN/database.port" 2>/dev/null || true)"
    if [ -z "$port" ] || ! port_is_free "$port"; then port="$(free_port)"; printf '%s\n' "$port" >"$RUN/database.port"; fi
    say "Starting the database on port $port"
    as_database_user "$POSTGRES_BIN/pg_ctl" -D "$CLUSTER/data" -s -w -t 30 -l "$CLUSTER/log" \
      -o "-p $port -h 127.0.0.1 -k $CLUSTER" start >/dev/null 9>&- \
      || fail "the database did not start. The last lines of $CLUSTER/log: $(as_database_user tail -3 "$CLUSTER/log" 2>/dev/null)"
  fi
  local port password
  port="$(cat "$RUN/database.port")"; password="$(cat "$RUN/database.password")"
  PGPASSWORD="$password" "$POSTGRES_BIN/psql" -h 127.0.0.1 -p "$port" -U verdant -d postgres -qAt \
    -c "select 1 from pg_database where datname = '$name'" 2>"$RUN/database.error" | grep -q 1 \
    || PGPASSWORD="$password" "$POSTGRES_BIN/createdb" -h 127.0.0.1 -p "$port" -U verdant "$name" 2>>"$RUN/database.error" \
    || fail "the database does not answer: $(tail -1 "$RUN/database.error")"
  export VERDANT_DATABASE="Host=127.0.0.1;Port=$port;Username=verdant;Password=$password;Database=$name"
}

# Chooses where the cluster lies: in .run, or, where its system user can't reach that, under /var/lib.
place_cluster() {
  if [ -f "$RUN/database.place" ]; then CLUSTER="$(cat "$RUN/database.place")"; return; fi
  CLUSTER="$RUN/postgres"
  if [ "$(id -u)" = 0 ] && ! as_database_user test -x "$RUN"; then
    CLUSTER="/var/lib/verdant-sieve/$(printf '%s' "$ROOT" | cksum | cut -d' ' -f1)"
    say "The database’s system user can’t reach $RUN, so its data goes to $CLUSTER"
  fi
  printf '%s\n' "$CLUSTER" >"$RUN/database.place"
}

make_cluster() {
  say "Making a database cluster in $CLUSTER"
  mkdir -p "$CLUSTER"
  # The password is for the loopback connection only; it stays in .run.
  [ -s "$RUN/database.password" ] || (umask 077 && node -p 'require("crypto").randomBytes(18).toString("hex")' >"$RUN/database.password")
  # On Linux a socket's path has room for about 100 letters only.
  cp "$RUN/database.password" "$CLUSTER/password"
  if [ "$(id -u)" = 0 ]; then chown -R postgres: "$CLUSTER"; chmod 700 "$CLUSTER"; fi
  as_database_user "$POSTGRES_BIN/initdb" -D "$CLUSTER/data" -U verdant --pwfile="$CLUSTER/password" \
    -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$RUN/initdb.log" 2>&1 || fail "the database cluster could not be made; see .run/initdb.log"
  rm -f "$CLUSTER/password"
  as_database_user touch "$CLUSTER/PG_VERSION_MADE"
}

cluster_runs() {
  [ -f "$CLUSTER/PG_VERSION_MADE" ] && as_database_user "$POSTGRES_BIN/pg_ctl" -D "$CLUSTER/data" status >/dev/null 2>&1
}

stop_database() {
  [ -f "$RUN/database.place" ] || return 0
  CLUSTER="$(cat "$RUN/database.place")"
  postgres_programs || return 0
  if cluster_runs; then
    as_database_user "$POSTGRES_BIN/pg_ctl" -D "$CLUSTER/data" -s -m fast stop && say "The database has stopped"
  fi
}

# fetch_and_style: npm packages, fonts, scripts and the style sheet; skipped where nothing has changed.
fetch_and_style() {
  cd "$ROOT"
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
    say "Fetching styles, fonts and scripts (npm)"
    npm ci --no-audit --no-fund --loglevel=error >"$RUN/npm.log" 2>&1 || fail "npm could not fetch its packages: $(tail -2 "$RUN/npm.log")"
    touch node_modules/.package-lock.json
  fi
  local built=src/VerdantSieve.Web/wwwroot/built/app.css
  if [ ! -f "$built" ] || [ -n "$(find src/VerdantSieve.Web package-lock.json scripts \( -name '*.cshtml' -o -name '*.css' -o -name '*.js' -o -name '*.mjs' -o -name '*.cs' -o -name package-lock.json \) -not -path '*/bin/*' -not -path '*/obj/*' -not -path '*/built/*' -newer "$built" -print -quit)" ]; then
    say "Building the style sheet"
    npm run --silent assets >"$RUN/assets.log" 2>&1 || fail "the style sheet could not be built: $(tail -3 "$RUN/assets.log")"
    # It is not written anew where it came out the same.
    touch "$built"
  fi
}
