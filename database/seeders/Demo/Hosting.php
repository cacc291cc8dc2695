<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Acre\Core\Time\Instant;

/** Where pages of the demo's names are kept, and what visitors really meet there. */
final class Hosting
{
    /** @return list<array<string, mixed>> rows of places; `set` is the name of one of `Servers::sets` */
    public static function places(): array
    {
        return [
            [
                'name' => 'Sound Hosting, shared 2',
                'kind' => 'pages',
                'operator' => 'Sound Hosting',
                'plan' => 'Shared, 50 GB',
                'set' => 'Sound Hosting',
                'addresses' => ['192.0.2.80'],
            ],
            [
                'name' => 'Sandpiper, Shoreline',
                'kind' => 'pages',
                'operator' => 'Sandpiper',
                'plan' => 'Shoreline',
                'set' => null,
                'addresses' => ['203.0.113.80'],
            ],
            [
                'name' => 'Forwarding at Pellbridge',
                'kind' => 'redirects',
                'operator' => 'Pellbridge',
                'plan' => 'with each name',
                'set' => null,
                'addresses' => ['198.51.100.80'],
            ],
        ];
    }

    /** @return list<array{string, string, string, string, 4?: string}> name, label, place, folder, and where it is to lead for good */
    public static function sites(): array
    {
        [$sound, $sandpiper] = ['Sound Hosting, shared 2', 'Sandpiper, Shoreline'];

        return [
            ['harrow-tern.com', '', $sound, '/sites/harrow-tern'],
            ['harrow-tern.com', 'www', $sound, '/sites/harrow-tern'],
            ['quayside-theatre.com', '', $sound, '/sites/theatre'],
            ['quayside-theatre.com', 'www', $sound, '/sites/theatre'],
            // Moved in the spring, and nobody told the name server.
            ['observatory-trust.org', '', $sandpiper, '/observatory'],
            ['choir-nights.com', '', $sound, '/sites/choir-nights'],
            ['dark-sky-week.org', '', $sound, '/sites/dark-sky'],
            ['tern.works', '', $sound, '/sites/tern-works'],
            ['bell-tuning.org', '', $sound, '', 'https://wickerby-bells.com/tuning'],
            ['old-foundry.com', '', $sound, '', 'https://wickerby-bells.com/'],
            ['quayside-gala.com', '', $sound, '', 'https://quayside-theatre.com/gala'],
            ['theatre-by-the-quay.com', '', $sound, '', 'https://quayside-theatre.com/'],
        ];
    }

    /** @return list<array<string, mixed>> what the world's web servers say, where that is not the usual page */
    public static function pages(Instant $now): array
    {
        $in = fn (int $days): int => $now->toDay()->plusDays($days)->epoch;

        return [
            ['host' => 'harrow-tern.com', 'toSecure' => true],
            ['host' => 'quayside-theatre.com', 'toSecure' => true],
            ['host' => 'choir-nights.com', 'toSecure' => true, 'from' => $in(-85), 'until' => $in(5)],
            ['host' => 'dark-sky-week.org', 'names' => ['*.sound-hosting.example', 'sound-hosting.example']],
            ['host' => 'tern.works', 'status' => 503],
            ['host' => 'bell-tuning.org', 'to' => 'https://wickerby-bells.com/tuning', 'keepsPath' => false],
            ['host' => 'old-foundry.com', 'to' => 'https://wickerby-bells.com/', 'status' => 302],
            ['host' => 'quayside-gala.com', 'to' => 'https://quayside-theatre.com/gala', 'keepsPath' => false],
            ['host' => 'theatre-by-the-quay.com', 'to' => 'http://buy-this-name.example/?d=theatre-by-the-quay.com'],
        ];
    }
}
