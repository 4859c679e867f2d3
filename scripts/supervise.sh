#!/usr/bin/env bash
# Keeps the application running: starts it again after a crash, and says why in the log. Five crashes within a minute are given up.
# supervise.sh RUN: the folder with the application (app/), the logs, and the number of its process (web.pid).
set -u
run="$1"
log="$run/web.log"
most_bytes=2000000 kept=3

# Kept across starts, and never without end.
rotate() {
  local i
  [ -f "$log" ] && [ "$(stat -c %s "$log")" -gt "$most_bytes" ] || return 0
  for ((i = kept; i > 1; i--)); do [ -f "$log.$((i - 1))" ] && mv "$log.$((i - 1))" "$log.$i"; done
  mv "$log" "$log.1"
}
note() { printf '%s %s\n' "$(date -u +%FT%TZ)" "$*" >>"$log"; }

child=
# It is waited for, or it would stay in the list of processes until the machine's first process has taken note of it.
trap 'note "Stopped."; [ -n "$child" ] && kill "$child" 2>/dev/null && wait "$child"; exit 0' TERM INT
crashes=()
while true; do
  rotate
  note "Starting."
  cd "$run/app" || exit 1
  dotnet VerdantSieve.Web.dll >>"$log" 2>&1 </dev/null &
  child=$!
  printf '%s\n' "$child" >"$run/web.pid"
  wait "$child"
  code=$?
  # A number of its own for what is wrong with the set-up: starting again would not help.
  if [ "$code" = 0 ] || [ "$code" = 1 ]; then note "The application ended with code $code."; exit "$code"; fi
  if [ "$code" -gt 128 ]; then why="signal $((code - 128))"; else why="code $code"; fi
  note "The application crashed ($why); it is started again."
  now="$(date +%s)"
  recent=("$now")
  for then in ${crashes[@]+"${crashes[@]}"}; do [ $((now - then)) -lt 60 ] && recent+=("$then"); done
  crashes=("${recent[@]}")
  if [ ${#crashes[@]} -ge 5 ]; then note "Five crashes within a minute: given up. ./start tries again."; exit 1; fi
  sleep 1
done
