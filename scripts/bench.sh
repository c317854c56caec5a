# Measuring, and writing down what was measured. Sourced, never run.

# run_bench [server]: everything, or the server and the screen alone, beside what was last measured of the rest
run_bench() {
  need_build_tools
  need_chromium
  local results=$STATE/bench
  mkdir -p "$results"
  if [[ ${1:-} != server ]]; then
    measure_core "$results"
    measure_batch_memory "$results"
  fi
  keep_what_was_measured "$results"
  measure_round_trip "$results"
  write_benchmarks "$results" >"$ROOT/docs/benchmarks.md"
  say "docs/benchmarks.md is written"
}

# keep_what_was_measured RESULTS: rows that this run does not measure anew stay as the page has them, on a fresh clone too
keep_what_was_measured() {
  local page=$ROOT/docs/benchmarks.md
  if [[ ! -s $1/core.md ]]; then rows_of "The core" "$page" >"$1/core.md"; fi
  if [[ ! -s $1/memory.md ]]; then rows_of "The batch command" "$page" >"$1/memory.md"; fi
}

# rows_of HEADING FILE: the rows of the table under a heading, without its own
rows_of() { awk -v heading="## $1" '$0 == heading {on = 1; next} /^## / {on = 0} on && /^\| / {if (++row > 2) print}' "$2"; }

# the core by itself and beside a general-purpose library, in one run
measure_core() {
  say "measuring the core (some minutes)"
  maven -pl bench -am package -DskipTests dependency:build-classpath \
    -Dmdep.outputFile="$STATE/bench/classpath" -Dmdep.includeScope=runtime
  java -cp "$ROOT/bench/target/classes:$ROOT/core/target/classes:$ROOT/formats/target/classes:$(cat "$STATE/bench/classpath")" \
    org.goldthistle.bench.BenchMain "$1/core.md" >"$1/jmh.log" 2>&1 ||
    { tail -20 "$1/jmh.log" >&2; die "the benchmarks broke; their log is $1/jmh.log"; }
}

# peak memory of the batch command over short and long input
measure_batch_memory() {
  say "measuring the batch command"
  maven -pl batch -am package -DskipTests
  local count groups=$ROOT/formats/src/main/resources/groups
  : >"$1/memory.md"
  for count in 10000 100000; do
    node "$ROOT/bench/many-specimens.mjs" "$groups/birches.specimens.json" $count |
      java -XX:+UseSerialGC -Xmx256m -jar "$ROOT/batch/target/goldthistle-batch.jar" \
        evaluate "$groups/birches.json" - >/dev/null &
    wait_for_peak $! "$count" >>"$1/memory.md"
  done
}

# wait_for_peak PID COUNT: a row with the peak of resident memory, read while the process lives
wait_for_peak() {
  local peak=0 now start=$SECONDS
  while kill -0 "$1" 2>/dev/null; do
    now=$(awk '/VmHWM/ {print $2}' "/proc/$1/status" 2>/dev/null || echo 0)
    if [[ ${now:-0} -gt $peak ]]; then peak=$now; fi
    sleep 0.1
  done
  printf '| %s specimens | %d s | %d MB |\n' "$2" $((SECONDS - start)) $((peak / 1024))
}

# a reading's way to the server and back, on a server and a database of its own
measure_round_trip() {
  say "measuring the server"
  serve_options
  serve_kill bench
  trap 'serve_kill bench' EXIT
  pg_start $CLUSTER
  pg_database $CLUSTER goldthistle_bench fresh
  export GOLDTHISTLE_DEMO=true GOLDTHISTLE_DEMO_PASSPHRASE=measured-not-guessed
  serve bench goldthistle_bench
  (cd "$ROOT/bench" && npm ci --silent --no-audit --no-fund)
  node "$ROOT/bench/key-press.mjs" "$(cat "$STATE/bench.url")" Dipper "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/key-press.md"
  node "$ROOT/bench/day.mjs" "$(cat "$STATE/bench.url")" Siskin "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/day.md"
  node "$ROOT/bench/along.mjs" "$(cat "$STATE/bench.url")" Siskin "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/along.md"
  node "$ROOT/bench/gallery.mjs" "$(cat "$STATE/bench.url")" Dipper "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/gallery.md"
  node "$ROOT/bench/round-trip.mjs" "$(cat "$STATE/bench.url")" Dipper "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/round-trip.md"
  measure_lists "$1"
  local before
  before=$(server_megabytes)
  node "$ROOT/bench/import.mjs" "$(cat "$STATE/bench.url")" Treecreeper "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/import.md"
  echo "The server is resident with $before MB before the import and $(server_megabytes) MB after it." >>"$1/round-trip.md"
  serve_kill bench
}

server_megabytes() { echo $(($(ps -o rss= -p "$(cat "$STATE/bench.pid")") / 1024)); }

# lists and maps of a large survey, alone in the database and beside nine others of its size
measure_lists() {
  local surveys next=1
  say "measuring a survey of 100,000 trees and 20,000 calls (some minutes)"
  export PGHOST=127.0.0.1 PGUSER=$PG_OWNER PGDATABASE=goldthistle_bench PGPORT
  PGPORT=$(pg_port $CLUSTER)
  PGPASSWORD=$(cat "$(pg_home $CLUSTER)/owner.pass")
  export PGPASSWORD
  : >"$1/lists.md"
  for surveys in 1 10; do
    while [[ $next -le $surveys ]]; do
      "$PG_BIN/psql" -X -q -v ON_ERROR_STOP=1 -v name="load $next" -f "$ROOT/bench/load.sql"
      next=$((next + 1))
    done
    if [[ $surveys == 1 ]]; then
      node "$ROOT/bench/sheets.mjs" "$(cat "$STATE/bench.url")" Nuthatch "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/sheets.md"
      "$PG_BIN/psql" -X -q -v ON_ERROR_STOP=1 -v name="load 1" -f "$ROOT/bench/load-review.sql"
      node "$ROOT/bench/review.mjs" "$(cat "$STATE/bench.url")" Nuthatch "$GOLDTHISTLE_DEMO_PASSPHRASE" >"$1/review.md"
    fi
    node "$ROOT/bench/lists.mjs" "$(cat "$STATE/bench.url")" Dipper "$GOLDTHISTLE_DEMO_PASSPHRASE" $surveys >>"$1/lists.md"
  done
}

# first_load: kilobytes that the first page fetches, compressed, without fonts; what opening a tree adds; and all other pages
first_load() {
  local assets=$ROOT/web/target/classes/static/assets first bench all
  first=$(loaded_with "$assets" index-)
  bench=$(($(loaded_with "$assets" index- BenchPage- worker-) - first))
  all=$(loaded_with "$assets" "")
  echo "The first page fetches $((first / 1000)) kB of scripts and styles, compressed, without fonts; opening a tree adds $((bench / 1000)) kB, the core among them; all pages together come to $((all / 1000)) kB."
}

# loaded_with ASSETS BEGINNING...: bytes of the scripts and styles whose names begin so and of all that they import, compressed
loaded_with() {
  node - "$@" <<'JS'
const { readdirSync, readFileSync } = require('node:fs')
const { gzipSync } = require('node:zlib')
const [, , folder, ...beginnings] = process.argv
const files = readdirSync(folder).filter((name) => /\.(js|css)$/.test(name))
const found = new Set()
const take = (name) => {
  if (found.has(name)) return
  found.add(name)
  const imports = readFileSync(`${folder}/${name}`, 'utf8').matchAll(/(?:from|import)"\.\/([^"]+\.js)"/g)
  for (const [, other] of name.endsWith('.js') ? imports : []) take(other)
}
files.filter((name) => beginnings.some((one) => name.startsWith(one))).forEach(take)
console.log([...found].reduce((sum, name) => sum + gzipSync(readFileSync(`${folder}/${name}`), { level: 9 }).length, 0))
JS
}

write_benchmarks() {
  cat <<TXT
# Benchmarks

Measured by \`./goldthistle bench\` on $(date -u +%F), on $(nproc) cores of $(awk -F': ' '/model name/ {print $2; exit}' /proc/cpuinfo),
$(awk '/MemTotal/ {printf "%d", $2 / 1048576 + 0.5}' /proc/meminfo) GiB, $(java -version 2>&1 | head -1 | tr -d '"'); the core and the batch command at their last run, which may be earlier.

## The core

One thread, warm, JMH; trees of the alders, the largest built-in sheet (16 characters, 4 taxa), drawn from its own profiles,
each with all its replicates.

| what | time |
| --- | --- |
$(cat "$1/core.md")
Both run over the same trees in the same run, on both cores. The library has one attribute a replicate and was taught from
4000 other trees of the same profiles; it knows neither likeness, clusters, weights nor none-of-these.

## The batch command

\`./goldthistle evaluate\` reads, weighs, plans and writes one specimen after the other. Its memory does not grow with the
file:

| input | time | peak of resident memory |
| --- | --- | --- |
$(cat "$1/memory.md")

## The server

$(cat "$1/round-trip.md")

## A large survey

2,500 plots, 100,000 trees, 20,000 calls with four readings each; from request to answer on the loopback, 95th of a
hundred, and the same rows fetched by plain SQL from the same database.

| list | surveys of this size in the database | through the application | by SQL |
| --- | --- | --- | --- |
$(cat "$1/lists.md")

## Sheets

Beside one such survey, from request to answer; the season over every stage, school, and with and without wounding.

| what | median |
| --- | --- |
$(cat "$1/sheets.md")

## Reviews

In the survey above, alone in the database: 10,000 open cases, and each of the 20,000 calls read and signed by two; 95th of
a hundred, of twenty for the agreement and the season.

| what | through the application |
| --- | --- |
$(cat "$1/review.md")

## An import

$(cat "$1/import.md")

## The screen

$(cat "$1/key-press.md")

$(cat "$1/gallery.md")

$(first_load)

## Without a network

$(cat "$1/along.md")

$(cat "$1/day.md")
TXT
}
