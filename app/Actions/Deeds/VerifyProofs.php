<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Models\Docket;
use App\Models\Proof;
use Generator;

/** Walks the chain of proofs from its first: each text against its digest, each digest against the next proof, each docket's lines against its text. */
final readonly class VerifyProofs
{
    public function __construct(private ProofOfDocket $proofs)
    {
    }

    /** @return Generator<int, array{int, string|null}> each docket in closing order, and what is wrong with its proof */
    public function handle(): Generator
    {
        $position = 0;
        $previous = null;
        foreach (Proof::query()->orderBy('position')->lazy(200) as $proof) {
            $position++;
            yield [$proof->docket_id, $this->fault($proof, $position, $previous)];
            $position = $proof->position;
            $previous = $proof->sha256;
        }
    }

    private function fault(Proof $proof, int $position, ?string $previous): ?string
    {
        $docket = Docket::query()->findOrFail($proof->docket_id);

        return match (true) {
            $proof->position !== $position => "proof {$position} is missing from the chain",
            ! hash_equals(hash('sha256', $proof->text), $proof->sha256) => 'its text is not what its digest says',
            $proof->previous_sha256 !== $previous, ! str_ends_with($proof->text, 'previous proof: '.($previous ?? 'none')."\n") => 'it does not carry the digest of the proof before it',
            $docket->closed_on === null || self::facts($this->proofs->make($docket, $docket->closed_on, $position, $previous)->text) !== self::facts($proof->text) => 'the docket’s lines are not what its text says: '.$this->difference($docket, $proof),
            default => null,
        };
    }

    private function difference(Docket $docket, Proof $proof): string
    {
        if ($docket->closed_on === null) {
            return 'it is open';
        }
        $now = explode("\n", self::facts($this->proofs->make($docket, $docket->closed_on, $proof->position, $proof->previous_sha256)->text));
        foreach (explode("\n", self::facts($proof->text)) as $place => $line) {
            if (($now[$place] ?? '') !== $line) {
                return "“{$line}” is now “".($now[$place] ?? 'gone').'”';
            }
        }

        return 'lines were added';
    }

    /** Without the deed's own line: a client or an account may be called otherwise since. */
    private static function facts(string $text): string
    {
        return (string) preg_replace('/^deed: .*$/m', 'deed', $text, 1);
    }
}
