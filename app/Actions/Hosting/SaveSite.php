<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

use App\Models\Name;
use App\Models\NamedPlace;
use App\Models\NameSite;
use App\Models\User;
use App\Support\ChangedMeanwhile;
use App\Support\Changes;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Records what visitors should find at hosts of names. Each is looked at again soon. */
final readonly class SaveSite
{
    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    /**
     * @param  array<string, mixed>  $values  columns
     * @param  int|null  $version  the one that the form was made from; null: the host is new
     *
     * @throws ChangedMeanwhile when somebody else has saved since, or has recorded the same host
     */
    public function handle(User $user, Name $name, string $label, array $values, ?int $version): NameSite
    {
        return $this->database->transaction(function () use ($user, $name, $label, $values, $version): NameSite {
            Name::query()->lockForUpdate()->findOrFail($name->id);
            $site = NameSite::query()->where('name_id', $name->id)->where('label', $label)->lockForUpdate()->first();
            if ($site !== null) {
                if (Changes::save($site, $values, $version ?? 0) !== []) {
                    $this->lookAgain($site);
                    $this->log->write('site_changed', 'name', $name->id, ['host' => $label], $user->id);
                }

                return $site;
            }
            $site = NameSite::query()->create(['name_id' => $name->id, 'label' => $label, ...$values]);
            $this->log->write('site_added', 'name', $name->id, ['host' => $label], $user->id);

            return $site;
        });
    }

    /**
     * Pages of many hosts at one place. One that was recorded for another place is moved to this one.
     *
     * @param  list<SiteTyped>  $typed
     */
    public function at(User $user, NamedPlace $place, array $typed): void
    {
        usort($typed, fn (SiteTyped $a, SiteTyped $b): int => $a->nameId <=> $b->nameId);
        $this->database->transaction(function () use ($user, $place, $typed): void {
            $ids = array_values(array_unique(array_map(fn (SiteTyped $one): int => $one->nameId, $typed)));
            Name::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get(['id']);
            foreach ($typed as $one) {
                $site = NameSite::query()->where('name_id', $one->nameId)->where('label', $one->label)->lockForUpdate()->first() ??
                    new NameSite(['name_id' => $one->nameId, 'label' => $one->label]);
                $event = $site->exists ? 'site_changed' : 'site_added';
                $values = ['place_id' => $place->id, ...$one->folder === '' && $site->exists ? [] : ['folder' => $one->folder]];
                if (Changes::save($site, $values, $site->version) !== []) {
                    $this->lookAgain($site);
                    $this->log->write($event, 'name', $one->nameId, ['host' => $one->label], $user->id);
                }
            }
        });
    }

    /** A host is no longer watched. */
    public function remove(User $user, NameSite $site): void
    {
        $this->database->transaction(function () use ($user, $site): void {
            Name::query()->lockForUpdate()->findOrFail($site->name_id);
            if (NameSite::query()->whereKey($site->id)->delete() === 1) {
                $this->log->write('site_removed', 'name', $site->name_id, ['host' => $site->label], $user->id);
            }
        });
    }

    /** All hosts at a place must be looked at again. */
    public function ofPlace(NamedPlace $place): void
    {
        $this->database->update("UPDATE sites SET next_look = '-infinity' WHERE place_id = ?", [$place->id]);
    }

    /**
     * All hosts that redirect must be looked at again.
     *
     * @param  string  $target  only those to this one; empty: all
     */
    public function ofRedirects(string $target): void
    {
        $this->database->update(
            "UPDATE sites SET next_look = '-infinity' WHERE target IS NOT NULL AND ? IN ('', target)",
            [$target],
        );
    }

    /** What somebody records by hand is no docket's any more: one that is called off must not undo it. */
    private function lookAgain(NameSite $site): void
    {
        NameSite::query()->whereKey($site->id)
            ->update(['next_look' => '-infinity', 'agreed_at' => null, 'docket_line_id' => null, 'before' => null]);
    }
}
