<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** A name as its registry has it. Instants are seconds since 1970. */
final class Registered
{
    /** Bytes of one. */
    private const LIMIT = 100_000;

    /** RFC 3915 shows these beside, RFC 5731 knows them not. */
    private const GRACE = ['addPeriod', 'autoRenewPeriod', 'renewPeriod', 'transferPeriod', 'redemptionPeriod', 'pendingRestore'];

    /** Seconds that the short ones of them take (common practice: five days). */
    private const SHORT = 432_000;

    /**
     * @param  string  $name  A-labels
     * @param  string|null  $reseller  between the registrar and whoever pays
     * @param  list<string>  $statuses  EPP's words, the grace periods among them
     * @param  list<string>  $servers  A-labels
     * @param  list<array{int, int, int, string}>  $ds  key tag, algorithm, digest type, digest
     * @param  list<string>  $shown  the holder's fields that the registry is asked to show
     * @param  bool|null  $validated  whether the registry believes the holder's data; null: it doesn't check
     * @param  int|null  $due  when something happens to it by itself
     * @param  string|null  $account  at its registrar, by number
     * @param  string|null  $code  without which no other registrar may ask for it
     * @param  Pending|null  $handover  to another account there
     * @param  Pending|null  $transfer  to another registrar
     * @param  int|null  $renewed  when its registrar last renewed it
     * @param  int|null  $stage  since when it renews by itself, can be restored or falls free; null: since it was last changed
     * @param  int|null  $charged  the end whose renewal was charged
     * @param  int|null  $tried  when its charge was last refused
     */
    public function __construct(
        public readonly string $name,
        public string $registrar,
        public ?string $reseller,
        public int $created,
        public ?int $ends,
        public int $updated,
        public ?int $moved,
        public array $statuses,
        public array $servers,
        public array $ds,
        public Holder $holder,
        public array $shown,
        public ?bool $validated,
        public bool $autoRenew,
        public ?int $due,
        public ?string $account = null,
        public ?string $code = null,
        public ?Pending $handover = null,
        public ?Pending $transfer = null,
        public ?Ended $lastTransfer = null,
        public ?int $renewed = null,
        public ?int $stage = null,
        public ?int $charged = null,
        public ?int $tried = null,
    ) {
    }

    public static function read(string $json): self
    {
        return self::of(JsonNode::read($json, self::LIMIT));
    }

    public static function of(JsonNode $node): self
    {
        $ds = array_map(
            fn (JsonNode $one): array => [
                $one->intOrNull('tag') ?? 0,
                $one->intOrNull('algorithm') ?? 0,
                $one->intOrNull('type') ?? 0,
                $one->text('digest'),
            ],
            $node->has('ds') ? $node->nodes('ds') : [],
        );

        return new self(
            $node->text('name'),
            $node->text('registrar'),
            $node->textOrNull('reseller'),
            $node->intOrNull('created') ?? 0,
            $node->intOrNull('ends'),
            $node->intOrNull('updated') ?? 0,
            $node->intOrNull('moved'),
            $node->texts('statuses'),
            $node->texts('servers'),
            $ds,
            Holder::of($node->nodeOrNull('holder') ?? $node),
            $node->texts('shown'),
            $node->boolOrNull('validated'),
            $node->boolOrNull('autoRenew') ?? false,
            $node->intOrNull('due'),
            $node->textOrNull('account'),
            $node->textOrNull('code'),
            Pending::of($node->nodeOrNull('handover')),
            Pending::of($node->nodeOrNull('transfer')),
            Ended::of($node->nodeOrNull('lastTransfer')),
            $node->intOrNull('renewed'),
            $node->intOrNull('stage'),
            $node->intOrNull('charged'),
            $node->intOrNull('tried'),
        );
    }

    public function json(): string
    {
        $fields = get_object_vars($this);
        $fields['ds'] = array_map(
            fn (array $ds): array => ['tag' => $ds[0], 'algorithm' => $ds[1], 'type' => $ds[2], 'digest' => $ds[3]],
            $this->ds,
        );

        return json_encode($fields, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    public function has(string $status): bool
    {
        return in_array($status, $this->statuses, true);
    }

    /**
     * @param  list<string>  $gone
     * @param  list<string>  $new
     */
    public function change(array $gone, array $new): void
    {
        $this->statuses = array_values(array_unique([...array_diff($this->statuses, $gone), ...$new]));
    }

    /** @return non-empty-list<string> of RFC 5731 §2.3: `inactive` while no server is set, `ok` where nothing else is */
    public function standing(): array
    {
        $statuses = array_values(array_diff($this->statuses, self::GRACE, ['ok']));
        // What can only be restored is to be deleted, whoever told of it (RFC 3915 §3.1).
        if ($this->isInRedemption() && ! in_array('pendingDelete', $statuses, true)) {
            $statuses[] = 'pendingDelete';
        }
        if ($this->servers === []) {
            $statuses[] = 'inactive';
        }

        return $statuses === [] ? ['ok'] : $statuses;
    }

    /** @return list<string> of RFC 3915 §3.1 */
    public function grace(): array
    {
        return array_values(array_intersect($this->statuses, self::GRACE));
    }

    /** When the first of its short periods is over. */
    public function graceEnds(): ?int
    {
        return $this->shortPeriods() === [] ? null : min($this->shortPeriods());
    }

    /** Those of its grace periods that have ended by then are removed. */
    public function endGrace(int $at): void
    {
        $this->change(array_keys(array_filter($this->shortPeriods(), fn (int $end): bool => $end <= $at)), []);
    }

    /** RFC 3915 §3.1: what is deleted can be restored for a while, and a renewal that was by itself is taken back. */
    public function delete(int $at): void
    {
        $this->ends = $this->has('autoRenewPeriod') ? $this->before() : $this->ends;
        $this->stage = $at;
        $this->change(['ok', 'autoRenewPeriod', 'renewPeriod', 'transferPeriod'], ['pendingDelete', 'redemptionPeriod']);
    }

    /** RFC 3915 §3.1: it is kept, with the year that its deletion took back, which the price holds (common practice). */
    public function restore(int $at): void
    {
        $this->change(['redemptionPeriod', 'pendingRestore', 'pendingDelete'], []);
        $this->stage = null;
        while ($this->ends !== null && $this->ends <= $at) {
            $this->ends = EndHabit::yearAfter($this->ends);
            $this->renewed = $at;
            $this->change([], ['renewPeriod']);
        }
    }

    /** Whether it is deleted, and can be restored or is being restored. */
    private function isInRedemption(): bool
    {
        return $this->has('redemptionPeriod') || $this->has('pendingRestore');
    }

    /** The end of what its registrar was paid for: in the grace after its end the registry is a year ahead. */
    public function paidUntil(): ?int
    {
        return $this->has('autoRenewPeriod') && ! $this->autoRenew ? $this->before() : $this->ends;
    }

    /** Its end before it was renewed by itself. */
    private function before(): ?int
    {
        return $this->ends === null ? null : $this->stage ?? EndHabit::yearBefore($this->ends);
    }

    /** @return array<string, int> when each is over */
    private function shortPeriods(): array
    {
        $begun = [
            'addPeriod' => $this->created,
            'renewPeriod' => $this->renewed ?? $this->updated,
            'transferPeriod' => $this->moved ?? $this->updated,
        ];

        return array_map(fn (int $at): int => $at + self::SHORT, array_intersect_key($begun, array_flip($this->statuses)));
    }

    /** Whether its servers stand in the suffix's zone. */
    public function isDelegated(): bool
    {
        return $this->servers !== [] &&
            ! $this->has('clientHold') &&
            ! $this->has('serverHold') &&
            ! $this->isInRedemption() &&
            ! $this->has('pendingDelete');
    }
}
