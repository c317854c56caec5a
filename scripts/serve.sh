# Starting and stopping the application. Sourced, never run.

FIRST_PORT=8080
CLUSTER=postgres
CALIPER_PORT=8741 # where the page Instruments looks first
LABORATORY_PORT=8761

# the demo's call signs, as the server makes them
DEMO_OBSERVERS="Dipper and Siskin (crew), Redpoll (reviewer), Treecreeper (lead), Woodcock (contractor)"

serve_demo() {
  serve_options "$@"
  keep_secret "$STATE/demo.pass" "$(random_word 2)-birch-$(random_word 2)"
  export GOLDTHISTLE_DEMO=true
  GOLDTHISTLE_DEMO_PASSPHRASE=$(cat "$STATE/demo.pass")
  export GOLDTHISTLE_DEMO_PASSPHRASE
  keep_secret "$STATE/laboratory.secret" "$(random_word 4)-$(random_word 4)-$(random_word 4)"
  GOLDTHISTLE_LABORATORY_SECRET=$(cat "$STATE/laboratory.secret")
  export GOLDTHISTLE_LABORATORY_SECRET
  build_jar
  pg_start $CLUSTER
  GOLDTHISTLE_LABORATORY_STATE=$(pg_home $CLUSTER)/laboratory.json # goes with the database
  export GOLDTHISTLE_LABORATORY_STATE
  standin_start laboratory Laboratory $LABORATORY_PORT
  GOLDTHISTLE_LABORATORY_URL=$(cat "$STATE/laboratory.url")
  export GOLDTHISTLE_LABORATORY_URL GOLDTHISTLE_LABORATORY_EVERY=2s
  serve demo goldthistle_demo
  standin_start caliper Caliper $CALIPER_PORT
  cat <<TXT

  Goldthistle with demo data is at  $(cat "$STATE/demo.url")
  sign in as                        $DEMO_OBSERVERS
  with the passphrase               $GOLDTHISTLE_DEMO_PASSPHRASE
  a caliper's stand-in lies at      $(cat "$STATE/caliper.url")
  a laboratory's answers at         $(cat "$STATE/laboratory.url")
  stop it with                      ./goldthistle stop

TXT
}

serve_run() {
  serve_options "$@"
  build_jar
  pg_start $CLUSTER
  pg_database $CLUSTER goldthistle
  if [[ $(pg_sql $CLUSTER goldthistle -tAc "select to_regclass('observer') is null" 2>/dev/null) == t ||
    $(pg_sql $CLUSTER goldthistle -tAc "select count(*) from observer") == 0 ]]; then ask_for_first_lead; fi
  serve run goldthistle
  printf '\n  Goldthistle is at  %s\n  stop it with       ./goldthistle stop\n\n' "$(cat "$STATE/run.url")"
}

ask_for_first_lead() {
  if [[ -z ${GOLDTHISTLE_LEAD_CALL_SIGN:-} || -z ${GOLDTHISTLE_LEAD_PASSPHRASE:-} ]]; then
    [[ -t 0 ]] || die "the first start needs the first lead: set GOLDTHISTLE_LEAD_CALL_SIGN and GOLDTHISTLE_LEAD_PASSPHRASE, or start it in a terminal"
    echo "Nobody can sign in yet. Who leads?"
    while [[ -z ${GOLDTHISTLE_LEAD_CALL_SIGN:-} ]]; do read -rp "  call sign: " GOLDTHISTLE_LEAD_CALL_SIGN; done
    local again=""
    while [[ -z $again || $again != "$GOLDTHISTLE_LEAD_PASSPHRASE" ]]; do
      read -rsp "  passphrase, 12 characters or more: " GOLDTHISTLE_LEAD_PASSPHRASE
      echo
      if [[ ${#GOLDTHISTLE_LEAD_PASSPHRASE} -lt 12 ]]; then echo "  that is too short"; continue; fi
      read -rsp "  the same again: " again
      echo
    done
  fi
  [[ ${#GOLDTHISTLE_LEAD_PASSPHRASE} -ge 12 ]] || die "the first lead's passphrase must have 12 characters or more"
  export GOLDTHISTLE_LEAD_CALL_SIGN GOLDTHISTLE_LEAD_PASSPHRASE
}

serve_options() {
  BIND=127.0.0.1 CERT="" KEY=""
  while [[ $# -gt 0 ]]; do
    case $1 in
      --bind) BIND=${2:?--bind needs an address} ;;
      --cert) CERT=$(realpath -e "${2:?--cert needs a file}") ;;
      --key) KEY=$(realpath -e "${2:?--key needs a file}") ;;
      *) usage >&2; exit 2 ;;
    esac
    shift 2
  done
  if [[ -n $CERT && -z $KEY || -z $CERT && -n $KEY ]]; then die "--cert and --key go together"; fi
}

# serve NAME DATABASE: starts the jar unless it runs already as it is now, and somebody who starts it again when it ends;
# its address goes to .goldthistle/NAME.url once it answers there
serve() {
  local name=$1 database=$2 port wanted
  build_jar
  pg_start $CLUSTER
  pg_database $CLUSTER "$database"
  pg_environment $CLUSTER "$database"
  wanted="$(cat "$STATE/built") $BIND $CERT ${GOLDTHISTLE_LABORATORY_URL:-}"
  if serve_is_healthy "$name" && [[ $(cat "$STATE/$name.started" 2>/dev/null) == "$wanted" ]]; then
    say "it runs already"
    return 0
  fi
  serve_kill "$name"
  serve_tls
  port=$FIRST_PORT
  while true; do
    while answers_on "$port"; do port=$((port + 1)); done
    if serve_launch "$name" "$port"; then break; fi
    # somebody took the port between the probe and the bind
    if ! serve_port_was_taken "$name"; then
      serve_why "$name" >&2
      die "the server did not start; its log is .goldthistle/$name.log"
    fi
    port=$((port + 1))
  done
  echo "$wanted" >"$STATE/$name.started"
  export BIND CERT SCHEME
  nohup setsid "$ROOT/goldthistle" watch "$name" "$port" >>"$STATE/$name.watch.log" 2>&1 </dev/null &
  echo $! >"$STATE/$name.watch"
  if [[ $port -ne $FIRST_PORT ]]; then say "port $FIRST_PORT is taken; using $port"; fi
}

MOST_STARTS=5      # within
STARTS_WITHIN=600  # seconds

# serve_watch NAME PORT: starts the server again when it ends, and its database; gives up when that does not help
serve_watch() {
  local name=$1 port=$2 starts=() start kept rest
  need_postgres
  set +e # whatever fails is tried again
  while true; do
    sleep 1
    if ! pg_runs $CLUSTER; then
      say "$(date -Is) the database ended; starting it again"
      (pg_start $CLUSTER) || true
      serve_follow_database "$name"
    fi
    if serve_is_ours "$name"; then continue; fi
    kept=()
    for start in "${starts[@]}"; do
      if ((SECONDS - start < STARTS_WITHIN)); then kept+=("$start"); fi
    done
    starts=("${kept[@]}")
    if ((${#starts[@]} >= MOST_STARTS)); then
      say "$(date -Is) the server ended $((MOST_STARTS + 1)) times within $((STARTS_WITHIN / 60)) minutes; it is left alone now. Its last words:"
      serve_why "$name"
      rm -f "$STATE/$name.watch" "$STATE/$name.started"
      exit 1
    fi
    rest=$((1 << ${#starts[@]}))
    say "$(date -Is) the server ended; starting it again in $rest s. Its last words:"
    serve_why "$name"
    cp "$STATE/$name.log" "$STATE/$name.ended.log" 2>/dev/null || true
    sleep "$rest"
    starts+=("$SECONDS")
    if serve_launch "$name" "$port"; then say "$(date -Is) it runs again"; fi
  done
}

# serve_follow_database NAME: where the database had to move, the server is ended, so that it starts where it is now
serve_follow_database() {
  local port
  port=$(pg_port $CLUSTER)
  if [[ $SPRING_DATASOURCE_URL == *":$port/"* ]]; then return 0; fi
  export SPRING_DATASOURCE_URL=jdbc:postgresql://127.0.0.1:$port/${SPRING_DATASOURCE_URL##*/}
  export SPRING_FLYWAY_URL=$SPRING_DATASOURCE_URL
  if serve_is_ours "$name"; then kill "$(cat "$STATE/$name.pid")"; fi
}

# serve_why NAME: what the log says went wrong, without what only its makers read
serve_why() {
  local log=$STATE/$1.log why
  why=$(grep -oE "platform\.Problem: .*|OutOfMemoryError.*" "$log" 2>/dev/null | tail -1 | sed 's/^platform\.Problem: //' || true)
  if [[ -z $why ]]; then why=$(sed -n '/^Description:/,/^Action:/p' "$log" 2>/dev/null | sed '1d;$d' | grep . || true); fi
  if [[ -z $why ]]; then why=$(grep -E "^Caused by:|^Error|^Exception" "$log" 2>/dev/null | tail -1 | cut -c1-300 || true); fi
  if [[ -n $why ]]; then echo "$why"; else tail -5 "$log" 2>/dev/null; fi
}

# off the loopback only over TLS
serve_tls() {
  SCHEME=http
  unset GOLDTHISTLE_AUTHORITY SERVER_SERVLET_SESSION_COOKIE_SECURE SERVER_SSL_CERTIFICATE SERVER_SSL_CERTIFICATEPRIVATEKEY SERVER_SSL_KEYSTORE SERVER_SSL_KEYSTOREPASSWORD
  if [[ $BIND == 127.0.0.1 && -z $CERT ]]; then return 0; fi
  SCHEME=https
  export SERVER_SERVLET_SESSION_COOKIE_SECURE=true
  if [[ -n $CERT ]]; then
    export SERVER_SSL_CERTIFICATE=$CERT SERVER_SSL_CERTIFICATEPRIVATEKEY=$KEY
    return 0
  fi
  serve_certificate
  SERVER_SSL_KEYSTOREPASSWORD=$(cat "$STATE/certificate.pass")
  export SERVER_SSL_KEYSTORE=$STATE/certificate.p12 SERVER_SSL_KEYSTOREPASSWORD GOLDTHISTLE_AUTHORITY=$STATE/authority.pem
}

# keytool_quietly ARGUMENT...: with the stores' passphrase
keytool_quietly() { keytool "$@" -storetype PKCS12 -storepass "$(cat "$STATE/certificate.pass")" >/dev/null 2>&1; }

# the authority of this machine, made once, and the server's certificate, signed by it; made anew when the machine's
# addresses changed or it ends within a month
serve_certificate() {
  local authority=$STATE/authority.p12 store=$STATE/certificate.p12 names="dns:localhost,ip:127.0.0.1" address
  keep_secret "$STATE/certificate.pass" "$(random_word 16)"
  for address in $(hostname -I 2>/dev/null); do
    if [[ $address != *:* ]]; then names+=",ip:$address"; fi
  done
  (
    umask 077 # the keys are for their owner alone
    if [[ ! -s $authority ]]; then
      keytool_quietly -genkeypair -alias authority -keyalg EC -groupname secp256r1 -validity 3650 \
        -dname "CN=Goldthistle on $(hostname)" -ext bc:critical=ca:true,pathlen:0 -ext ku:critical=keyCertSign \
        -keystore "$authority" || die "keytool could not make an authority"
      rm -f "$store"
      say "made an authority of our own; the sign-in page tells how a tablet comes to trust it"
    fi
    keytool_quietly -exportcert -rfc -alias authority -keystore "$authority" -file "$STATE/authority.pem" ||
      die "keytool could not read the authority"
    if [[ -s $store && $(cat "$STATE/certificate.names" 2>/dev/null) == "$names" ]] && serve_certificate_lasts "$store"; then
      return 0
    fi
    rm -f "$store"
    keytool_quietly -genkeypair -alias goldthistle -keyalg EC -groupname secp256r1 -dname CN=Goldthistle -keystore "$store" &&
      keytool_quietly -certreq -alias goldthistle -keystore "$store" -file "$STATE/certificate.csr" &&
      keytool_quietly -gencert -alias authority -keystore "$authority" -infile "$STATE/certificate.csr" -rfc -validity 397 \
        -ext "san=$names" -ext eku=serverAuth -outfile "$STATE/certificate.pem" &&
      keytool_quietly -importcert -noprompt -alias authority -keystore "$store" -file "$STATE/authority.pem" &&
      keytool_quietly -importcert -noprompt -alias goldthistle -keystore "$store" -file "$STATE/certificate.pem" ||
      die "keytool could not make a certificate"
    rm -f "$STATE/certificate.csr" "$STATE/certificate.pem"
    echo "$names" >"$STATE/certificate.names"
  )
}

# serve_certificate_lasts STORE: true when it was made within a year
serve_certificate_lasts() { [[ -n $(find "$1" -mtime -360 2>/dev/null) ]]; }

serve_port_was_taken() { grep -q "already in use" "$STATE/$1.log"; }

# serve_doing NAME: what the server said last that it does
serve_doing() { sed -n 's/^[^ ]* *INFO  *[^:]* : //p' "$STATE/$1.log" | tail -1 | cut -c1-90; }

# serve_launch NAME PORT: true once it answers as healthy; it is waited for as long as it works, however slow the machine
serve_launch() {
  local name=$1 port=$2 pid told=$SECONDS host=127.0.0.1
  if [[ $BIND != 127.0.0.1 && $BIND != 0.0.0.0 ]]; then host=$BIND; fi
  # cookies know no ports: each copy on this machine has its own, so that signing in to one leaves the others alone
  SERVER_ADDRESS=$BIND SERVER_PORT=$port SERVER_SERVLET_SESSION_COOKIE_NAME=goldthistle-$name nohup setsid java -Xms48m -Xmx192m -Xss512k -XX:+UseSerialGC \
    -XX:MaxMetaspaceSize=160m -XX:ReservedCodeCacheSize=64m -XX:+ExitOnOutOfMemoryError \
    -jar "$JAR" >"$STATE/$name.log" 2>&1 </dev/null &
  pid=$!
  echo $pid >"$STATE/$name.pid"
  while kill -0 $pid 2>/dev/null; do
    if answers_healthy "$SCHEME://$host:$port"; then
      echo "$SCHEME://$host:$port" >"$STATE/$name.url"
      return 0
    fi
    if ((SECONDS - told >= 10)); then
      told=$SECONDS
      say "still starting: $(serve_doing "$name")"
    fi
    sleep 0.3
  done
  rm -f "$STATE/$name.pid"
  return 1
}

answers_healthy() { curl -ksf --noproxy '*' -m 5 "$1/actuator/health" 2>/dev/null | grep -q '"UP"'; }

serve_is_ours() {
  local pid
  pid=$(cat "$STATE/$1.pid" 2>/dev/null) || return 1
  grep -qaF "$JAR" "/proc/$pid/cmdline" 2>/dev/null
}

serve_is_healthy() { serve_is_ours "$1" && answers_healthy "$(cat "$STATE/$1.url")"; }

serve_kill() {
  local watcher
  watcher=$(cat "$STATE/$1.watch" 2>/dev/null) || watcher=""
  if [[ -n $watcher ]] && grep -qaF "watch" "/proc/$watcher/cmdline" 2>/dev/null; then kill "$watcher" 2>/dev/null || true; fi
  rm -f "$STATE/$1.watch"
  if serve_is_ours "$1"; then
    local pid
    pid=$(cat "$STATE/$1.pid")
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 100); do
      if ! serve_is_ours "$1"; then break; fi
      sleep 0.2
    done
    if serve_is_ours "$1"; then kill -9 "$pid"; fi
  fi
  rm -f "$STATE/$1.pid" "$STATE/$1.started"
}

serve_stop() {
  serve_kill demo
  serve_kill run
  serve_kill bench
  standin_stop caliper
  pg_stop $CLUSTER
  say "stopped; the data stays"
}

serve_reset() {
  if [[ ${1:-} != --yes ]]; then
    [[ -t 0 ]] || die "reset throws the demo data away; say ./goldthistle reset --yes"
    local answer
    read -rp "Throw the demo data away, with everything entered into it? [y/N] " answer
    [[ $answer == y || $answer == Y ]] || die "nothing was changed"
  fi
  serve_kill demo
  pg_start $CLUSTER
  pg_database $CLUSTER goldthistle_demo fresh
  serve_demo
}

# serve_dev: the server from its classes, started anew when they change, and before it the interface as its sources are
serve_dev() {
  need_build_tools
  keep_secret "$STATE/demo.pass" "$(random_word 2)-birch-$(random_word 2)"
  pg_start $CLUSTER
  pg_database $CLUSTER goldthistle_dev
  pg_environment $CLUSTER goldthistle_dev
  say "building (the first time takes some minutes)"
  maven -pl server -am process-classes dependency:build-classpath -Dmdep.outputFile="$STATE/dev.classpath" \
    -Dmdep.includeScope=runtime -Dspotless.check.skip -Dcheckstyle.skip
  local port=$FIRST_PORT classes="" module
  while answers_on "$port"; do port=$((port + 1)); done
  for module in server core call formats; do classes+=$ROOT/$module/target/classes:; done
  export SERVER_PORT=$port GOLDTHISTLE_DEMO=true GOLDTHISTLE_DEMO_PASSPHRASE GOLDTHISTLE_SERVER=http://127.0.0.1:$port
  GOLDTHISTLE_DEMO_PASSPHRASE=$(cat "$STATE/demo.pass")
  java -cp "$classes$(cat "$STATE/dev.classpath")" org.goldthistle.GoldthistleApplication >"$STATE/dev.log" 2>&1 &
  trap "kill $! 2>/dev/null" EXIT
  cat <<TXT

  the server's log is .goldthistle/dev.log; \`mvn -pl server -am compile\` (or your IDE) starts it anew with what changed
  sign in as       $DEMO_OBSERVERS
  with             $GOLDTHISTLE_DEMO_PASSPHRASE

TXT
  (cd "$ROOT/web" && npx vite --host 127.0.0.1)
}
