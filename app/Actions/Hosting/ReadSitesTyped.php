<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Models\Name;

/** A pasted list of hosts, one on each line, each with the folder of its pages behind it. */
final readonly class ReadSitesTyped
{
    /** Lines of one list. */
    public const MOST = 1_000;

    private const FOLDER = 200;

    /** @return array{list<SiteTyped>, list<array{string, string}>} of names on the Roll; the other lines, each with why */
    public function handle(string $text): array
    {
        $refused = $hosts = [];
        foreach (array_slice(explode("\n", strtr(mb_scrub($text), "\r", "\n")), 0, self::MOST * 2) as $line) {
            $words = preg_split('/[\s,;]+/u', trim($line), 2, PREG_SPLIT_NO_EMPTY);
            if ($words === false || $words === []) {
                continue;
            }
            if (count($hosts) >= self::MOST) {
                $refused[] = [$line, 'too_many'];

                continue;
            }
            try {
                $folder = (string) preg_replace('/[\p{C}]/u', '', $words[1] ?? '');
                $hosts[DomainName::of($words[0])->ascii] = [$line, mb_substr(trim($folder), 0, self::FOLDER)];
            } catch (NameError) {
                $refused[] = [$line, 'no_host'];
            }
        }
        $ids = $this->names(array_map(strval(...), array_keys($hosts)));
        $found = [];
        foreach ($hosts as $host => [$line, $folder]) {
            $name = self::above($host, $ids);
            if ($name === null) {
                $refused[] = [$line, 'not_on_roll'];
            } else {
                $found[] = new SiteTyped($ids[$name], rtrim(substr($host, 0, -strlen($name)), '.'), $folder);
            }
        }

        return [$found, $refused];
    }

    /**
     * @param  list<string>  $hosts
     * @return array<string, int> ids of names on the Roll at which these hosts, or something above them, are
     */
    private function names(array $hosts): array
    {
        $candidates = array_merge(...array_map(self::candidates(...), $hosts));
        $ids = [];
        $names = Name::query()
            ->whereIn('ascii', array_values(array_unique($candidates)))
            ->whereRaw('EXISTS (SELECT FROM standings s WHERE s.name_id = names.id)')
            ->get(['id', 'ascii']);
        foreach ($names as $name) {
            $ids[$name->ascii] = $name->id;
        }

        return $ids;
    }

    /** @return list<string> the host, and each name above it that has a dot */
    private static function candidates(string $host): array
    {
        $found = [];
        for ($one = $host; str_contains($one, '.'); $one = substr((string) strstr($one, '.'), 1)) {
            $found[] = $one;
        }

        return $found;
    }

    /** @param  array<string, int>  $ids */
    private static function above(string $host, array $ids): ?string
    {
        foreach (self::candidates($host) as $one) {
            if (isset($ids[$one])) {
                return $one;
            }
        }

        return null;
    }
}
