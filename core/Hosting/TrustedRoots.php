<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** Certificates of those whom browsers trust, by their subject. */
final readonly class TrustedRoots
{
    /** @param  array<string, list<string>>  $bySubject  PEM */
    private function __construct(private array $bySubject)
    {
    }

    /** @param  string  $pem  one after another; what can't be read is left out */
    public static function of(string $pem): self
    {
        preg_match_all('/-----BEGIN CERTIFICATE-----.+?-----END CERTIFICATE-----/s', $pem, $found);
        $bySubject = [];
        foreach ($found[0] as $one) {
            $parsed = openssl_x509_parse($one);
            if ($parsed !== false) {
                $bySubject[self::key($parsed['subject'] ?? [])][] = $one;
            }
        }

        return new self($bySubject);
    }

    /**
     * @return list<string> PEM
     */
    public function called(mixed $subject): array
    {
        return $this->bySubject[self::key($subject)] ?? [];
    }

    public static function key(mixed $subject): string
    {
        return json_encode($subject, JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
    }
}
