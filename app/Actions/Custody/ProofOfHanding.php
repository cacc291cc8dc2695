<?php

declare(strict_types=1);

namespace App\Actions\Custody;

use Acre\Core\Title\Proof as CoreProof;
use Acre\Core\Title\ProofDraft;
use App\Actions\Proofs\Provable;
use App\Models\Handing;
use App\Models\HandingLine;
use LogicException;

/**
 * The proof of somebody's custody handed to another: account by account what was done, by whom, and what was left and why. People are named
 * by number.
 */
final readonly class ProofOfHanding implements Provable
{
    public function draft(int $id): ProofDraft
    {
        $handing = Handing::query()->with('lines.account.registrar')->findOrFail($id);
        if ($handing->closed_on === null) {
            throw new LogicException('A handing that is open has no proof.');
        }

        return CoreProof::record(
            'custody handed over',
            [
                'handing' => (string) $id,
                'from' => "custodian {$handing->from_id}",
                'to' => "custodian {$handing->to_id}",
                'begun' => "{$handing->opened_on->isoSecond()} by person {$handing->opened_by}",
                'closed' => $handing->closed_on->isoSecond(),
                'accounts' => (string) $handing->lines->count(),
            ],
            array_values(
                $handing->lines
                    ->map(
                        fn (HandingLine $line): array => [
                            'account' => "{$line->account_id}, number {$line->account->number}",
                            'parts' => str_replace('_', ' ', implode(', ', $line->parts)),
                            'result' => "{$line->state->value} on {$line->ended_on?->date()} by person {$line->ended_by}",
                            ...$line->words === null ? [] : ['reason' => (string) preg_replace('/\s+/', ' ', $line->words)],
                        ],
                    )
                    ->all(),
            ),
        );
    }
}
