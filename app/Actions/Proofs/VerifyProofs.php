<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use App\Models\Proof;
use Generator;
use LogicException;

/**
 * Walks the chain of proofs from its first: each text against its digest, each digest against the next proof, and what it tells of against
 * its text.
 */
final readonly class VerifyProofs
{
    public function __construct(private Chain $chain)
    {
    }

    /**
     * @return Generator<int, array{string, string|null}> what each is of, in the order in which things ended, as `docket 7`; and what is
     *     wrong with its proof
     */
    public function handle(): Generator
    {
        $position = 0;
        $previous = null;
        foreach (Proof::query()->orderBy('position')->lazy(200) as $proof) {
            $position++;
            [$kind, $id] = $proof->subject();
            yield ["{$kind->value} {$id}", $this->fault($proof, $position, $previous)];
            $position = $proof->position;
            $previous = $proof->sha256;
        }
    }

    private function fault(Proof $proof, int $position, ?string $previous): ?string
    {
        return match (true) {
            $proof->position !== $position => "proof {$position} is missing from the chain",
            ! hash_equals(hash('sha256', $proof->text), $proof->sha256) => 'its text is not what its digest says',
            $proof->previous_sha256 !== $previous,
            ! str_ends_with($proof->text, 'previous proof: '
                .''.($previous ?? 'none')."\n") => 'it does not carry the digest of the proof before it',
            default => $this->difference($proof),
        };
    }

    /** Where what stands there today is not what the text says. */
    private function difference(Proof $proof): ?string
    {
        try {
            $now = explode("\n", self::facts($this->chain->again($proof)->text));
        } catch (LogicException) {
            return 'what it tells of is open';
        }
        $then = explode("\n", self::facts($proof->text));
        foreach ($then as $place => $line) {
            if (($now[$place] ?? '') !== $line) {
                return "its lines are not what its text says: “{$line}” is now “".($now[$place] ?? 'gone').'”';
            }
        }

        return count($now) === count($then) ? null : 'its lines are not what its text says: lines were added';
    }

    /** Without the deed's own line: a client or an account may be called otherwise since. */
    private static function facts(string $text): string
    {
        return (string) preg_replace('/^deed: .*$/m', 'deed', $text, 1);
    }
}
