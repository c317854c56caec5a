# Counting lines of code and of tests. Sourced, never run.

# code_lines FILE...: lines that are neither blank nor only comment
code_lines() {
  if [[ $# -eq 0 ]]; then echo 0; else cat "$@" | grep -cvE '^[[:space:]]*($|//|\*|/\*)' || true; fi
}

count_lines() {
  local module code tests all_code=0 all_tests=0 main test
  printf '%-10s %8s %8s\n' module code tests
  cd "$ROOT"
  for module in core formats call batch browser standins web server client e2e bench; do
    if [[ ! -d $module ]]; then continue; fi
    mapfile -t test < <(git ls-files "$module/**/src/test/*.java" "$module/src/test/*.java" "$module/*.test.ts" "$module/*.test.tsx" | sort -u)
    mapfile -t main < <(git ls-files "$module/*.java" "$module/*.ts" "$module/*.tsx" | grep -vE '/src/test/|\.test\.tsx?$' || true)
    code=$(code_lines "${main[@]}")
    tests=$(code_lines "${test[@]}")
    printf '%-10s %8d %8d\n' "$module" "$code" "$tests"
    all_code=$((all_code + code)) all_tests=$((all_tests + tests))
  done
  printf '%-10s %8d %8d   %d lines of tests to 100 of code\n' total \
    "$all_code" "$all_tests" $((all_code > 0 ? 100 * all_tests / all_code : 0))
}
