<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Contact\Field;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Time\Instant;

/** What one source says of a name. Null is not said; an empty list is said to be empty. */
final readonly class Record
{
    /** Days for which no registry of the rulebook leaves a deleted name as it is; a change before that was another. */
    private const DELETED = 45;

    /**
     * @param  string  $name  A-labels
     * @param  string|null  $registrarId  the number it is accredited under
     * @param  string|null  $tag  of the registrar, where the registry knows them by tags
     * @param  list<Status>  $statuses
     * @param  list<string>  $words  statuses that are none of RFC 5731, in the source's words
     * @param  Instant|null  $ends  of the term, as this source counts it
     * @param  list<string>|null  $servers  A-labels
     * @param  bool|null  $signed  whether the delegation is signed
     * @param  array<string, FieldSeen>  $holder  by field
     * @param  bool|null  $validated  whether the registry believes the holder's data
     * @param  string|null  $reach  a mailbox or a page through which the holder is reached
     * @param  string|null  $abuse  the registrar's mailbox for complaints
     * @param  list<string>  $notices
     * @param  Instant|null  $paid  of the term that its registrar was paid for, where the registrar says so itself (the event “registrar
     *     expiration” of IANA’s RDAP JSON values, from memory)
     * @param  list<string>|null  $delegates  DS that it shows: key tag, algorithm, digest type and digest; null: it shows none of them
     */
    public function __construct(
        public string $name,
        public Source $source,
        public ?string $registrar = null,
        public ?string $registrarId = null,
        public ?string $tag = null,
        public ?string $reseller = null,
        public array $statuses = [],
        public array $words = [],
        public ?Instant $created = null,
        public ?Instant $ends = null,
        public ?Instant $moved = null,
        public ?Instant $changed = null,
        public ?array $servers = null,
        public ?bool $signed = null,
        public array $holder = [],
        public ?bool $validated = null,
        public ?string $reach = null,
        public ?string $abuse = null,
        public array $notices = [],
        public ?Instant $paid = null,
        public ?array $delegates = null,
    ) {
    }

    public function has(Status $status): bool
    {
        return in_array($status, $this->statuses, true);
    }

    /**
     * Since when the name is deleted, if it says that it is: its last change, where that can have been the deletion, else as
     * early as it can have been, for what is left to the name counts from there.
     *
     * @param  Instant  $first  when it was first seen so
     * @param  Instant|null  $before  when it was last seen otherwise; null: it never was
     */
    public function deletedSince(Instant $first, ?Instant $before = null): ?Instant
    {
        if (Status::proven($this->statuses)?->isDeleted() !== true) {
            return null;
        }
        $least = $before ?? $first->plusDays(-self::DELETED);

        return $this->changed !== null && ! $this->changed->isBefore($least) && ! $this->changed->isAfter($first)
            ? $this->changed
            : $before ?? $first;
    }

    /**
     * @param  list<string>  $hosts  A-labels, in any order
     * @return bool whether it says exactly these name servers; one that says none says nothing
     */
    public function isServedBy(array $hosts): bool
    {
        $said = $this->servers ?? [];
        sort($said);
        sort($hosts);

        return $this->servers !== null && $said === $hosts;
    }

    /** Whether it speaks of statuses in EPP's words at all; many registries of countries don't. */
    public function saysStatuses(): bool
    {
        return $this->statuses !== [];
    }

    public function field(Field $field): FieldSeen
    {
        return $this->holder[$field->value] ?? FieldSeen::absent();
    }

    /** @return array<string, list<Field>> what is held and not shown, by the source's reason; an empty text where it gives none */
    public function redactedByReason(): array
    {
        $found = [];
        foreach (Field::cases() as $field) {
            if ($this->field($field)->isRedacted) {
                $found[$this->field($field)->reason ?? ''][] = $field;
            }
        }

        return $found;
    }

    /**
     * The end of the term that was paid for. In the grace after an end that the registry renewed by itself its record is a
     * term ahead (RFC 3915 §3.1), and is taken back if the registrar deletes the name.
     *
     * @param  int  $leastMonths  of such a term
     */
    public function paidUntil(int $leastMonths = 12): ?Instant
    {
        return $this->ends !== null && $this->source->isRegistrys() && $this->has(Status::AutoRenewPeriod)
            ? $this->ends->plusMonths(-$leastMonths)
            : $this->ends;
    }

    /**
     * @return list<string> which of its parts differ from another record: `registrar`, `ends`, `created`, `statuses`, `servers`,
     *     `holder`, `signed`
     */
    public function differsFrom(self $other): array
    {
        $parts = fn (self $one): array => [
            'registrar' => [$one->registrar, $one->tag, $one->reseller],
            'ends' => $one->ends?->iso(),
            'created' => $one->created?->iso(),
            'statuses' => self::sorted([...array_map(fn (Status $status): string => $status->value, $one->statuses), ...$one->words]),
            'servers' => $one->servers === null ? null : self::sorted($one->servers),
            'holder' => [array_map(fn (FieldSeen $field): array => [$field->value, $field->isRedacted], $one->holder), $one->validated],
            'signed' => [$one->signed, $one->delegates === null ? null : self::sorted($one->delegates)],
        ];
        [$here, $there] = [$parts($this), $parts($other)];

        return array_values(array_filter(array_keys($here), fn (string $part): bool => $here[$part] !== $there[$part]));
    }

    /**
     * @param  list<string>  $list
     * @return list<string>
     */
    private static function sorted(array $list): array
    {
        sort($list);

        return $list;
    }

    /** The same for the same record, whenever it was asked for and in whatever order it was written. */
    public function digest(): string
    {
        $values = get_object_vars($this);
        $values['statuses'] = array_map(fn (Status $status): string => $status->value, $this->statuses);
        sort($values['statuses']);
        unset($values['notices']);
        // What was kept before anybody read it is the same still.
        if ($this->paid === null) {
            unset($values['paid']);
        }
        if (is_array($values['servers'])) {
            sort($values['servers']);
        }
        unset($values['delegates']);
        if (($this->delegates ?? []) !== []) {
            $values['delegates'] = self::sorted($this->delegates ?? []);
        }

        return hash('xxh128', json_encode($values, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }
}
