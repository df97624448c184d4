#!/usr/bin/env bash
# Runs the commands of the README as they are written, from a fresh clone in an empty folder. Those in blocks run to
# their end, or until they answer where they start a program; those in sentences only have to be there.
set -euo pipefail
cd "$(dirname "$0")/.."
folder=$(mktemp -d)
running=
finish() {
  if [[ -n "$running" ]]; then kill -- "-$running" 2>/dev/null || true; fi
  rm -rf "$folder"
}
trap finish EXIT
git clone --quiet . "$folder/hodometer"
cd "$folder/hodometer"
export XDG_DATA_HOME="$folder/data"

# answers starts a program, waits for the address it prints, asks there for the page, and stops it.
answers() {
  setsid bash -c "$1" >"$folder/said" 2>&1 &
  running=$!
  local address=
  for _ in $(seq 600); do
    address=$(grep -oE 'http://[^ ]+' "$folder/said" | head -1 || true)
    [[ -n "$address" ]] && break
    kill -0 "$running" 2>/dev/null || break
    sleep 1
  done
  if [[ -z "$address" ]]; then
    cat "$folder/said"
    echo "no address was printed"
    return 1
  fi
  node -e 'fetch(process.argv[1]).then(async (r) => {
    if (!r.ok || !(await r.text()).includes("<title>Hodometer")) throw new Error(`${process.argv[1]} answered ${r.status}`)
  })' "$address"
  kill -- "-$running"
  wait "$running" 2>/dev/null || true
  running=
}

blocks=$(awk '/^```/ { inside = !inside; next } inside' README.md | sed 's/ *#.*//')
[[ "$blocks" == *"make demo"* && "$blocks" == *"make test"* ]]
while IFS= read -r command; do
  echo "== $command"
  case $command in
    "make demo"* | bin/hodometer*) answers "$command" ;;
    *) bash -c "$command" </dev/null ;;
  esac
done <<<"$blocks"

grep -oE '`make [a-z-]+`' README.md | tr -d '`' | sort -u | while IFS= read -r command; do
  echo "== $command is there"
  $command --dry-run >/dev/null
done
echo "Every command of the README works from a fresh clone."
