#!/usr/bin/env bash
# npm ci and the checked build of the front end, each only when its inputs changed.
# usage: build.sh [TARGET]   the built files go to TARGET/classes/static
set -euo pipefail
cd "$(dirname "$0")"
target=${1:-$PWD/target}
mkdir -p "$target"

inputs=()
for f in src test public index.html vite.config.ts tsconfig.json biome.json openapi.json ../formats/src/main ../browser/src/main ../call/src/main ../core/src/main; do
  if [[ -e $f ]]; then inputs+=("$f"); fi
done
lock=$({ node -v; sha256sum package.json package-lock.json; } | sha256sum | cut -d' ' -f1)
if [[ ! -d node_modules || $(cat node_modules/.lockhash 2>/dev/null) != "$lock" ]]; then
  npm ci --no-audit --no-fund --prefer-offline
  echo "$lock" >node_modules/.lockhash
fi

sources=$({ echo "$lock"; find "${inputs[@]}" -type f ! -name schema.ts ! -name limits.ts -print0 | LC_ALL=C sort -z | xargs -0 sha256sum; } | sha256sum | cut -d' ' -f1)
if [[ -f $target/classes/static/index.html && $(cat "$target/.webhash" 2>/dev/null) == "$sources" ]]; then
  echo "web: unchanged, build skipped"
  exit 0
fi
npm run --silent check
npm run --silent build -- --logLevel warn --outDir "$target/classes/static" --emptyOutDir
echo "$sources" >"$target/.webhash"
