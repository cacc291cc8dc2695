# ./acre keep and ./acre bring-back: everything, keys too, in one file under a passphrase; sourced by ./acre.

ask_passphrase() {
  if [ -z "${ACRE_PASSPHRASE:-}" ]; then
    [ -t 0 ] || die "set the passphrase in ACRE_PASSPHRASE."
    read -rsp "Passphrase (12 characters or more; without it the file is lost): " ACRE_PASSPHRASE; say ""
  fi
  export ACRE_PASSPHRASE
}

# A line a table: its name and how many rows it has.
COUNTS="SELECT c.relname || ' ' ||
  (xpath('/row/n/text()', query_to_xml(format('SELECT count(*) AS n FROM %I', c.relname), false, true, '')))[1]
  FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
  WHERE c.relkind IN ('r', 'p') AND n.nspname = 'public' AND NOT c.relispartition ORDER BY c.relname"

# The database at one instant, uploads with their digests, the head of the records, the keys that encrypt and sign.
# In a process of its own, so that what lies open meanwhile is gone however it ends.
keep_into() (
  file=$1 database=$2
  work=$(mktemp -d "$DATA/keep.XXXXXX")
  trap 'rm -rf "$work" "$file.part"' EXIT
  chmod 700 "$work"
  # Before the database is read, so that nothing is counted that is not in it.
  cp "$LARAVEL_STORAGE_PATH/app/heads/$database.txt" "$work/head" 2>/dev/null || : > "$work/head"
  PG_DUMP="$(PG_BIN)/pg_dump" WORK=$work PGHOST=127.0.0.1 PGPORT=$ACRE_DB_PORT PGUSER=acre_admin \
    PGPASSWORD=$DB_ADMIN_PASSWORD PGDATABASE=$database \
    psql -q -v ON_ERROR_STOP=1 <<SQL > "$work/counts" || die "the database could not be read"
\\pset tuples_only on
\\pset format unaligned
BEGIN ISOLATION LEVEL REPEATABLE READ;
SELECT pg_export_snapshot() AS snapshot \\gset
\\setenv SNAPSHOT :snapshot
\\! "\$PG_DUMP" --format=custom --snapshot="\$SNAPSHOT" --file="\$WORK/database.dump"
$COUNTS;
COMMIT;
SQL
  [ -s "$work/database.dump" ] || die "the database could not be read"
  grep -E '^(APP_KEY|APP_PREVIOUS_KEYS|SIGNING_KEY)=' .env > "$work/key"
  mkdir -p "$LARAVEL_STORAGE_PATH/app"
  (cd "$LARAVEL_STORAGE_PATH" && find app -path app/heads -prune -o -type f -print0 | sort -z | xargs -0r sha256sum) > "$work/files"
  (umask 077; tar -cf - -C "$work" database.dump counts key head files --exclude=app/heads -C "$LARAVEL_STORAGE_PATH" app \
    | php bin/seal.php seal > "$file.part") || die "the file could not be written"
  mv "$file.part" "$file"
)

# Opens a kept file into a new folder, whose path is left in OPENED, and checks every upload against its digest.
# The folder is gone when the process ends that opened it.
open_kept() {
  OPENED=$(mktemp -d "$DATA/kept.XXXXXX")
  trap 'rm -rf "$OPENED"' EXIT
  chmod 700 "$OPENED"
  php bin/seal.php open < "$1" > "$OPENED/tar" || return 1
  tar -xf "$OPENED/tar" -C "$OPENED" && rm "$OPENED/tar" && (cd "$OPENED" && { [ ! -s files ] || sha256sum --quiet -c files; })
}

# Files that were kept before heads were have no key to sign them with.
kept_key() { sed -n "s/^$1=//p" "$OPENED/key"; }

# Restores what was opened into a database, and compares the rows of each table with what was kept.
restore_into() {
  local database=$1
  PGOPTIONS="-c client_min_messages=warning" sql -d postgres -c "DROP DATABASE IF EXISTS $database WITH (FORCE)"
  sql -d postgres -c "CREATE DATABASE $database OWNER acre_owner TEMPLATE template0"
  PGPASSWORD=$DB_ADMIN_PASSWORD "$(PG_BIN)/pg_restore" --exit-on-error -h 127.0.0.1 -p "$ACRE_DB_PORT" -U acre_admin \
    -d "$database" "$OPENED/database.dump" || return 1
  sql -d "$database" -Atc "$COUNTS" | diff "$OPENED/counts" - || return 1
}

# The whole way back, into a throwaway database, with the chain of proofs walked in it.
rehearse() (
  open_kept "$1" || return 1
  code=0
  signing=$(kept_key SIGNING_KEY)
  key=$(kept_key APP_KEY)
  touch "$OPENED/head"
  restore_into acre_rehearsal || code=1
  [ $code = 1 ] || as_run env APP_CONFIG_CACHE="$OPENED/none" DB_DATABASE=acre_rehearsal APP_KEY="$key" \
    APP_PREVIOUS_KEYS="$(kept_key APP_PREVIOUS_KEYS)" SIGNING_KEY="$signing" \
    php artisan acre:verify --against < "$OPENED/head" || code=1
  sql -d postgres -c "DROP DATABASE IF EXISTS acre_rehearsal WITH (FORCE)"
  [ $code = 1 ] || say "$(awk '{ rows += $2 } END { print NR " tables with " rows " rows" }' "$OPENED/counts") and \
$(wc -l < "$OPENED/files") uploads came back as they were kept."
  return $code
)

keep() {
  local file=${1:-}
  [ -n "$file" ] || die "name the file to write: ./acre keep FILE"
  load_settings; stack_paths main; need_running; ask_passphrase
  keep_into "$file" acre
  say "Backed up to $file. To test it: ./acre bring-back $file --rehearse"
}

bring_back() {
  local file=${1:-} how=${2:-}
  [ -r "$file" ] || die "name the file to restore: ./acre bring-back FILE [--rehearse|--yes]"
  load_settings; stack_paths main; need_running; ask_passphrase
  case $how in
    --rehearse) rehearse "$file" || die "this backup can't be restored"; return 0 ;;
    --yes) ;;
    *) die "this replaces all data here. Use --rehearse to test the backup, or --yes to restore it." ;;
  esac
  open_kept "$file" || die "the file could not be opened; nothing was changed"
  step "stopping pages and workers"
  control stop 'web:*' 'workers:*' >/dev/null
  restore_into acre || die "the database could not be restored; $file is intact, and the application stays stopped until you restore it"
  rm -rf "$LARAVEL_STORAGE_PATH/app"
  mv "$OPENED/app" "$LARAVEL_STORAGE_PATH/app"
  [ ! -s "$OPENED/head" ] || { mkdir "$LARAVEL_STORAGE_PATH/app/heads"; mv "$OPENED/head" "$LARAVEL_STORAGE_PATH/app/heads/acre.txt"; }
  for key in APP_KEY APP_PREVIOUS_KEYS SIGNING_KEY; do
    [ -z "$(kept_key $key)" ] || { sed -i "/^$key=/d" .env; echo "$key=$(kept_key $key)" >> .env; }
  done
  load_settings; folders
  make_roles
  migrate
  artisan optimize -q
  control start 'web:*' 'workers:*' >/dev/null || true
  wait_for "the first page" page_up
  say "Restored. Acre Roll answers at $APP_URL"
}
