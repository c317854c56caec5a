# PostgreSQL clusters of the project's own, on the loopback and a free port that each remembers. Sourced, never run.
#
# A cluster NAME has its settings in .goldthistle/NAME and its data there too; where the unprivileged account
# that the server needs under root cannot reach that folder, the data lies in /var/lib/goldthistle instead.

PG_ROLE=goldthistle        # what the application works under: rows, and no more
PG_OWNER=goldthistle_owner # what migrates: the tables are its own

pg_home() { echo "$STATE/$1"; }
pg_data_home() { if [[ -s $(pg_home "$1")/elsewhere ]]; then cat "$(pg_home "$1")/elsewhere"; else pg_home "$1"; fi; }
pg_data() { echo "$(pg_data_home "$1")/data"; }
pg_port() { cat "$(pg_home "$1")/port"; }

# as_postgres COMMAND...: the server refuses root, so root becomes the package's account
as_postgres() {
  if [[ $EUID -eq 0 ]]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

# pg_sql NAME DATABASE ARGUMENT...: psql as the cluster's administrator
pg_sql() {
  local name=$1 database=$2
  shift 2
  PGPASSWORD=$(cat "$(pg_home "$name")/admin.pass") "$PG_BIN/psql" -X -q -v ON_ERROR_STOP=1 \
    -h 127.0.0.1 -p "$(pg_port "$name")" -U postgres -d "$database" "$@"
}

# pg_start NAME [fast]: makes the cluster if need be and starts it; "fast" gives durability up, for tests, and lets several
# applications at once hold the connections that they ask for
pg_start() {
  local name=$1 home
  need_postgres
  home=$(pg_home "$name")
  mkdir -p "$home"
  (
    flock 9
    pg_settle_place "$name"
    if [[ ! -s $(pg_data "$name")/PG_VERSION ]]; then pg_create "$name"; fi
    pg_forget_dead_server "$name"
    if ! pg_runs "$name" || ! pg_await "$name"; then # a server that is just dying looks alive for a moment
      pg_forget_dead_server "$name"
      pg_launch "$name" "${2:-}"
    fi
  ) 9>"$home/lock"
}

# where the data lies: in .goldthistle, unless the server's account cannot pass a parent folder
pg_settle_place() {
  local home elsewhere
  home=$(pg_home "$1")
  if [[ $EUID -ne 0 || -s $home/elsewhere || -s $home/data/PG_VERSION ]]; then return 0; fi
  if ! runuser -u postgres -- test -x "$home"; then
    elsewhere=/var/lib/goldthistle/$(printf %s "$home" | sha1sum | cut -c1-12)
    mkdir -p "$elsewhere"
    echo "$elsewhere" >"$home/elsewhere"
    say "the account postgres cannot reach $home; the database lies in $elsewhere"
  fi
}

pg_create() {
  local name=$1 home data passwords
  home=$(pg_home "$name")
  data=$(pg_data "$name")
  keep_secret "$home/admin.pass" "$(random_word 16)"
  rm -rf "$data" # an earlier attempt that was cut short
  mkdir -p "$data"
  passwords=$(mktemp)
  cat "$home/admin.pass" >"$passwords"
  if [[ $EUID -eq 0 ]]; then chown postgres: "$(pg_data_home "$name")" "$data" "$passwords"; fi
  as_postgres "$PG_BIN/initdb" -D "$data" -U postgres -E UTF8 --locale=C.UTF-8 \
    --auth=scram-sha-256 --pwfile="$passwords" --no-instructions >"$home/initdb.log" 2>&1 ||
    { cat "$home/initdb.log" >&2; rm -f "$passwords"; die "PostgreSQL could not make its cluster in $data"; }
  rm -f "$passwords"
}

# a server that was killed leaves its pid file, and for a moment processes that still hold its memory; a process that
# nobody reaps still answers kill -0
pg_forget_dead_server() {
  local pidfile pid data
  data=$(pg_data "$1")
  pidfile=$data/postmaster.pid
  pid=$(head -1 "$pidfile" 2>/dev/null) || return 0
  if [[ -n $pid ]] && grep -qaF "$data" "/proc/$pid/cmdline" 2>/dev/null; then return 0; fi
  for _ in $(seq 100); do
    if [[ -z $(pg_orphans "$data") ]]; then break; fi
    sleep 0.2
  done
  # shellcheck disable=SC2046
  kill -9 $(pg_orphans "$data") 2>/dev/null || true
  rm -f "$pidfile"
}

# pg_orphans DATA: processes of a server that work in its folder
pg_orphans() {
  local process
  for process in /proc/[0-9]*; do
    if [[ $(readlink "$process/cwd" 2>/dev/null) == "$1" && $(cat "$process/comm" 2>/dev/null) == postgres &&
      -n $(tr -d '\0' <"$process/cmdline" 2>/dev/null) ]]; then echo "${process#/proc/}"; fi
  done
}

pg_runs() { as_postgres "$PG_BIN/pg_ctl" -D "$(pg_data "$1")" status >/dev/null 2>&1; }

pg_launch() {
  local name=$1 home settings="" attempt sockets log said reason
  home=$(pg_home "$name")
  sockets=$(pg_data_home "$name")/sock
  # a socket's path may be 107 bytes long and no longer
  if [[ ${#sockets} -gt 80 ]]; then sockets=/tmp/goldthistle-$(printf %s "$home" | sha1sum | cut -c1-12); fi
  mkdir -p "$sockets"
  log=$(pg_data_home "$name")/server.log
  touch "$log"
  if [[ $EUID -eq 0 ]]; then chown postgres: "$sockets" "$log"; fi
  if [[ ${2:-} == fast ]]; then settings="-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_connections=300"; fi
  if [[ ! -s $home/port ]]; then free_high_port >"$home/port"; fi
  for attempt in $(seq 60); do
    said=$(stat -c %s "$log")
    as_postgres "$PG_BIN/pg_ctl" -D "$(pg_data "$name")" -l "$log" -W -o \
      "-c listen_addresses=127.0.0.1 -c port=$(cat "$home/port") -c unix_socket_directories='$sockets' $settings" \
      start >/dev/null 2>&1 9>&- || true
    if pg_await "$name"; then return 0; fi
    reason=$(tail -c "+$((said + 1))" "$log")
    if grep -qE "Address already in use|could not bind" <<<"$reason"; then
      # the port is kept, since a running application knows no other, unless somebody else has settled there
      if ((attempt >= 20)); then
        free_high_port >"$home/port"
        say "somebody else has the database's port; it is $(cat "$home/port") from now on"
      fi
    elif ! grep -qE "pre-existing shared memory|lock file .* already exists" <<<"$reason"; then
      break
    fi
    sleep 1
  done
  tail -20 "$log" >&2
  die "PostgreSQL did not start; its log is $log"
}

# pg_await NAME: true once the server answers; it is waited for as long as it works, since recovery can take minutes
pg_await() {
  local begun=$SECONDS told=$SECONDS
  while pg_runs "$1" || ((SECONDS - begun < 3)); do
    if "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$(pg_port "$1")" -t 2 && pg_runs "$1"; then return 0; fi
    if ((SECONDS - told >= 10)); then
      told=$SECONDS
      say "PostgreSQL is still starting: $(tail -1 "$(pg_data_home "$1")/server.log" | cut -c1-90)"
    fi
    sleep 0.2
  done
  return 1
}

free_high_port() {
  local port
  for _ in $(seq 50); do
    port=$((20000 + RANDOM % 12000))
    if ! answers_on "$port"; then
      echo "$port"
      return 0
    fi
  done
  die "no free port between 20000 and 32000"
}

# pg_role NAME ROLE PASSWORD_FILE: makes a role if need be
pg_role() {
  local name=$1 role=$2 file
  file=$(pg_home "$name")/$3
  keep_secret "$file" "$(random_word 16)"
  if [[ $(pg_sql "$name" postgres -tAc "select 1 from pg_roles where rolname = '$role'") != 1 ]]; then
    pg_sql "$name" postgres -c "create role $role login password '$(cat "$file")'"
  fi
}

# pg_database NAME DATABASE [fresh]: makes the roles and the database if need be; "fresh" makes it anew
pg_database() {
  local name=$1 database=$2
  pg_role "$name" $PG_ROLE role.pass
  pg_role "$name" $PG_OWNER owner.pass
  if [[ ${3:-} == fresh ]]; then pg_sql "$name" postgres -c "drop database if exists $database with (force)" 2>/dev/null; fi
  if [[ $(pg_sql "$name" postgres -tAc "select 1 from pg_database where datname = '$database'") != 1 ]]; then
    pg_sql "$name" postgres -c "create database $database owner $PG_OWNER"
  fi
  # what an earlier version made belonged to the application itself
  pg_sql "$name" "$database" -c "reassign owned by $PG_ROLE to $PG_OWNER" -c "alter database $database owner to $PG_OWNER"
}

# pg_environment NAME DATABASE: what the server reads to find its database
pg_environment() {
  export SPRING_DATASOURCE_URL="jdbc:postgresql://127.0.0.1:$(pg_port "$1")/$2"
  export SPRING_DATASOURCE_USERNAME=$PG_ROLE
  SPRING_DATASOURCE_PASSWORD=$(cat "$(pg_home "$1")/role.pass")
  export SPRING_DATASOURCE_PASSWORD
  export SPRING_FLYWAY_URL=$SPRING_DATASOURCE_URL SPRING_FLYWAY_USER=$PG_OWNER
  SPRING_FLYWAY_PASSWORD=$(cat "$(pg_home "$1")/owner.pass")
  export SPRING_FLYWAY_PASSWORD
}

pg_stop() {
  PG_BIN=$(newest_postgres)
  if [[ -n $PG_BIN && -s $(pg_data "$1")/PG_VERSION ]] && pg_runs "$1"; then
    as_postgres "$PG_BIN/pg_ctl" -D "$(pg_data "$1")" -m fast -w stop >/dev/null
  fi
}
