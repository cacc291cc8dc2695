<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * The canonical text of something that ended, and its digest; the runtime role can't change one.
 *
 * @property int|null $docket_id
 * @property int|null $handing_id
 * @property int|null $erasure_id
 * @property int $position
 * @property string $text
 * @property string $sha256
 * @property string|null $previous_sha256
 * @property Instant $made_on
 */
final class Proof extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'position';

    protected $guarded = [];

    protected $casts = ['made_on' => AsInstant::class];

    /** @return array{ProofKind, int} what it is of */
    public function subject(): array
    {
        return match (true) {
            $this->docket_id !== null => [ProofKind::Docket, $this->docket_id],
            $this->handing_id !== null => [ProofKind::Handing, $this->handing_id],
            default => [ProofKind::Erasure, $this->erasure_id ?? 0],
        };
    }
}
