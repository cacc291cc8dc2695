<?php

declare(strict_types=1);

namespace App\Queries\Setbacks;

use App\Models\Setback;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/** What was set aside because it failed, and jobs of the queue that failed for good. */
final readonly class ReadSetbacks
{
    public const LISTED = 200;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Setback> newest first */
    public function all(): array
    {
        return array_values(
            Setback::query()
                ->with(['account.registrar', 'name'])
                ->orderByDesc('last_at')
                ->orderByDesc('id')
                ->limit(self::LISTED)
                ->get()
                ->all(),
        );
    }

    /** @return list<Setback> */
    public function ofAccount(int $accountId): array
    {
        return array_values(
            Setback::query()->with('name')->where('account_id', $accountId)->orderBy('id')->limit(self::LISTED)->get()->all(),
        );
    }

    /** @return list<Setback> */
    public function ofDocket(int $docketId): array
    {
        return array_values(
            Setback::query()->with('name')->where('docket_id', $docketId)->orderBy('id')->limit(self::LISTED)->get()->all(),
        );
    }

    /** @return list<FailedJob> newest first */
    public function failedJobs(): array
    {
        return array_map(
            function (Row $row): FailedJob {
                $payload = json_decode($row->text('payload'), true);
                $job = is_array($payload) && is_string($payload['displayName'] ?? null) ? class_basename($payload['displayName']) : '';

                return new FailedJob(
                    $row->text('uuid'),
                    Str::headline($job),
                    Str::limit(explode("\n", $row->text('exception'))[0], 300),
                    $row->text('failed_at'),
                );
            },
            Row::all(
                $this->database
                    ->table('failed_jobs')
                    ->orderByDesc('id')
                    ->limit(self::LISTED)
                    ->get(['uuid', 'payload', 'exception', 'failed_at']),
            ),
        );
    }
}
