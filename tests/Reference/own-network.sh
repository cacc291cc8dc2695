#!/bin/bash
# The simulated world in a network of its own, on its own addresses and port 53, as programs ask that know no other; then zonemaster-cli for
# each name. Run under `unshare -rn`: own-network.sh FOLDER NAME…, with the world's document in FOLDER/document.json.
set -euo pipefail
folder=$1; shift
ip link set lo up
for network in 192.0.2.0/24 198.51.100.0/24 203.0.113.0/24; do ip addr add "$network" dev lo; done
export WORLD_NETWORK=own WORLD_FOLDER=$folder/world WORLD_KEY=own WORLD_DNS_PORT=53 WORLD_PAGE_PORT=8430 ACRE_ADDRESS=127.0.0.1
mkdir -p "$WORLD_FOLDER"
php "$(dirname "$0")/../../standins/serve.php" 2> "$folder/world.log" &
world=$!
trap 'kill $world' EXIT
for _ in $(seq 100); do grep -q 'The world listens' "$folder/world.log" && break; sleep 0.1; done
php -r '
    $context = stream_context_create(["http" => ["method" => "POST", "header" => "World-Key: own\r\nContent-Type: application/json",
        "content" => file_get_contents($argv[1])]]);
    exit(file_get_contents("http://127.0.0.1:8430/load", false, $context) === false ? 1 : 0);
' "$folder/document.json"
printf '. 3600000 NS a.root.example.\na.root.example. 3600000 A 192.0.2.1\n' > "$folder/hints"
for name in "$@"; do
  zonemaster-cli --hints "$folder/hints" --no-ipv6 --json --no-json-stream --level NOTICE "$name" > "$folder/$name.json"
done
