<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\Steps;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\HandoverTerms;
use Acre\Core\Movement\ReceiverBy;
use App\Support\Row;

/** An account with its registrar's terms: what all names that lie there share. */
final readonly class AccountTerms
{
    public const QUERY = <<<'SQL'
    SELECT a.id AS account_id, a.number, a.login, a.mailbox, a.handle, a.access, a.proven_at, g.id AS registrar_id,
    g.name AS registrar_name,
        g.receiver_by, g.confirms, g.accepts_by, g.names_giver, g.lock_first, g.unlock_account_first, g.accept_days, g.lot_size,
        g.handover_hold_days, g.link,
        g.charge_lead_days, g.dark_after_days, g.plain_after_days, g.late_until_days, g.extras, g.disclosure_steps, g.hold_declinable,
        g.verifies_by
    FROM accounts a JOIN registrars g ON g.id = a.registrar_id WHERE a.id = ANY (?::bigint[])
    SQL;

    private function __construct(
        public Account $account,
        public HandoverTerms $terms,
        public int $acceptDays,
        public int $lotSize,
        public Steps $steps,
        public bool $holdDeclinable,
        public bool $weVerify,
        private int $chargeLead,
        private ?int $darkAfter,
        private ?int $plainAfter,
        private ?int $lateUntil,
    ) {
    }

    /** @param  Row  $row  of its query */
    public static function of(Row $row): self
    {
        $fates = array_map(fn (mixed $fate): ?ExtraFate => is_string($fate) ? ExtraFate::tryFrom($fate) : null, $row->json('extras'));
        /** @var array<string, ExtraFate> $known */
        $known = array_filter($fates);

        return new self(
            new Account(
                $row->int('account_id'),
                $row->int('registrar_id'),
                $row->text('registrar_name'),
                $row->text('number'),
                $row->textOrNull('login'),
                $row->textOrNull('mailbox'),
                $row->textOrNull('handle'),
                $row->text('access') === 'ours',
                $row->instant('proven_at'),
                $row->textOrNull('link') === 'wire',
            ),
            new HandoverTerms(
                ReceiverBy::from($row->text('receiver_by')),
                Confirms::from($row->text('confirms')),
                $row->bool('names_giver'),
                $row->bool('lock_first'),
                $row->bool('unlock_account_first'),
                $row->int('handover_hold_days'),
                $known,
                $row->text('accepts_by') === 'letter',
            ),
            $row->int('accept_days'),
            $row->int('lot_size'),
            self::steps($row),
            $row->bool('hold_declinable'),
            $row->text('verifies_by') === 'house',
            $row->int('charge_lead_days'),
            $row->intOrNull('dark_after_days'),
            $row->intOrNull('plain_after_days'),
            $row->intOrNull('late_until_days'),
        );
    }

    private static function steps(Row $row): Steps
    {
        return $row->textOrNull('disclosure_steps') === null
            ? Steps::fieldByField()
            : Steps::of(
                array_values(
                    array_map(fn (mixed $step): Pattern => Pattern::read(is_array($step) ? $step : []), $row->json('disclosure_steps')),
                ),
            );
    }

    public function lateTerms(int $askLead, ?Money $renew, ?Money $late, ?Money $restore): LateTerms
    {
        return new LateTerms($this->chargeLead, $this->darkAfter, $this->plainAfter, $this->lateUntil, $askLead, $renew, $late, $restore);
    }
}
