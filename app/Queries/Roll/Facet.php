<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Standing\NextKind;
use Acre\Core\Standing\Standing;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;
use App\Queries\Names\RollCase;
use Illuminate\Database\Query\Builder;

/**
 * What else the Roll can be narrowed to: one value or one of several, `com,net`. The value of a case is its word in the address.
 *
 * What a name has one of is a column of `standings`; what it can have several of is a mark, `word:7`, in its `marks`.
 */
enum Facet: string
{
    /** Values that one address holds. */
    private const MOST = 50;

    /** Whether it is held for somebody, or only watched. */
    case Held = 'held';
    case Suffix = 'suffix';
    case Phase = 'phase';
    case Intent = 'intent';
    case AutoRenew = 'auto_renew';
    case Lock = 'lock';
    case Disclosure = 'disclosure';
    /** A name server, or the domain that its host is in. */
    case Server = 'server';
    case Registrant = 'registrant';
    /** The number of its registrant's contact. */
    case Contact = 'contact';
    /** The year or the days in which it was registered. */
    case Created = 'created';
    case Word = 'word';
    case Finding = 'finding';

    /** Whether people choose its value on the Roll; the others come from links. */
    public function isChosen(): bool
    {
        return $this !== self::Contact;
    }

    /** Whether people write its value; of the others they tick some. */
    public function isWritten(): bool
    {
        return in_array($this, [self::Suffix, self::Server, self::Registrant, self::Contact, self::Created], true);
    }

    /** Whether an index holds its names in the order of what is due. */
    public function isIndexed(): bool
    {
        return match ($this) {
            self::Suffix, self::Phase, self::Intent, self::Lock, self::Disclosure => true,
            self::Held, self::AutoRenew, self::Server, self::Registrant, self::Contact, self::Created, self::Word, self::Finding => false,
        };
    }

    /**
     * The values that its word in an address holds. A registrant may have commas in it, and is one.
     *
     * @return list<string>
     */
    public function values(string $word): array
    {
        if ($this === self::Registrant || $this === self::Created) {
            return [$word];
        }
        $values = array_map(
            fn (string $value): string => $this === self::Suffix ? ltrim(trim($value), '.') : trim($value),
            explode(',', $word),
        );

        return array_slice(array_values(array_unique(array_filter($values, fn (string $value): bool => $value !== ''))), 0, self::MOST);
    }

    public function narrow(Builder $standings, string $word): void
    {
        $values = $this->values($word);
        match ($this) {
            // A watched name has no intent.
            self::Intent => $standings->whereIn('intent', $values)->where('next_kind', '<>', NextKind::Watched->value),
            self::Suffix, self::Phase, self::Lock, self::Disclosure => $standings->whereIn(
                $this->value,
                array_map(mb_strtolower(...), $values),
            ),
            self::Held => $this->either(
                $standings,
                $values,
                ['held' => 'next_kind <> ?', 'watched' => 'next_kind = ?'],
                NextKind::Watched->value,
            ),
            self::AutoRenew => $this->either(
                $standings,
                $values,
                ['on' => 'intent = ?', 'off' => "intent <> ? AND next_kind <> 'watched'"],
                Intent::ByItself->value,
            ),
            self::Registrant => $standings->whereRaw('lower(registrant) = lower(?)', [$word]),
            self::Created => $this->days($standings, $word),
            self::Server, self::Contact, self::Word, self::Finding => $standings->whereRaw(
                'marks && ARRAY(SELECT json_array_elements_text(?::json))',
                [json_encode(array_map($this->mark(...), $values), JSON_THROW_ON_ERROR)],
            ),
        };
    }

    /** @return list<string> */
    public static function marksOf(RollCase $file, Standing $standing): array
    {
        $held = $file instanceof HeldCase ? $file : null;
        $marks = [
            ...array_map(fn (int $id): string => self::Word->mark((string) $id), $file->words),
            ...array_map(fn (Finding $finding): string => self::Finding->mark($finding->key()), [
                ...$standing->findings,
                ...$file->behind($standing->lifecycle),
                ...array_map(fn (OpenDrift $drift): Finding => $drift->finding, $held->drifts ?? []),
            ]),
        ];
        if ($held?->guard !== null) {
            $marks[] = self::Contact->mark((string) $held->guard->contact);
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

    /**
     * Of two that exclude each other; both say nothing, and what is neither is nothing's.
     *
     * @param  list<string>  $values
     * @param  array<string, string>  $means
     */
    private function either(Builder $standings, array $values, array $means, string $with): void
    {
        $chosen = array_intersect_key($means, array_flip($values));
        if (count($chosen) < 2) {
            $standings->whereRaw(array_values($chosen)[0] ?? 'false', $chosen === [] ? [] : [$with]);
        }
    }

    private function days(Builder $standings, string $word): void
    {
        $range = DayRange::read($word);
        $range === null ? $standings->whereRaw('false') : $range->narrow($standings, 'created_on');
    }
}
