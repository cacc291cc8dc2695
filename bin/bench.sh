# ./acre bench; sourced by ./acre. On a stack of its own, whose database keeps what it writes as a real one does.

# A Roll of so many names, in a database of its own beside the demo's; all of them are measured in turns.
roll_of() {
  say "$1 names"
  PGOPTIONS="-c client_min_messages=warning" sql -d postgres -c "DROP DATABASE IF EXISTS acre_$1 WITH (FORCE)" \
    -c "CREATE DATABASE acre_$1 TEMPLATE acre_browser OWNER acre_owner"
  # Indexes that are made of a million rows at once are made in a tenth of the time.
  local indexes="FROM pg_indexes WHERE tablename = 'standings' AND indexname <> 'standings_pkey'"
  sql -d "acre_$1" -Atc "SELECT indexdef || ';' $indexes" > "$DATA/indexes.sql"
  sql -d "acre_$1" -Atc "SELECT 'DROP INDEX ' || indexname || ';' $indexes" | sql -d "acre_$1"
  DB_DATABASE=acre_$1 artisan acre:generate "$1" > "$DATA/log/generate.log"
  { echo "SET maintenance_work_mem = '512MB';"; cat "$DATA/indexes.sql"; } | sql -d "acre_$1"
  # What PostgreSQL does by itself in its own time.
  sql -d "acre_$1" -c "VACUUM ANALYZE"
}

# Pages of the demo, served as the application is, while lists are sent to it.
bench_uploads() {
  artisan optimize -q
  control start 'web:*' 'workers:*' >/dev/null || true
  wait_for "the first page" page_up
  artisan acre:bench-uploads
  control stop 'web:*' 'workers:*' >/dev/null
  artisan optimize:clear -q
}

bench() {
  load_settings
  install_all
  test_stack bench
  fresh_database acre_browser
  migrate
  artisan acre:demo --first > "$DATA/log/demo.log"
  local php="php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M artisan"
  # What goes outside is measured on the demo, before anything else is on the Roll.
  case "${1:-}" in
    outside) $php acre:bench-outside ;;
    people) shift; $php acre:bench-people "$@" ;;
    list) ACRE_WORLD=off $php acre:bench --list="${2:-100000}" ;;
    uploads) bench_uploads ;;
    *)
      local sizes=1000,100000 size pages=()
      case "${1:-}" in --sizes=*) sizes=${1#--sizes=} ;; esac
      for size in ${sizes//,/ }; do roll_of "$size"; pages+=("acre_$size"); done
      $php acre:bench-outside
      # A list is brought in as in a house, where no simulated world is told of it.
      ACRE_WORLD=off DB_DATABASE=acre_$size $php acre:bench --pages="$(IFS=,; echo "${pages[*]}")"
      DB_DATABASE=acre_$size $php acre:bench-people
      bench_uploads
      ;;
  esac
}
