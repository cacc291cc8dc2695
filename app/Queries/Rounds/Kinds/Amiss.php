<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;

/**
 * Names that are late, suspended, deleted or gone, and clients' answers that are overdue: due today, whenever their last day is and
 * whatever is missing of their registrar's terms.
 */
final readonly class Amiss implements RoundsKind
{
    private const FINDINGS = [
        'late_plain' => LifecycleFinding::LatePlain,
        'late_dear' => LifecycleFinding::LateDear,
        'suspended' => LifecycleFinding::Suspended,
        'redemption' => LifecycleFinding::Redemption,
        'pending_delete' => LifecycleFinding::PendingDelete,
        'released' => LifecycleFinding::Released,
        'gone' => LifecycleFinding::Gone,
        'asked_too_late' => LifecycleFinding::AskedTooLate,
        'presumed' => LifecycleFinding::PresumedRenewed,
    ];

    public function __construct(private NamesDue $names, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(fn (Row $row): RoundsItem => $this->item($row, $today), $this->names->amiss(self::kinds(), $most));
    }

    /** @return list<NextKind> */
    public static function kinds(): array
    {
        return array_map(NextKind::from(...), array_keys(self::FINDINGS));
    }

    private function item(Row $row, Instant $today): RoundsItem
    {
        $kind = $row->text('next_kind');
        $day = $row->text('day') === 'infinity' ? null : NamesDue::day($row);
        $sum = NamesDue::money($row, 'sum');
        $fee = NamesDue::money($row, 'fee');
        $narrow = ['client' => $row->int('of_id'), 'finding' => 'lifecycle.'.self::FINDINGS[$kind]->value];
        [$deed, $address] = $this->deed($kind, $row, $narrow);
        $with = [
            'client' => $row->text('client_name'),
            'day' => $day === null ? '' : $this->words->near($day),
            'sum' => $sum?->text() ?? '',
            'fee' => $fee?->text() ?? '',
        ];
        $form = match (true) {
            $sum === null => 'unpriced',
            $fee === null => 'cost',
            default => 'then',
        };

        return new RoundsItem(
            "now:{$kind}:{$row->int('of_id')}:".($day?->date() ?? 'over'),
            RoundsSection::Now,
            $today,
            NamesDue::title($row),
            $this->words->say("rounds.now.{$kind}.says", $with),
            $this->words->sayOr("rounds.now.{$kind}.{$form}", $this->words->say("rounds.now.{$kind}.cost", $with), $with),
            $this->words->say($deed),
            $address,
            $row->int('names'),
            $fee,
            NamesDue::address($row, $narrow),
            last: $day,
        );
    }

    /**
     * @param  array<string, string|int>  $narrow
     * @return array{string, string} words, in rounds.php, and address
     */
    private function deed(string $kind, Row $row, array $narrow): array
    {
        $isOne = $row->int('names') === 1;

        return match (true) {
            // What was only seen outside is looked at there before anything is recorded.
            $isOne && ($kind === NextKind::Gone->value || $row->bool('seen')) => [
                'rounds.compare',
                route('record.show', $row->text('ascii')),
            ],
            $isOne && $kind === NextKind::AskedTooLate->value => [
                'rounds.ask.deed',
                route('deeds.show', ['change_intent', 'name' => $row->text('ascii')]),
            ],
            in_array($kind, [NextKind::PendingDelete->value, NextKind::Released->value], true) => [
                $isOne ? 'rounds.see' : 'rounds.see_them',
                NamesDue::address($row, $narrow),
            ],
            default => NamesDue::renewed($row, $narrow, $kind === NextKind::Redemption->value ? 'restore' : 'renew'),
        };
    }
}
