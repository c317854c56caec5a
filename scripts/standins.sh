# What stands in for devices and services outside: a process of its own each. Sourced, never run.

STANDINS_JAR=$ROOT/standins/target/goldthistle-standins.jar

# standin_start NAME CLASS FIRST_PORT: starts it on the first free port from there, unless it runs already as it is now;
# its address goes to .goldthistle/NAME.url
standin_start() {
  local name=$1 class=$2 port=$3 wanted
  wanted=$(cat "$STATE/built")
  if standin_runs "$name" && [[ $(cat "$STATE/$name.started" 2>/dev/null) == "$wanted" ]]; then return 0; fi
  standin_stop "$name"
  while answers_on "$port"; do port=$((port + 1)); done
  nohup setsid java -Xms8m -Xmx48m -XX:+UseSerialGC -cp "$STANDINS_JAR" "org.goldthistle.standins.$class" "$port" \
    >"$STATE/$name.log" 2>&1 </dev/null &
  echo $! >"$STATE/$name.pid"
  for _ in $(seq 300); do
    if answers_on "$port"; then
      echo "http://127.0.0.1:$port" >"$STATE/$name.url"
      echo "$wanted" >"$STATE/$name.started"
      return 0
    fi
    # a child that has not become the stand-in yet is alive all the same
    if ! kill -0 "$(cat "$STATE/$name.pid")" 2>/dev/null; then break; fi
    sleep 0.1
  done
  tail -5 "$STATE/$name.log" >&2
  die "the stand-in $name did not start; its log is .goldthistle/$name.log"
}

standin_runs() {
  local pid
  pid=$(cat "$STATE/$1.pid" 2>/dev/null) || return 1
  grep -qaF "$STANDINS_JAR" "/proc/$pid/cmdline" 2>/dev/null
}

standin_stop() {
  if standin_runs "$1"; then kill "$(cat "$STATE/$1.pid")" 2>/dev/null || true; fi
  for _ in $(seq 50); do # so that its port is free again
    if ! standin_runs "$1"; then break; fi
    sleep 0.1
  done
  rm -f "$STATE/$1.pid" "$STATE/$1.started" "$STATE/$1.url"
}
