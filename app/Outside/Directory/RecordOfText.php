<?php

declare(strict_types=1);

namespace App\Outside\Directory;

use Acre\Core\Contact\Field;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use Acre\Wire\Whois\WhoisDomain;
use Acre\Wire\Whois\WhoisText;

/** What a directory's text says, as far as its keys are known. A key that isn't there says nothing. */
final class RecordOfText
{
    /** Null when it is about no name, or another one. */
    public static function read(WhoisText $text, string $asked): ?Record
    {
        $domain = WhoisDomain::of($text);
        if ($domain->name !== strtolower($asked)) {
            return null;
        }
        $statuses = $words = [];
        foreach ($domain->statuses as $word) {
            $status = Status::ofDirectory($word);
            $status === null ? ($words[] = $word) : ($statuses[] = $status);
        }
        $day = fn (?string $date): ?Instant => $date === null ? null : Instant::of($date);

        return new Record(
            $domain->name,
            Source::Text,
            $domain->registrar,
            null,
            $domain->tag,
            null,
            $statuses,
            $words,
            $day($domain->created),
            $day($domain->ends),
            null,
            $day($domain->changed),
            $domain->servers === [] ? null : $domain->servers,
            null,
            $domain->registrant === null ? [] : [Field::Name->value => FieldSeen::read($domain->registrant)],
        );
    }
}
