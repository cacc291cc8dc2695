<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Time\Instant;

/** One line of a registrar's statement. */
final readonly class StatementLine
{
    private const KINDS = ['add', 'renew', 'transfer', 'restore', 'top_up', 'refund'];

    /**
     * @param  Money  $amount  below nothing: charged
     * @param  string|null  $name  A-labels; null: it names none
     * @param  string  $reference  the registrar's number of it, or what tells it from other lines
     * @param  string|null  $told  what it was for, where the registrar says so in a word
     */
    public function __construct(
        public Instant $on,
        public Money $amount,
        public ?string $name,
        public string $words,
        public string $reference,
        public ?string $told = null,
    ) {
    }

    /**
     * Of what a registrar says in parts.
     *
     * @return self|null null: it can't be read
     */
    public static function told(string $id, ?Instant $at, string $amount, string $currency, string $kind, ?string $name): ?self
    {
        try {
            // What has no number that can be kept would be entered each time.
            return ! self::isId($id) || $at === null
                ? null
                : new self(
                    $at,
                    Money::of($amount, $currency),
                    $name === null || preg_match('/^[a-z0-9.-]{1,253}$/D', $name) !== 1 ? null : $name,
                    trim((string) preg_replace('/[\p{C}\s]+/u', ' ', mb_substr("{$kind} {$name}", 0, 400))),
                    "entry {$id}",
                    $kind,
                );
        } catch (MoneyError) {
            return null;
        }
    }

    /** Whether it can be kept as a registrar's number of an entry, and be asked for. */
    public static function isId(?string $id): bool
    {
        return preg_match('/^[^\p{C}]{1,100}$/Du', $id ?? '') === 1;
    }

    /**
     * What it was charged or paid in for, as far as its words say so.
     *
     * @return 'renew'|'transfer'|'add'|'restore'|'top_up'|'refund'|'other'
     */
    public function kind(): string
    {
        if (in_array($this->told, self::KINDS, true)) {
            return $this->told;
        }
        $words = mb_strtolower($this->words);
        $has = fn (string ...$any): bool => array_filter($any, fn (string $one): bool => str_contains($words, $one)) !== [];

        return match (true) {
            ! $this->amount->isPositive() && $has('restor', 'redemption', 'wiederherst') => 'restore',
            ! $this->amount->isPositive() && $has('transfer', 'umzug', 'trasfer') => 'transfer',
            ! $this->amount->isPositive() && $has('renew', 'verläng', 'rinnov', 'renouv', 'renov', 'verleng') => 'renew',
            ! $this->amount->isPositive() && $has('regist', 'create', 'new domain') => 'add',
            ! $this->amount->isPositive() => $this->name === null ? 'other' : 'renew',
            $has('refund', 'gutschrift', 'rembours', 'reembols', 'rimbors') || $this->name !== null => 'refund',
            default => 'top_up',
        };
    }
}
