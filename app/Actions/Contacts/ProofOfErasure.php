<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Title\Proof as CoreProof;
use Acre\Core\Title\ProofDraft;
use App\Actions\Proofs\Provable;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The proof that somebody's data was erased: whose, by number, when it was asked for, what went, and the digest of it. */
final readonly class ProofOfErasure implements Provable
{
    public function __construct(private Connection $database)
    {
    }

    public function draft(int $id): ProofDraft
    {
        $row = Row::of($this->database->table('erasures')->where('contact_id', $id)->first());
        $counts = $row->json('counts');

        return CoreProof::record('data erased', [
            'contact' => (string) $id,
            'asked' => $row->instant('asked_on')?->date() ?? '',
            'how' => (string) preg_replace('/\s+/', ' ', $row->text('words')),
            'erased' => ($row->instant('erased_on')?->isoSecond() ?? '').' by person '.($row->intOrNull('user_id') ?? 'unknown'),
            ...array_map(fn (mixed $count): string => is_int($count) ? (string) $count : '', self::named($counts)),
            'digest' => $row->text('digest'),
        ], []);
    }

    /**
     * @param  array<array-key, mixed>  $counts
     * @return array<string, mixed>
     */
    private static function named(array $counts): array
    {
        $named = [];
        foreach ($counts as $kind => $count) {
            $named[str_replace('_', ' ', (string) $kind)] = $count;
        }

        return $named;
    }
}
