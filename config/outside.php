<?php

declare(strict_types=1);

// The world outside: which hosts may be asked, and where they are dialled. Nothing else is reached by RDAP or HTTP.

/** @return array<string, string|null> host => where it is dialled, null: where it resolves to; `a=127.0.0.1:8431,b` */
$hosts = function (string $list): array {
    $found = [];
    foreach (array_filter(array_map(trim(...), explode(',', $list)), fn (string $entry): bool => $entry !== '') as $entry) {
        [$host, $dialled] = [...explode('=', $entry, 2), null];
        $found[strtolower((string) $host)] = $dialled;
    }

    return $found;
};
$port = fn (string $name, int $otherwise): int => (int) env($name, $otherwise);

// Named for the post, they are listed.
$post = $hosts(env('ACRE_SMTP_HOST', '').','.env('ACRE_RETURNS_HOST', ''));

$patience = [
    // Seconds, and bytes of an answer.
    'connect' => 5,
    'answer' => 15,
    'bytes' => 1_000_000,
    'gate_seconds' => (float) env('ACRE_GATE_SECONDS', 15),
    // Questions a minute that one host is asked, unless it says less.
    'a_minute' => (int) env('ACRE_DIRECTORY_A_MINUTE', 60),
];

if (env('ACRE_WORLD', 'off') === 'on') {
    $rdap = '127.0.0.1:'.$port('WORLD_RDAP_PORT', 8431);

    return [
        // The simulated registries take six hundred.
        'a_minute' => 600,
        'world' => [
            'page' => 'http://'.env('ACRE_ADDRESS', '127.0.0.1').':'.$port('WORLD_PAGE_PORT', 8430),
            'key' => env('WORLD_KEY', ''),
        ],
        'authority' => env('WORLD_FOLDER', base_path('var/world')).'/authority.pem',
        // Farshore's directory is not listed: its links are shown, and not followed.
        'hosts' => [
            'bootstrap.example' => $rdap,
            'rdap.harbour-registry.example' => $rdap,
            'rdap.wharf-names.example' => $rdap,
            'rdap.skerry.example' => $rdap,
            'rdap.oriel-names.example' => $rdap,
            'rdap.anchorage.example' => $rdap,
            'epp.skerry.example' => '127.0.0.1:'.$port('WORLD_EPP_PORT', 8434),
            'rdap.lantern.example' => $rdap,
            'epp.lantern.example' => '127.0.0.1:'.$port('WORLD_LANTERN_PORT', 8440),
            'bridge.oriel-names.example' => '127.0.0.1:'.$port('WORLD_BRIDGE_PORT', 8437),
            'post.example' => '127.0.0.1:'.$port('WORLD_POST_PORT', 8435),
            'mailboxes.example' => '127.0.0.1:'.$port('WORLD_POP_PORT', 8436),
            'text.lode.example' => '127.0.0.1:'.$port('WORLD_TEXT_PORT', 8432),
        ] + $post,
        'bootstrap' => 'https://bootstrap.example/dns.json',
        'text' => ['de' => 'text.lode.example'],
        'dns' => [
            'roots' => ['192.0.2.1'],
            'port' => $port('WORLD_DNS_PORT', 8433),
            'seconds' => 1.0,
            'tries' => 2,
            'at_once' => 200,
            'six' => false,
            'dialled' => ['192.0.2.' => '127.53.0.', '198.51.100.' => '127.53.1.', '203.0.113.' => '127.53.2.'],
        ],
        // Farshore's is not listed: that a name leads there is seen, and nobody goes there.
        'web' => [
            'servers' => ['192.0.2.80', '192.0.2.81', '203.0.113.80', '203.0.113.81', '198.51.100.80'],
            'ports' => [80 => $port('WORLD_WEB_PORT', 8438), 443 => $port('WORLD_WEB_TLS_PORT', 8439)],
            'seconds' => 2,
            'at_once' => 50,
        ],
    ] + $patience;
}

return $patience + [
    'world' => null,
    'authority' => null,
    'hosts' => $hosts(env('ACRE_DIRECTORY_HOSTS', '').','.env('ACRE_GATE_HOSTS', '')) + $post,
    'bootstrap' => env('ACRE_DIRECTORY_BOOTSTRAP'),
    'text' => array_map(strval(...), $hosts((string) env('ACRE_TEXT_SERVERS', ''))),
    'dns' => [
        'roots' => array_keys($hosts((string) env('ACRE_DNS_ROOTS', ''))),
        'port' => 53,
        'seconds' => 2.0,
        'tries' => 2,
        'at_once' => 100,
        'six' => env('ACRE_DNS_IPV6', 'off') === 'on',
        'dialled' => [],
    ],
    'web' => [
        'servers' => array_map(strval(...), array_keys($hosts((string) env('ACRE_WEB_SERVERS', '')))),
        'ports' => [80 => 80, 443 => 443],
        'seconds' => 10,
        'at_once' => 30,
    ],
];
