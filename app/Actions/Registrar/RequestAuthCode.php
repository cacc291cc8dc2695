<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\HeldCase;

/** The code with which a name goes to another registrar is asked for. What comes is kept as a secret; nothing of the name changes. */
final class RequestAuthCode extends DeedAtRegistrar
{
    public static function key(): string
    {
        return 'request_code';
    }

    /** There is nothing to choose. */
    public function terms(array $said): array
    {
        return ['what' => 'code'];
    }

    public function said(array $terms): array
    {
        return [];
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        // Told by a registrar it is kept already; typed, it is kept on the folio.
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        [$before, $after] = [__('deeds.request_code.before'), __('deeds.request_code.then')];

        return ['before' => ['code' => is_string($before) ? $before : ''], 'after' => ['code' => is_string($after) ? $after : '']];
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::AuthCode;
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return false;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        $suffix = $file->facts->name->suffix();

        return match (true) {
            $this->book->for($suffix, $now)->movesBy->value !== MovesBy::Code => [
                Finding::of(BookFinding::NoCode, Effect::Stops, null, suffix: $suffix),
            ],
            $file->facts->isLocked() => [Finding::of(BookFinding::CodeUnderLock, Effect::Worth)],
            default => [],
        };
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        return ['code'];
    }

    protected function inWords(array $terms): array
    {
        return [];
    }
}
