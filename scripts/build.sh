# Building and testing. Sourced, never run.

JAR=$ROOT/server/target/goldthistle.jar
MAVEN=(mvn -B -ntp -q)

maven() { (cd "$ROOT" && "${MAVEN[@]}" "$@"); }

# inputs_of FOLDER...: a print of everything in these modules that what they build is made of
inputs_of() {
  (
    cd "$ROOT"
    { javac -version; node -v; } 2>&1
    find pom.xml "$@" \
      \( -name target -o -name node_modules -o -name test -o -name schema.ts -o -name limits.ts \) -prune -o -type f -print0 |
      LC_ALL=C sort -z | xargs -0 sha256sum
  ) | sha256sum | cut -d' ' -f1
}

build_inputs() { inputs_of core call formats browser server web standins; }

# run_batch COMMAND ARGUMENT...: the core on the command line, built when something it is made of changed
run_batch() {
  local inputs jar=$ROOT/batch/target/goldthistle-batch.jar
  inputs=$(inputs_of core formats batch)
  if [[ ! -s $jar || $(cat "$STATE/built-batch" 2>/dev/null) != "$inputs" ]]; then
    need_build_tools >&2
    maven -pl batch -am package -DskipTests -Dspotless.check.skip -Dcheckstyle.skip >&2
    echo "$inputs" >"$STATE/built-batch"
  fi
  exec java -XX:+UseSerialGC -Xmx256m -jar "$jar" "$@"
}

# build_jar: only when something it is made of changed
build_jar() {
  need_build_tools
  local inputs
  inputs=$(build_inputs)
  if [[ -s $JAR && -s $STANDINS_JAR && $(cat "$STATE/built" 2>/dev/null) == "$inputs" ]]; then return 0; fi
  say "building (the first time takes some minutes)"
  maven -pl server,standins -am package -DskipTests -Dspotless.check.skip -Dcheckstyle.skip
  echo "$inputs" >"$STATE/built"
}

# with_test_database COMMAND...: a cluster of the tests' own, stopped afterwards
with_test_database() {
  need_build_tools
  pg_start test-postgres fast
  trap 'pg_stop test-postgres' EXIT
  pg_database test-postgres goldthistle_test fresh
  pg_database test-postgres goldthistle_e2e fresh
  pg_environment test-postgres goldthistle_test
  GOLDTHISTLE_TEST_ADMIN=$(cat "$(pg_home test-postgres)/admin.pass")
  export GOLDTHISTLE_TEST_ADMIN
  export GOLDTHISTLE_E2E_DATABASE_URL="jdbc:postgresql://127.0.0.1:$(pg_port test-postgres)/goldthistle_e2e"
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
  PLAYWRIGHT_NODEJS_PATH=$(command -v node)
  export PLAYWRIGHT_NODEJS_PATH
  "$@"
}

# start_test_database: the tests' cluster, left running, and what they are told of it: for an IDE that runs a class
start_test_database() {
  pg_start test-postgres fast >&2
  pg_database test-postgres goldthistle_test fresh >&2
  pg_environment test-postgres goldthistle_test
  echo "GOLDTHISTLE_TEST_ADMIN=$(cat "$(pg_home test-postgres)/admin.pass")"
  env | grep -E '^SPRING_(DATASOURCE|FLYWAY)_'
}

# run_tests [NAME]: every test, or those of a module or of a class
run_tests() {
  need_chromium
  if [[ $# -eq 0 ]]; then
    with_test_database all_tests
    return
  fi
  local module=$1 classes=$1 file
  if [[ -f $ROOT/$1/pom.xml ]]; then
    classes=$(find "$ROOT/$1/src/test/java" -name '*Test.java' -printf '%f\n' | sed 's/\.java$//' | paste -sd,)
  else
    file=$(find "$ROOT"/*/src/test/java -name "$1.java" -print -quit)
    [[ -n $file ]] || die "there is no module and no test class named $1"
    file=${file#"$ROOT/"}
    module=${file%%/*}
  fi
  MAVEN=(mvn -B -ntp)
  with_test_database maven -pl "$module" -am verify "-Dtest=$classes" -Dsurefire.failIfNoSpecifiedTests=false \
    -Dspotless.check.skip -Dcheckstyle.skip
}

all_tests() {
  bash -n "$ROOT/goldthistle" "$ROOT"/scripts/*.sh "$ROOT/web/build.sh"
  MAVEN=(mvn -B -ntp)
  maven verify
  build_inputs >"$STATE/built"
  say "all tests passed"
}

format_sources() {
  need_build_tools
  maven spotless:apply
  (cd "$ROOT/web" && npm run -s format)
}

write_openapi() {
  with_test_database write_openapi_of_code
  say "web/openapi.json is written"
}

# the document is made of the problems that were written before it
write_openapi_of_code() {
  local of
  for of in ProblemsOfOperationsTest OpenApiDriftTest; do
    maven -pl server -am test -Dtest=$of -Dsurefire.failIfNoSpecifiedTests=false \
      -Dgoldthistle.openapi.write=true -Dexec.skip -Dspotless.check.skip -Dcheckstyle.skip
  done
}

take_shots() {
  need_chromium
  with_test_database maven -pl e2e -am verify -Dtest=Screenshots -Dsurefire.failIfNoSpecifiedTests=false \
    -Dgoldthistle.shots="$ROOT/docs/screenshots"
  (cd "$ROOT/web" && node gallery.mjs && node glossary.mjs)
  say "the pictures are in docs/screenshots, all drawings in docs/gallery"
}

run_attack() {
  MAVEN=(mvn -B -ntp)
  with_test_database maven -pl e2e -am verify -Dtest=AttackTest -Dsurefire.failIfNoSpecifiedTests=false \
    -Dgoldthistle.attack.long=true -Dspotless.check.skip -Dcheckstyle.skip | grep --line-buffered -E "^attack:|ERROR|BUILD"
}

run_mutations() {
  need_build_tools
  MAVEN=(mvn -B -ntp)
  maven -pl core test-compile org.pitest:pitest-maven:mutationCoverage
  say "the report is core/target/pit-reports/index.html"
}

# look_for_flaws: whether a library that ships has a flaw that is known
look_for_flaws() {
  need_build_tools
  rm -f "$STATE/dependencies.txt"
  maven -pl server,batch -am process-classes dependency:list -DexcludeReactor=true -DincludeScope=runtime \
    -DoutputFile="$STATE/dependencies.txt" -DappendOutput=true -Dexec.skip -Dspotless.check.skip -Dcheckstyle.skip
  node "$ROOT/scripts/flaws.mjs" "$STATE/dependencies.txt" "$ROOT/web/package-lock.json"
}
