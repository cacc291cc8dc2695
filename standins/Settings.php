<?php

declare(strict_types=1);

namespace Standin;

/** Where the world listens and keeps what it holds; given by the front door in the environment. */
final readonly class Settings
{
    /**
     * @param  string  $folder  for its storage and its certificates
     * @param  int  $frameSeconds  after which half a frame of EPP ends its connection
     * @param  string  $key  that whoever moves the world must say
     */
    private function __construct(
        public string $address,
        public string $folder,
        public string $key,
        public int $pagePort,
        public int $rdapPort,
        public int $textPort,
        public int $dnsPort,
        public int $eppPort,
        public int $postPort,
        public int $popPort,
        public int $bridgePort,
        public int $webPort,
        public int $webTlsPort,
        public int $lanternPort,
        public int $frameSeconds,
    ) {
    }

    public static function fromEnvironment(): self
    {
        return new self(
            self::text('ACRE_ADDRESS', '127.0.0.1'),
            self::text('WORLD_FOLDER', 'var/world'),
            self::text('WORLD_KEY', ''),
            self::port('WORLD_PAGE_PORT', 8430),
            self::port('WORLD_RDAP_PORT', 8431),
            self::port('WORLD_TEXT_PORT', 8432),
            self::port('WORLD_DNS_PORT', 8433),
            self::port('WORLD_EPP_PORT', 8434),
            self::port('WORLD_POST_PORT', 8435),
            self::port('WORLD_POP_PORT', 8436),
            self::port('WORLD_BRIDGE_PORT', 8437),
            self::port('WORLD_WEB_PORT', 8438),
            self::port('WORLD_WEB_TLS_PORT', 8439),
            self::port('WORLD_LANTERN_PORT', 8440),
            self::port('WORLD_FRAME_SECONDS', 10),
        );
    }

    private static function text(string $key, string $otherwise): string
    {
        $value = getenv($key);

        return $value === false || $value === '' ? $otherwise : $value;
    }

    private static function port(string $key, int $otherwise): int
    {
        return (int) self::text($key, (string) $otherwise);
    }
}
