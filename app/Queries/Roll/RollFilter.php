<?php

declare(strict_types=1);

namespace App\Queries\Roll;

/** The Roll's sentence, as the address holds it. */
final readonly class RollFilter
{
    /** Hundreds of addresses stand on one page: asking the router for each takes longer than reading the page's names. */
    private const PATH = '/roll';

    /**
     * @param  array<string, string>  $facets  by the word of the facet in the address
     * @param  DayRange|null  $endsIn  the days in which they end
     * @param  list<string>  $unread  what was given for days and is none
     * @param  string  $from  the letter or the day at which the list starts, as somebody gave it
     */
    public function __construct(
        public ?int $client = null,
        public ?int $registrar = null,
        public ?int $account = null,
        public string $text = '',
        public Ending $ending = Ending::Any,
        public Sort $sort = Sort::Next,
        public ?string $after = null,
        public array $facets = [],
        public string $from = '',
        public ?DayRange $endsIn = null,
        public array $unread = [],
    ) {
    }

    /**
     * From words as they stand in an address; what says nothing sensible is read as if it were not there, so that a link
     * from a mail never fails.
     *
     * @param  array<array-key, mixed>  $words
     */
    public static function read(array $words): self
    {
        $text = function (string $key) use ($words): string {
            $value = $words[$key] ?? '';
            // Ticks of a form are a list, and one word of the address.
            $value = is_array($value) && Facet::tryFrom($key) !== null ? implode(',', array_filter($value, is_string(...))) : $value;

            return is_string($value) || is_int($value) ? mb_substr(trim(mb_scrub(str_replace("\0", '', (string) $value))), 0, 300) : '';
        };
        $id = fn (string $key): ?int => preg_match('/^\d{1,15}$/D', $text($key)) === 1 ? (int) $text($key) : null;
        $facets = [];
        foreach (Facet::cases() as $facet) {
            $facets[$facet->value] = implode(',', $facet->values($text($facet->value)));
        }
        $days = fn (string $key, string $fields): string => $text($key) === ''
            ? DayRange::word($text("{$fields}_from"), $text("{$fields}_to"))
            : $text($key);
        $created = $facets[Facet::Created->value] = $days(Facet::Created->value, 'created');
        $ending = $days('ending', 'ends');
        $range = Ending::tryFrom($ending) === null ? DayRange::read($ending) : null;
        $unread = [
            ...$range === null && str_contains($ending, '..') ? [$ending] : [],
            ...$created !== '' && DayRange::read($created) === null ? [$created] : [],
        ];

        return new self(
            $id('client'),
            $id('registrar'),
            $id('account'),
            mb_substr($text('q'), 0, 200),
            Ending::tryFrom($ending) ?? Ending::Any,
            Sort::tryFrom($text('sort')) ?? Sort::Next,
            $text('after') === '' ? null : $text('after'),
            array_filter($facets, fn (string $value): bool => $value !== ''),
            mb_substr($text('from'), 0, 63),
            $range,
            $unread,
        );
    }

    /**
     * The sentence as words of an address, without the place in the list.
     *
     * @return array<string, string|int>
     */
    public function words(): array
    {
        return array_filter(
            [
                'client' => $this->client,
                'registrar' => $this->registrar,
                'account' => $this->account,
                'q' => $this->text,
                'ending' => $this->endsIn?->toWord() ?? ($this->ending === Ending::Any ? null : $this->ending->value),
                'sort' => $this->sort === Sort::Next ? null : $this->sort->value,
                ...$this->facets,
            ],
            fn (string|int|null $value): bool => $value !== null && $value !== '',
        );
    }

    /** Whether the list starts where somebody said; false also where that is no letter and no day of its sort. */
    public function isStarted(): bool
    {
        return $this->from !== '' && $this->sort->start($this->from) !== null;
    }

    /**
     * The address of the same sentence with one word changed; the place in the list starts anew.
     *
     * @param  array<string, string|int|null>  $change
     */
    public function address(array $change = []): string
    {
        $query = http_build_query(
            array_filter([...$this->words(), ...$change], fn (string|int|null $value): bool => $value !== null && $value !== ''),
            '',
            '&',
            PHP_QUERY_RFC3986,
        );

        return self::PATH.($query === '' ? '' : '?'.$query);
    }

    public function facet(Facet $facet): ?string
    {
        return $this->facets[$facet->value] ?? null;
    }

    public function isNarrowed(): bool
    {
        return array_diff_key($this->words(), ['sort' => 1]) !== [];
    }

    /** Whether no index holds its names in the order of its sort. */
    public function isScattered(): bool
    {
        $narrowing = array_keys(array_diff_key($this->words(), ['sort' => 1]));
        if (count($narrowing) !== 1) {
            return $narrowing !== [];
        }
        $facet = Facet::tryFrom($narrowing[0]);

        return match (true) {
            // Of several values each has an order of its own.
            $facet !== null && count($facet->values($this->facets[$facet->value])) !== 1 => true,
            $facet === Facet::Phase => $this->sort === Sort::Name,
            $facet !== null => ! $facet->isIndexed() || $this->sort !== Sort::Next,
            $narrowing[0] === 'ending' => $this->sort !== Sort::Ends,
            default => $narrowing[0] === 'q',
        };
    }
}
