# Killing the server and its database over and over while four write. Sourced, never run.

# bench_kills [TIMES]: nothing that was acknowledged may be lost, and nothing be there twice; into docs/kills.md
bench_kills() {
  local times=${1:-100} folder port=$FIRST_PORT writers i begun now
  CLUSTER=kills-postgres
  build_jar
  cp "$JAR" "$STATE/kills.jar" # which nobody builds anew meanwhile
  JAR=$STATE/kills.jar
  serve_options
  serve_tls
  serve_kill kills
  pg_start $CLUSTER
  pg_database $CLUSTER goldthistle_kills fresh
  pg_environment $CLUSTER goldthistle_kills
  export GOLDTHISTLE_DEMO=true GOLDTHISTLE_DEMO_PASSPHRASE=measured-not-guessed
  port=$(free_high_port)
  serve_launch kills "$port" || die "the server did not start"
  folder=$(mktemp -d)
  trap 'serve_kill kills; pg_stop kills-postgres' EXIT
  node "$ROOT/bench/kill-writers.mjs" "$(cat "$STATE/kills.url")" "$GOLDTHISTLE_DEMO_PASSPHRASE" "$folder/stop" >"$folder/acknowledged" &
  writers=$!
  kills_await "$folder" 0 >/dev/null
  for i in $(seq "$times"); do
    sleep "$((RANDOM % 2)).$((RANDOM % 10))"
    begun=$(date +%s%3N)
    if ((i % 2)); then
      kill -9 "$(cat "$STATE/kills.pid")"
      serve_launch kills "$port" || die "the server did not come back"
    else
      kill -9 "$(head -1 "$(pg_data $CLUSTER)/postmaster.pid")"
      pg_start $CLUSTER
    fi
    now=$(kills_await "$folder" "$begun")
    echo "$((i % 2)) $((now - begun))" >>"$folder/times"
    if ((i % 10 == 0)); then say "$i kills"; fi
  done
  touch "$folder/stop"
  wait "$writers" || true
  kills_report "$times" "$folder" | tee "$ROOT/docs/kills.md"
  rm -rf "$folder" "$STATE/kills.jar"
}

# kills_await FOLDER MILLIS: when the first write that began after a kill was acknowledged
kills_await() {
  while true; do
    tail -1 "$1/acknowledged" 2>/dev/null | awk -v after="$2" '$2 > after + 50 {print $2; found = 1} END {exit !found}' && return 0
    sleep 0.05
  done
}

kills_report() {
  local times=$1 folder=$2 lost twice all
  cut -d' ' -f1 "$folder/acknowledged" >"$folder/ids"
  all=$(wc -l <"$folder/ids")
  lost=$(pg_sql $CLUSTER goldthistle_kills -tA -c "create temp table acknowledged (id uuid)" \
    -c "\\copy acknowledged from '$folder/ids'" \
    -c "select count(*) from acknowledged a where not exists (select 1 from reading r where r.id = a.id)")
  twice=$(pg_sql $CLUSTER goldthistle_kills -tA -c "create temp table acknowledged (id uuid)" \
    -c "\\copy acknowledged from '$folder/ids'" \
    -c "select count(*) - count(distinct id) from acknowledged join reading using (id)")
  cat <<TXT
# Killed over and over

Measured by \`./goldthistle bench kills $times\` on $(date -u +%F): $times kills by \`kill -9\`, of the server and of PostgreSQL in
turns, while four observers write, each reading sent again under its id until it is acknowledged.

| | |
| --- | --- |
| readings acknowledged | $all |
| of them lost | $lost |
| of them there twice | $twice |
| from the kill of the server to the next acknowledged write | $(kills_times 1 "$folder") |
| from the kill of PostgreSQL to the next acknowledged write | $(kills_times 0 "$folder") |
TXT
}

kills_times() { awk -v kind="$1" '$1 == kind {print $2}' "$2/times" | sort -n | awk '{t[NR] = $1} END {printf "median %.1f s, longest %.1f s", t[int((NR + 1) / 2)] / 1000, t[NR] / 1000}'; }
