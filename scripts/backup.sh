# Backups of one's own data, in the format of pg_dump. Sourced, never run.

OWN=goldthistle # the database of ./goldthistle run

run_backup() {
  local keep="" every="" target=""
  while [[ $# -gt 0 ]]; do
    case $1 in
      --keep) keep=${2:?--keep needs a number}; shift ;;
      --every) every=${2:?--every needs hour, day or week}; shift ;;
      -*) usage >&2; exit 2 ;;
      *) target=$1 ;;
    esac
    shift
  done
  [[ -n $target ]] || die "backup needs a file, or with --keep a folder"
  if [[ -n $keep && ! $keep =~ ^[1-9][0-9]*$ ]]; then die "--keep needs a number of 1 or more, not $keep"; fi
  if [[ -n $every ]]; then
    backup_units "$every" "${keep:-14}" "$(realpath -m "$target")"
    return 0
  fi
  pg_start $CLUSTER
  if [[ $(pg_sql $CLUSTER postgres -tAc "select 1 from pg_database where datname = '$OWN'") != 1 ]]; then
    die "there is nothing to back up: ./goldthistle run was never started here"
  fi
  if [[ -n $keep ]]; then
    mkdir -p "$target"
    backup_database $CLUSTER $OWN "$target/goldthistle-$(date +%Y-%m-%d-%H%M%S).backup"
    backup_forget "$keep" "$target"
  else
    backup_database $CLUSTER $OWN "$target"
  fi
}

# backup_database CLUSTER DATABASE FILE: everything but who is signed in, as it is at one instant
backup_database() {
  local cluster=$1 database=$2 file=$3
  (
    umask 077
    PGPASSWORD=$(cat "$(pg_home "$cluster")/admin.pass") "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$(pg_port "$cluster")" -U postgres \
      --format=custom --exclude-table-data='spring_session*' --file="$file.part" "$database"
  ) || { rm -f "$file.part"; die "the backup was not written; what was at $file before is still there"; }
  mv "$file.part" "$file"
  say "backed up into $file ($(du -h "$file" | cut -f1))"
}

# backup_forget N FOLDER: leaves the newest N backups there
backup_forget() {
  local old
  find "$2" -maxdepth 1 -name 'goldthistle-*.backup' -printf '%f\n' | sort -r | tail -n "+$(($1 + 1))" | while read -r old; do
    rm -f "$2/$old"
  done
}

backup_units() {
  local every=$1 keep=$2 folder=$3 calendar
  case $every in
    hour) calendar=hourly ;;
    day) calendar=daily ;;
    week) calendar=weekly ;;
    *) die "--every needs hour, day or week, not $every" ;;
  esac
  cat <<TXT
# /etc/systemd/system/goldthistle-backup.service
[Unit]
Description=Backup of Goldthistle

[Service]
Type=oneshot
User=$(id -un)
ExecStart=$ROOT/goldthistle backup --keep $keep $folder

# /etc/systemd/system/goldthistle-backup.timer
[Unit]
Description=Backup of Goldthistle, $calendar

[Timer]
OnCalendar=$calendar
Persistent=true
RandomizedDelaySec=10min

[Install]
WantedBy=timers.target

# then: systemctl daemon-reload && systemctl enable --now goldthistle-backup.timer
TXT
}

run_restore() {
  local file="" yes=""
  while [[ $# -gt 0 ]]; do
    case $1 in
      --yes) yes=1 ;;
      -*) usage >&2; exit 2 ;;
      *) file=$1 ;;
    esac
    shift
  done
  [[ -s $file ]] || die "restore needs the file of a backup; nothing was changed"
  pg_start $CLUSTER
  restore_is_backup "$file" || die "$file is no backup of Goldthistle; nothing was changed"
  if [[ -z $yes && $(restore_counts $CLUSTER $OWN) -gt 0 ]]; then
    [[ -t 0 ]] || die "there is data here already; say ./goldthistle restore $file --yes to set it aside"
    local answer
    read -rp "There is data here already. Set it aside and put the backup in its place? [y/N] " answer
    [[ $answer == y || $answer == Y ]] || die "nothing was changed"
  fi
  serve_kill run
  restore_database $CLUSTER $OWN "$file"
  say "restored; start it with ./goldthistle run"
}

restore_is_backup() {
  local parts
  parts=$("$PG_BIN/pg_restore" --list "$1" 2>/dev/null) || return 1
  grep -q "TABLE DATA .* determination " <<<"$parts"
}

# restore_counts CLUSTER DATABASE: how many observers it has; 0: it is empty, or not there
restore_counts() { pg_sql "$1" "$2" -tAc "select count(*) from observer" 2>/dev/null || echo 0; }

# restore_database CLUSTER DATABASE FILE: put in place whole or not at all; a database that was there before is set aside
restore_database() {
  local cluster=$1 database=$2 file=$3 fresh=${2}_restoring aside
  pg_database "$cluster" "$fresh" fresh
  if ! PGPASSWORD=$(cat "$(pg_home "$cluster")/admin.pass") "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$(pg_port "$cluster")" -U postgres \
    --dbname="$fresh" --exit-on-error --single-transaction "$file" >&2; then
    pg_sql "$cluster" postgres -c "drop database $fresh"
    die "the backup could not be read to its end; nothing was changed"
  fi
  if [[ $(pg_sql "$cluster" postgres -tAc "select 1 from pg_database where datname = '$database'") == 1 ]]; then
    aside=${database}_before_$(date +%Y%m%d_%H%M%S)
    pg_sql "$cluster" postgres -c "select pg_terminate_backend(pid) from pg_stat_activity where datname = '$database'" >/dev/null
    pg_sql "$cluster" postgres -c "alter database $database rename to $aside"
    say "what was there is set aside as the database $aside"
  fi
  pg_sql "$cluster" postgres -c "alter database $fresh rename to $database"
}
