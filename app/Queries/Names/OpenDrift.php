<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\SeenOutside;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use App\Support\Row;

/** Where the outside says otherwise of a name, and nobody has settled it. */
final readonly class OpenDrift
{
    private function __construct(
        public int $id,
        public RecordFinding $tag,
        public Finding $finding,
        public Certainty $certainty,
        public Instant $first,
        public Instant $seen,
        public ?Instant $since,
    ) {
    }

    /** @param  Row  $row  of `drifts` */
    public static function of(Row $row): self
    {
        $tag = RecordFinding::from($row->text('finding'));
        $stored = $row->json('said')['with'] ?? null;
        $with = [];
        // jsonb keeps members in an order of its own.
        foreach ($tag->arguments() as $argument) {
            $typed = is_array($stored) ? $stored[$argument] ?? null : null;
            $value = is_array($typed) && is_string($typed[1] ?? null) ? $typed[1] : '';
            $with[$argument] = is_array($typed) && ($typed[0] ?? null) === 'instant' ? Instant::of($value) : $value;
        }

        return new self(
            $row->int('id'),
            $tag,
            Finding::of($tag, Effect::Worth, null, ...$with),
            Certainty::from($row->text('certainty')),
            $row->instant('first_seen') ?? Instant::second(0),
            $row->instant('last_seen') ?? Instant::second(0),
            $row->instant('since'),
        );
    }

    /**
     * The later end that is surely given outside, and whether the name was surely paid for beyond the end recorded.
     *
     * @param  list<self>  $drifts  of one name
     * @return array{Instant|null, bool|null} as NameFacts has them
     */
    public static function laterEnd(array $drifts): array
    {
        $until = $isPaid = null;
        foreach (array_filter($drifts, fn (self $drift): bool => $drift->certainty === Certainty::Sure) as $drift) {
            $seen = $drift->seen();
            $says = $drift->tag->saysPaid(is_string($seen) ? Status::tryFrom($seen) : null);
            if ($says === false) {
                return [null, false];
            }
            $isPaid = $says ?? $isPaid;
            $until = $drift->tag->givesLaterEnd() && $seen instanceof Instant ? $seen : $until;
        }

        return [$until, $isPaid];
    }

    /**
     * What the registry surely says of a name's life otherwise than our books.
     *
     * @param  list<self>  $drifts  of one name
     */
    public static function seenOutside(array $drifts): ?SeenOutside
    {
        $has = $lacks = $at = $since = [];
        $isGone = false;
        foreach ($drifts as $drift) {
            $status = $drift->status();
            $isGoneHere = $drift->tag === RecordFinding::NotInDirectory;
            if ($drift->certainty !== Certainty::Sure || (! $isGoneHere && $status?->tellsOfLife() !== true)) {
                continue;
            }
            $at[] = $drift->seen;
            $isGone = $isGone || $isGoneHere;
            if ($drift->tag === RecordFinding::StatusGone) {
                $lacks[] = $status;
            } elseif ($status !== null) {
                $has[] = $status;
            }
            if ($drift->since !== null) {
                $since[] = $drift->since;
            }
        }

        return $at === []
            ? null
            : new SeenOutside(
                Instant::latest(...$at),
                $has,
                array_values(array_filter($lacks)),
                $since === [] ? null : Instant::earliest(...$since),
                $isGone,
            );
    }

    /** The status of its record that it is about; null: none. */
    public function status(): ?Status
    {
        return $this->tag->status() ?? (is_string($this->seen()) ? Status::tryFrom($this->seen()) : null);
    }

    /** What the outside says, as the fact of ours would be; null where it says that there is none. */
    public function seen(): Instant|string|null
    {
        $seen = $this->finding->with['seen'] ?? ($this->finding->with['status'] ?? null);

        return $seen instanceof Instant || is_string($seen) ? $seen : null;
    }
}
