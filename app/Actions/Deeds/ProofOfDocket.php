<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Title\Proof as CoreProof;
use Acre\Core\Title\ProofDraft;
use Acre\Core\Title\ProofLine;
use App\Actions\Proofs\Provable;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use LogicException;

/** The proof of a docket out of what its lines say. */
final readonly class ProofOfDocket implements Provable
{
    public function __construct(private Deeds $deeds)
    {
    }

    public function draft(int $id): ProofDraft
    {
        $docket = Docket::query()->findOrFail($id);
        if ($docket->settled_by === null || $docket->settled_on === null || $docket->closed_on === null) {
            throw new LogicException('A docket that is not closed has no proof.');
        }

        return CoreProof::of(
            $id,
            $this->deeds->of($docket)->inOneLine($docket),
            $docket->prepared_by,
            $docket->prepared_on,
            $docket->settled_by,
            $docket->settled_on,
            $docket->closed_on,
            $this->lines($id),
        );
    }

    /** @return list<ProofLine> */
    private function lines(int $docketId): array
    {
        $lines = [];
        foreach (DocketLine::query()->where('docket_id', $docketId)->with('name')->orderBy('position')->lazy(500) as $line) {
            $before = self::say($line->before ?? []);
            $lines[] = new ProofLine(
                $line->name->ascii,
                str_replace('_', ' ', $line->state->value),
                $line->done_on,
                $before,
                $line->state === LineState::Done ? self::say($line->after ?? []) : $before,
                (string) preg_replace('/\s+/', ' ', $line->reason ?? ''),
            );
        }

        return $lines;
    }

    /** @param  array<string, string>  $side */
    private static function say(array $side): string
    {
        return isset($side['account']) ? $side['account'].', for '.($side['client'] ?? 'not known') : implode(', ', $side);
    }
}
