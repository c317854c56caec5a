# What every part of ./goldthistle shares. Sourced, never run.

STATE=$ROOT/.goldthistle # everything that the script makes on this machine lives here
mkdir -p "$STATE"

say() { echo "goldthistle: $*"; }
die() {
  echo "goldthistle: $*" >&2
  exit 1
}

# answers_on PORT: whether something listens there on the loopback
answers_on() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# random_word BYTES: that many random bytes in hex
random_word() { od -An -N"$1" -tx1 /dev/urandom | tr -d ' \n'; }

# keep_secret FILE VALUE: written so that only its owner can read it, unless it is there already
keep_secret() {
  [[ -s $1 ]] || (umask 077 && printf '%s\n' "$2" >"$1")
}
