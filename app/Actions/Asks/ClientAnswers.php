<?php

declare(strict_types=1);

namespace App\Actions\Asks;

use Acre\Core\Lifecycle\Intent;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Links\OpenLink;
use App\Actions\Money\RenewNames;
use App\Actions\Standings\MakeStandings;
use App\Models\Ask;
use App\Models\AskLine;
use App\Models\AskState;
use App\Models\Docket;
use App\Models\LinkPurpose;
use App\Models\Registration;
use App\Queries\Clients\StillAsked;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\Silence;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What a client says of their names: what they let go is recorded, and what they keep is renewed in a docket that a Steward approves.
 * Where they say nothing, the house's rule does.
 */
final readonly class ClientAnswers
{
    public function __construct(
        private Connection $database,
        private OpenLink $links,
        private PrepareDocket $prepare,
        private StillAsked $still,
        private MakeStandings $standings,
        private HouseSettings $house,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * @param  array<int, int>  $years  for how many years each name is kept, by name; 0: it is let go
     * @return Ask|null null: the link is no longer valid
     */
    public function handle(string $token, array $years): ?Ask
    {
        return $this->database->transaction(function () use ($token, $years): ?Ask {
            $found = $this->links->handle($token);
            $ask =
                $found?->purpose === LinkPurpose::AnswerRenewals && $found->ask_id !== null
                    ? Ask::query()->lockForUpdate()->where('state', AskState::Open)->whereKey($found->ask_id)->first()
                    : null;
            $link = $ask === null ? null : $this->links->handle($token, lock: true);
            if ($ask === null || $link === null) {
                return null;
            }
            $this->database->update('UPDATE links SET used_at = clock_timestamp() WHERE id = ?', [$link->id]);
            $this->carry($ask, $years, AskState::Answered);

            return $ask;
        });
    }

    /**
     * Asks whose day is past.
     *
     * @return int how many
     */
    public function silent(): int
    {
        $ended = 0;
        foreach (
            Ask::query()
                ->where('state', AskState::Open)
                ->where('answer_by', '<', $this->clock->today()->date())
                ->orderBy('id')
                ->pluck('id')
                ->all() as $id
        ) {
            $ended += $this->database->transaction(function () use ($id): int {
                $ask = Ask::query()->lockForUpdate()->where('state', AskState::Open)->whereKey($id)->first();
                if ($ask === null) {
                    return 0;
                }
                $rule = $this->house->silence();
                $names = $rule === Silence::Nothing ? [] : array_keys($this->still->of($ask));
                $this->carry(
                    $ask,
                    array_fill_keys($names, $rule === Silence::Keep ? 1 : 0),
                    AskState::Silent,
                );

                return 1;
            });
        }

        return $ended;
    }

    /**
     * What was renewed since it was asked, or is another's now, is left as it is.
     *
     * @param  array<int, int>  $years
     */
    private function carry(Ask $ask, array $years, AskState $state): void
    {
        $years = array_intersect_key($years, $this->still->of($ask));
        $lapse = array_keys(array_filter($years, fn (int $count): bool => $count === 0));
        foreach ($years as $id => $count) {
            AskLine::query()
                ->where('ask_id', $ask->id)
                ->where('name_id', $id)
                ->update($count === 0 ? ['answer' => 'lapse'] : ['answer' => 'keep', 'years' => $count]);
        }
        $this->intend($ask, $lapse, Intent::Lapse);
        $this->intend($ask, array_values(array_diff(array_keys($years), $lapse)), Intent::WhenTold);
        foreach (array_unique(array_filter($years, fn (int $count): bool => $count > 0)) as $count) {
            $this->renew($ask, array_keys($years, $count, true), $count);
        }
        $ask->update(['state' => $state, 'ended_on' => $this->clock->now()]);
        $this->log->write($state === AskState::Answered ? 'client_answered' : 'client_silent', 'client', $ask->client_id, [
            'ask' => $ask->id,
            'keep' => count($years) - count($lapse),
            'lapse' => count($lapse),
        ]);
    }

    /**
     * Who decided it stands beside the intent. What renews by itself at its registrar is left to a Steward to switch.
     *
     * @param  list<int>  $nameIds
     */
    private function intend(Ask $ask, array $nameIds, Intent $intent): void
    {
        foreach (
            Registration::query()
                ->whereIn('name_id', $nameIds)
                ->whereRaw('upper_inf(span)')
                ->orderBy('id')
                ->lockForUpdate()
                ->get() as $registration
        ) {
            if ($registration->intent === Intent::ByItself && $intent !== Intent::Lapse) {
                continue;
            }
            $registration->intent = $intent;
            $registration->version++;
            $registration->sources = [
                ...$registration->sources,
                'intent' => ['from' => 'client', 'ask' => $ask->id, 'at' => $this->clock->today()->date()],
            ];
            $registration->save();
        }
        $this->standings->of($nameIds);
    }

    /** @param  list<int>  $nameIds */
    private function renew(Ask $ask, array $nameIds, int $years): void
    {
        try {
            // The same answer twice finds the docket that the first one made.
            $token = self::token("ask {$ask->id} {$years}");
            $docket = $this->prepare->handle($ask->asker, $token, RenewNames::key(), $nameIds, ['years' => $years], $nameIds);
            $this->link($ask, $docket);
        } catch (DeedError) {
            // None can be renewed now: the ask's page shows that nothing renews them, and Rounds that they end.
        }
    }

    /** The shape of a UUID, made of what it is for. */
    private static function token(string $of): string
    {
        return implode('-', sscanf(hash('sha256', $of), '%8s%4s%4s%4s%12s') ?? []);
    }

    private function link(Ask $ask, Docket $docket): void
    {
        AskLine::query()
            ->where('ask_id', $ask->id)
            ->whereIn('name_id', $docket->lines()->where('state', 'prepared')->pluck('name_id'))
            ->update(['docket_id' => $docket->id]);
    }
}
