<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Standing;
use App\Queries\Names\CaseFile;
use App\Queries\Names\OpenDrift;
use Illuminate\Database\Query\Builder;

/**
 * What else the Roll can be narrowed to, one value each. The value of a case is its word in the address.
 *
 * What a name has one of is a column of `standings`; what it can have several of is a mark, `word:7`, in its `marks`.
 */
enum Facet: string
{
    case Suffix = 'suffix';
    case Phase = 'phase';
    case Intent = 'intent';
    case Lock = 'lock';
    case Disclosure = 'disclosure';
    /** A name server, or the domain that its host is in. */
    case Server = 'server';
    case Registrant = 'registrant';
    /** The number of its registrant's contact. */
    case Contact = 'contact';
    /** The year in which it was registered. */
    case Created = 'created';
    case Word = 'word';
    case Finding = 'finding';

    /** Whether people choose its value on the Roll; the others come from links. */
    public function isChosen(): bool
    {
        return $this !== self::Contact;
    }

    /** Whether an index holds its names in the order of what is due. */
    public function isIndexed(): bool
    {
        return match ($this) {
            self::Suffix, self::Phase, self::Intent, self::Lock, self::Disclosure => true,
            self::Server, self::Registrant, self::Contact, self::Created, self::Word, self::Finding => false,
        };
    }

    public function narrow(Builder $standings, string $value): void
    {
        match ($this) {
            self::Suffix, self::Phase, self::Intent, self::Lock, self::Disclosure => $standings->where($this->value, mb_strtolower($value)),
            self::Registrant => $standings->whereRaw('lower(registrant) = lower(?)', [$value]),
            self::Created => $this->year($standings, $value),
            self::Server, self::Contact, self::Word, self::Finding => $standings->whereRaw('marks @> ARRAY[?]::text[]', [$this->mark($value)]),
        };
    }

    /** @return list<string> */
    public static function marksOf(CaseFile $file, Standing $standing): array
    {
        $marks = [
            ...array_map(fn (int $id): string => self::Word->mark((string) $id), $file->words),
            ...array_map(fn (Finding $finding): string => self::Finding->mark($finding->key()), [...$standing->findings, ...$file->behind($standing->lifecycle), ...array_map(fn (OpenDrift $drift): Finding => $drift->finding, $file->drifts)]),
        ];
        if ($file->guard !== null) {
            $marks[] = self::Contact->mark((string) $file->guard->contact);
        }
        foreach ($file->servers as $host) {
            $marks[] = self::Server->mark($host);
            $marks[] = self::Server->mark(substr($host, (int) strpos($host, '.') + 1));
        }

        return array_values(array_unique($marks));
    }

    /** As it stands among the marks of a standing. */
    public function mark(string $value): string
    {
        return $this->value.':'.mb_strtolower($value);
    }

    private function year(Builder $standings, string $value): void
    {
        if (preg_match('/^(19|20)\d\d$/D', $value) === 1) {
            $standings->where('created_on', '>=', "{$value}-01-01T00:00:00Z")->where('created_on', '<', ((int) $value + 1).'-01-01T00:00:00Z');
        } else {
            $standings->whereRaw('false');
        }
    }
}
