<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** Who may send mail for a name, as receivers read it (RFC 7208). */
final class Spf
{
    /** RFC 7208 §4.6.4. */
    public const MOST_LOOKUPS = 10;

    /** What the last `all` says of everybody else: `-` they may not, `~` probably not, `?` nothing, `+` they may; null: nothing is said. */
    public ?string $others = null;

    /** How many lookups it costs a receiver, as far as is known. */
    public int $lookups = 0;

    public ?SpfFault $fault = null;

    /** The name at whose record the fault lies, or the term. */
    public string $at = '';

    /** @var list<string> names whose records count too */
    public array $leadsTo = [];

    /** @var list<string> names whose texts are needed before it can be said whether it holds */
    public array $missing = [];

    private int $terms = 0;

    /** @param  array<string, list<string>>  $texts  TXT records, each joined to one text, by host; what is not there was not asked */
    private function __construct(private readonly array $texts)
    {
    }

    /**
     * @param  string  $host  small letters, without the last dot
     * @param  array<string, list<string>>  $texts  TXT records, each joined to one text, by host; what is not there was not asked
     * @return self|null null: it has none
     */
    public static function of(string $host, array $texts): ?self
    {
        $spf = new self($texts);

        return $spf->read($host, [], true) ? $spf : null;
    }

    /** Whether it says that this name sends nothing at all. */
    public function allowsNobody(): bool
    {
        return $this->fault === null && $this->others === '-' && $this->lookups === 0 && $this->terms === 1;
    }

    /**
     * @param  list<string>  $within  names whose records are being read
     * @return bool whether there is a record
     */
    private function read(string $host, array $within, bool $countsAll): bool
    {
        if (! isset($this->texts[$host])) {
            $this->missing[] = $host;

            return true;
        }
        $isSpf = fn (string $text): bool => preg_match('/\Av=spf1(?: |\z)/i', $text) === 1;
        $records = array_values(array_filter($this->texts[$host], $isSpf));
        if ($records === []) {
            return false;
        }
        if (count($records) > 1) {
            return $this->fail(SpfFault::Several, $host);
        }
        $redirect = null;
        $hasAll = false;
        foreach (array_filter(explode(' ', substr($records[0], 6)), fn (string $text): bool => $text !== '') as $text) {
            $term = SpfTerm::of($text);
            if ($term === null) {
                return $this->fail(SpfFault::Malformed, $text);
            }
            $this->terms++;
            if ($term->name === 'all') {
                $hasAll = true;
                $this->others = $countsAll ? $term->qualifier : $this->others;

                // What comes after it is never looked at (§5.1).
                break;
            }
            if ($term->name === 'redirect') {
                $redirect = $term;
            } elseif (! $this->lookUp($term, [...$within, $host], false)) {
                return true;
            }
        }
        if ($redirect !== null && ! $hasAll) {
            $this->lookUp($redirect, [...$within, $host], $countsAll);
        }

        return true;
    }

    /**
     * @param  list<string>  $within
     * @return bool whether to go on
     */
    private function lookUp(SpfTerm $term, array $within, bool $countsAll): bool
    {
        if (! $term->isLookedUp()) {
            return true;
        }
        if (++$this->lookups > self::MOST_LOOKUPS) {
            $this->fail(SpfFault::TooManyLookups, $within[0]);

            return false;
        }
        $to = $term->leadsTo();
        if ($to !== null && ! in_array($to, $this->leadsTo, true)) {
            $this->leadsTo[] = $to;
        }
        // A ring costs a lookup each time round, until there are too many.
        if ($to !== null && ! $this->read($to, $within, $countsAll)) {
            $this->fail(SpfFault::LeadsNowhere, $to);
        }

        return $this->fault === null;
    }

    /** The first one counts. */
    private function fail(SpfFault $fault, string $at): true
    {
        if ($this->fault === null) {
            [$this->fault, $this->at] = [$fault, $at];
        }

        return true;
    }
}
