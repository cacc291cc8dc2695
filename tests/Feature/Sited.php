<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Names of the simulated world whose pages are asked for. */
trait Sited
{
    private const SITED = ['ns1.web-quay.example', 'ns2.web-quay.example'];

    /**
     * @param  array<string, mixed>  $page  what its web server says
     * @param  list<array{name: string, type: string, data: string}>  $records  beside its address
     * @return string a name of its own, which has this address
     */
    private function host(array $page = [], string $address = '192.0.2.80', array $records = []): string
    {
        $zone = strtolower('web-'.self::$trials++.'-'.class_basename(self::class)).'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => [
                ['host' => self::SITED[0], 'addresses' => ['192.0.2.180']],
                ['host' => self::SITED[1], 'addresses' => ['198.51.100.180']],
            ],
            'moods' => [],
            'names' => [self::atRegistry($zone, self::SITED)],
            'zones' => [[
                'zone' => $zone,
                'records' => json_encode(['records' => [
                    ...$address === '' ? [] : [['name' => $zone, 'type' => 'A', 'data' => $address]],
                    ...$records,
                ]], JSON_THROW_ON_ERROR),
            ]],
            'pages' => $page === [] ? [] : [['host' => $zone, ...$page]],
        ]);

        return $zone;
    }
}
