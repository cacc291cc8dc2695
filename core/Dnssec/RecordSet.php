<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** All records of one name and type: what one signature covers (RFC 2181 §5). */
final readonly class RecordSet
{
    /**
     * @param  string  $owner  wire form, small letters
     * @param  list<string>  $data  each in canonical form (RFC 4034 §6.2)
     */
    public function __construct(public string $owner, public int $type, public array $data)
    {
    }

    /** Of the owner, without the root and a wildcard's (RFC 4034 §3.1.3). */
    public function labels(): int
    {
        $count = count(self::split($this->owner));

        return str_starts_with($this->owner, "\1*") ? $count - 1 : $count;
    }

    /**
     * What is signed: the head of the signature, then each record once, in order (RFC 4034 §3.1.8.1 and §6.3).
     *
     * @param  string  $head  of the RRSIG, without the signature
     */
    public function signed(string $head, int $labels, int $ttl): string
    {
        $data = array_values(array_unique($this->data));
        sort($data, SORT_STRING);
        $owner = $this->owner;
        $own = self::split($owner);
        // It answers from a wildcard, which was signed (RFC 4035 §5.3.2).
        if (count($own) > $labels) {
            $owner = "\1*".implode('', array_slice($own, count($own) - $labels))."\0";
        }
        $bytes = $head;
        foreach ($data as $one) {
            $bytes .= $owner.pack('nnNn', $this->type, 1, $ttl, strlen($one)).$one;
        }

        return $bytes;
    }

    /** @return list<string> labels with their lengths, from the leaf */
    private static function split(string $name): array
    {
        $labels = [];
        for ($at = 0; $at < strlen($name) && ($length = ord($name[$at])) > 0; $at += $length + 1) {
            $labels[] = substr($name, $at, $length + 1);
        }

        return $labels;
    }
}
