<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;

/** A delegation signer (RFC 5910 §4.1, RFC 4034 §5.1). */
final readonly class SigningKey
{
    /** @param  string  $digest  hexadecimal */
    public function __construct(public int $keyTag, public int $algorithm, public int $digestType, public string $digest)
    {
    }

    /** @return list<self> */
    public static function allOf(?XmlNode $data): array
    {
        $dns = EppNamespace::SecDns->value;

        return array_map(
            fn (XmlNode $ds): self => new self(
                self::number($ds, 'keyTag'),
                self::number($ds, 'alg'),
                self::number($ds, 'digestType'),
                strtoupper($ds->textOf($dns, 'digest')),
            ),
            $data?->children($dns, 'dsData') ?? [],
        );
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'secDNS:dsData',
            [],
            fn (EppWriter $to) => $to
                ->text('secDNS:keyTag', (string) $this->keyTag)
                ->text('secDNS:alg', (string) $this->algorithm)
                ->text('secDNS:digestType', (string) $this->digestType)
                ->text('secDNS:digest', $this->digest),
        );
    }

    private static function number(XmlNode $ds, string $name): int
    {
        $text = $ds->textOf(EppNamespace::SecDns->value, $name);

        return preg_match('/^\d{1,5}$/D', $text) === 1
            ? (int) $text
            : throw XmlError::wrong("{$ds->path()}/{$name}", 'a whole number', $text);
    }
}
