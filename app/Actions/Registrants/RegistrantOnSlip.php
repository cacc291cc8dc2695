<?php

declare(strict_types=1);

namespace App\Actions\Registrants;

use Acre\Core\Contact\Field;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\Side;
use App\Models\Account;
use App\Models\DocketLine;
use App\Queries\Dockets\SlipLetter;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** What a slip says of another registrant: what is to be typed, and to whom the registrar will write. */
final readonly class RegistrantOnSlip
{
    /** Mailboxes of registrants that a slip names. */
    private const LISTED = 5;

    public function __construct(
        private Connection $database,
        private Rulebook $book,
        private WhoIsMeant $who,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    /** @return array<string, string> for a slip, by what it is called */
    public function values(RegistrantChosen $chosen): array
    {
        $value = $this->who->value($chosen);
        $values = [];
        foreach (Field::cases() as $field) {
            $said = $value?->field($field);
            if ($said !== null) {
                $values[$this->words->say('contacts.field.'.$field->value)] = $said;
            }
        }

        return $values;
    }

    /**
     * A registrar that asks registrants itself writes to both sides, where the rules ask them, and to the mailbox that is to be verified.
     *
     * @param  list<DocketLine>  $lines  of one account
     * @return list<SlipLetter>
     */
    public function letters(Account $account, array $lines, RegistrantChosen $chosen): array
    {
        $new = $this->who->contact($chosen->contactId)?->today->mailbox;
        if ($account->registrar->verifies_by !== 'registrar' || $new === null || $chosen->isCorrection) {
            return [];
        }
        $now = $this->clock->now();
        $starts = array_map(
            fn (string $suffix): MaterialChange => MaterialChange::of($this->book->for($suffix, $now), $now),
            array_values(array_unique(array_map(fn (DocketLine $line): string => $line->name->suffix, $lines))),
        );
        $registrar = $account->registrar;
        $letters = [];
        if (array_filter($starts, fn (MaterialChange $one): bool => $one->confirms->asks(Side::Prior)) !== []) {
            $prior = array_values(
                array_filter(
                    $this->database
                        ->table('registrants')
                        ->whereIn('name_id', array_map(fn (DocketLine $line): int => $line->name_id, $lines))
                        ->whereNotNull('address')
                        ->distinct()
                        ->limit(self::LISTED)
                        ->orderBy('address')
                        ->pluck('address')
                        ->all(),
                    is_string(...),
                ),
            );
            $letters[] = new SlipLetter(
                'change',
                $registrar->name,
                $registrar->verification_sender,
                array_values(array_unique([...$prior, $new->address])),
            );
        }
        if ($new->verified_on === null && array_filter($starts, fn (MaterialChange $one): bool => $one->verifyBy !== null) !== []) {
            $letters[] = new SlipLetter('verify', $registrar->name, $registrar->verification_sender, [$new->address]);
        }

        return $letters;
    }
}
