<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\SeenOutside;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\HeldCase;
use App\Queries\Names\OpenDrift;

/** The name servers that somebody else changed at the registry, set again to those of our record. */
final class RestoreServers extends DeedAtRegistrar implements SeenOutside
{
    public static function key(): string
    {
        return 'restore_servers';
    }

    /** There is nothing to choose: each name has its own. */
    public function terms(array $said): array
    {
        return ['what' => 'servers'];
    }

    public function said(array $terms): array
    {
        return [];
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        return $record->isServedBy(explode(' ', $line->after['servers'] ?? ''));
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $seen = $this->differing($file)?->finding->with['seen'] ?? null;

        return [
            'before' => ['servers' => is_string($seen) ? $seen : implode(' ', $file->servers)],
            'after' => ['servers' => implode(' ', $file->servers)],
        ];
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Servers;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        return ['servers' => implode(' ', $file->servers)];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $names = [];
        foreach ($lines as $line) {
            $names[$line->after['servers'] ?? ''][] = $line->name->unicode;
        }

        return array_flip(
            array_map(fn (array $of): string => self::text('deeds.restore_servers.of', ['names' => implode(', ', $of)]), $names),
        );
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $file->servers !== [] && $this->differing($file) === null;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        return match (true) {
            $file->servers === [] => [Finding::of(BookFinding::NoServers, Effect::Stops)],
            $file->facts->isUpdateProhibited() => [
                Finding::of(BookFinding::UpdatesProhibited, Effect::Stops),
            ],
            default => [],
        };
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        return ['servers'];
    }

    protected function inWords(array $terms): array
    {
        return [];
    }

    private function differing(HeldCase $file): ?OpenDrift
    {
        return array_values(array_filter($file->drifts, fn (OpenDrift $drift): bool => $drift->tag === RecordFinding::ServersChanged))[0] ??
            null;
    }
}
