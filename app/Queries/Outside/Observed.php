<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use Acre\Wire\Json\JsonError;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapError;
use Acre\Wire\Whois\WhoisError;
use Acre\Wire\Whois\WhoisText;
use App\Outside\Directory\RecordOfRdap;
use App\Outside\Directory\RecordOfText;
use App\Outside\Dns\PackedDelegation;
use App\Support\Row;
use UnexpectedValueException;

/** One answer that was kept: what it said, and from when to when it was seen. */
final readonly class Observed
{
    private function __construct(
        public int $id,
        public Source $source,
        public string $asked,
        public bool $found,
        public Instant $first,
        public Instant $last,
        public string $raw,
        public ?Record $record,
        public ?DelegationSeen $delegation,
    ) {
    }

    /** @param  string  $ascii  the name that it is about; empty: only the raw answer is wanted */
    public static function of(Row $row, string $ascii): self
    {
        $source = Source::from($row->text('source'));
        $raw = gzinflate((string) base64_decode($row->text('body'), true), RdapAnswer::LIMIT + 1);
        $raw = $raw === false ? '' : $raw;
        $found = $row->bool('found');

        return new self(
            $row->int('id'),
            $source,
            $row->text('asked'),
            $found,
            self::instant($row, 'first_seen'),
            self::instant($row, 'last_seen'),
            $raw,
            $found && $ascii !== '' && $source !== Source::Dns ? self::record($raw, $ascii, $source) : null,
            $ascii !== '' && $source === Source::Dns ? PackedDelegation::unpack($raw) : null,
        );
    }

    private static function record(string $raw, string $ascii, Source $source): ?Record
    {
        try {
            if ($source === Source::Text) {
                return RecordOfText::read(WhoisText::read($raw), $ascii);
            }
            $answer = RdapAnswer::read($raw, $ascii);

            return $answer instanceof RdapDomain ? RecordOfRdap::read($answer, $source) : null;
        } catch (JsonError|RdapError|WhoisError) {
            return null;
        }
    }

    private static function instant(Row $row, string $column): Instant
    {
        return $row->instant($column) ?? throw new UnexpectedValueException("{$column} is not an instant.");
    }
}
