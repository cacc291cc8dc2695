<?php

declare(strict_types=1);

namespace App\Actions\Names;

use Acre\Core\Contact\Text;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Drifts\CompareAgain;
use App\Actions\Standings\MakeStandings;
use App\Models\Guarded;
use App\Models\Name;
use App\Models\Registration;
use App\Models\User;
use App\Support\ChangedMeanwhile;
use App\Support\Changes;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Connection;

/** Records what a person knows of a name: each fact with where it came from, and the standing made again. */
final readonly class ChangeFacts
{
    /** Under which a source is kept that a directory gave, by column. */
    private const FACTS = ['ends_on' => 'ends', 'created_on' => 'created'];

    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private CompareAgain $compare,
        private RecordRegistrants $registrants,
        private HouseLog $log,
        private TradeClock $clock,
    ) {
    }

    /**
     * @param  array<string, mixed>  $facts  columns of the registration, and `registrant` and `mailbox`
     * @param  int  $version  the one that the form was made from
     * @param  string  $because  why; needed where they change what a registry gave
     *
     * @throws ChangedMeanwhile when somebody else has saved since
     * @throws ReasonNeeded when they change what a registry gave, and don't say why
     * @throws AuthorizationException when they may not change where the registrant's letters go
     */
    public function handle(User $user, Name $name, array $facts, int $version, string $because = ''): void
    {
        $this->database->transaction(function () use ($user, $name, $facts, $version, $because): void {
            Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();
            $registration = Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->lockForUpdate()->firstOrFail();
            $before = $registration->getRawOriginal();
            [$who, $said] = $this->registrant($name, $facts);
            if (array_key_exists('mailbox', $said) && Guarded::mailbox($user, $who['mailbox'], $said['mailbox'])) {
                throw new AuthorizationException();
            }
            if ($said !== []) {
                // Whoever stands behind it is no column of it: that its row is another one says so.
                $registration->version === $version
                    ? $registration->forceFill(['updated_at' => gmdate('c')])
                    : throw ChangedMeanwhile::row();
            }
            $changed = Changes::save($registration, array_diff_key($facts, ['registrant' => 1, 'mailbox' => 1]), $version);
            unset($changed['updated_at']);
            $this->registrants->of([$name->id => $said], 'typed', $user->id);
            // What a contact says stands in its versions only; the log says that it is another one.
            $changed += array_fill_keys(array_keys($said), '…');
            $before += array_fill_keys(array_keys($who), '…');
            if ($changed === []) {
                return;
            }
            $given = array_values(
                array_filter(
                    array_keys($changed),
                    fn (string $field): bool => self::isGiven(
                        $registration->sources[$field] ?? ($registration->sources[self::FACTS[$field] ?? ''] ?? null),
                    ),
                ),
            );
            if ($given !== [] && $because === '') {
                throw new ReasonNeeded($given);
            }
            $source = ['from' => 'typed', 'at' => $this->clock->today()->iso(), 'by' => $user->id];
            $registration->update(['sources' => [...$registration->sources, ...array_fill_keys(array_keys($changed), $source)]]);
            $this->compare->handle([$name->id]);
            $this->standings->of([$name->id]);
            $this->log->write(
                'facts_changed',
                'name',
                $name->id,
                [
                    'fields' => array_keys($changed),
                    'before' => json_encode(array_intersect_key($before, $changed), JSON_THROW_ON_ERROR),
                    'after' => json_encode($changed, JSON_THROW_ON_ERROR),
                ] + ($because === '' ? [] : ['because' => $because]),
                $user->id,
            );
        });
    }

    /** Whether a registry, or a registrar by wire, gave it. */
    private static function isGiven(mixed $source): bool
    {
        return is_array($source) && in_array($source['from'] ?? null, ['directory', 'wire'], true);
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array{array<string, string|null>, array<string, string|null>} what the registrant is today, and what is said otherwise
     */
    private function registrant(Name $name, array $facts): array
    {
        $row =
            Row::all(
                $this->database->select("SELECT nullif(called, '') AS called, address FROM registrants WHERE name_id = ?", [$name->id]),
            )[0] ?? null;
        $before = ['registrant' => $row?->textOrNull('called'), 'mailbox' => $row?->textOrNull('address')];
        $said = [];
        foreach ($before as $key => $value) {
            $after = array_key_exists($key, $facts) ? Text::line(is_string($facts[$key]) ? $facts[$key] : null) : $value;
            if ($after !== $value) {
                $said[$key] = $after;
            }
        }

        return [$before, $said];
    }
}
