<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use Acre\Core\Title\Proof as CoreProof;
use Acre\Core\Title\ProofDraft;
use App\Models\Proof;
use App\Models\ProofKind;
use App\Support\TradeClock;
use Illuminate\Contracts\Container\Container;
use Illuminate\Database\Connection;

/** The chain of proofs, in the order in which things ended: each carries the digest of the one before it. */
final readonly class Chain
{
    /** @param  array<string, class-string<Provable>>  $provable  what makes the proof of each kind, by the kind */
    public function __construct(
        private Connection $database,
        private Container $container,
        private TradeClock $clock,
        private StoreHead $head,
        private array $provable,
    ) {
    }

    /** In the transaction that ends it. */
    public function append(ProofKind $kind, int $id): Proof
    {
        $draft = $this->draft($kind, $id);
        // One proof at a time, so that each knows the one before it; what takes long was done before.
        $this->database->select('SELECT pg_advisory_xact_lock(2, 0)');
        $previous = Proof::query()->orderByDesc('position')->first();
        $position = ($previous->position ?? 0) + 1;
        $made = $draft->at($position, $previous?->sha256);

        $this->database->afterCommit(fn () => $this->head->keep());

        return Proof::query()->create([
            $kind->column() => $id,
            'position' => $position,
            'text' => $made->text,
            'sha256' => $made->sha256,
            'previous_sha256' => $previous?->sha256,
            'made_on' => $this->clock->now(),
        ]);
    }

    /** What the proof would say, made of what stands there today. */
    public function again(Proof $proof): CoreProof
    {
        [$kind, $id] = $proof->subject();

        return $this->draft($kind, $id)->at($proof->position, $proof->previous_sha256);
    }

    private function draft(ProofKind $kind, int $id): ProofDraft
    {
        $provable = $this->container->make($this->provable[$kind->value]);
        assert($provable instanceof Provable);

        return $provable->draft($id);
    }
}
