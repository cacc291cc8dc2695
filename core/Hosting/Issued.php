<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Time\Instant;

/** One certificate, as far as it is judged here. */
final readonly class Issued
{
    /** Names that are read of one certificate, and characters of one name. */
    private const NAMES = 200;

    private const LENGTH = 260;

    /** @param  list<string>  $names  of hosts, small letters */
    private function __construct(
        public string $pem,
        public array $names,
        public Instant $from,
        public Instant $until,
        private mixed $subject,
        public mixed $issuer,
        public string $signer,
        public bool $maySign,
    ) {
    }

    public static function of(string $pem): ?self
    {
        $parsed = $pem === '' ? false : @openssl_x509_parse($pem);
        if ($parsed === false || ! is_int($parsed['validFrom_time_t'] ?? null) || ! is_int($parsed['validTo_time_t'] ?? null)) {
            return null;
        }
        $extensions = is_array($parsed['extensions'] ?? null) ? $parsed['extensions'] : [];
        $issuer = $parsed['issuer'] ?? [];

        return new self(
            $pem,
            self::names(is_string($extensions['subjectAltName'] ?? null) ? $extensions['subjectAltName'] : ''),
            Instant::second($parsed['validFrom_time_t']),
            Instant::second($parsed['validTo_time_t']),
            $parsed['subject'] ?? [],
            $issuer,
            self::called($issuer),
            is_string($extensions['basicConstraints'] ?? null) && str_contains($extensions['basicConstraints'], 'CA:TRUE'),
        );
    }

    public function isCalled(mixed $subject): bool
    {
        return TrustedRoots::key($this->subject) === TrustedRoots::key($subject);
    }

    public function isOwnIssuer(): bool
    {
        return $this->isCalled($this->issuer);
    }

    /** @param  string  $signer  PEM */
    public function isSignedBy(string $signer): bool
    {
        $key = openssl_pkey_get_public($signer);

        return $key !== false && openssl_x509_verify($this->pem, $key) === 1;
    }

    public function isGoodAt(Instant $now): bool
    {
        return $this->from->hasComeAt($now) && ! $this->until->isBefore($now);
    }

    /**
     * @param  string  $said  as OpenSSL writes it: `DNS:a.example, IP Address:192.0.2.1`
     * @return list<string>
     */
    private static function names(string $said): array
    {
        preg_match_all('/(?:\A|, )DNS:([^,\s]+)/', $said, $found);

        return array_map(
            fn (string $name): string => substr(strtolower((string) preg_replace('/[^\x21-\x7E]/', '?', $name)), 0, self::LENGTH),
            array_slice($found[1], 0, self::NAMES),
        );
    }

    private static function called(mixed $subject): string
    {
        foreach (['O', 'CN', 'OU'] as $part) {
            $said = is_array($subject) ? $subject[$part] ?? null : null;
            $said = is_array($said) ? $said[0] ?? null : $said;
            if (is_string($said) && $said !== '') {
                return mb_substr((string) preg_replace('/[\p{C}]+/u', ' ', mb_scrub($said)), 0, 120);
            }
        }

        return '';
    }
}
