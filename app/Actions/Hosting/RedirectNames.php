<?php

declare(strict_types=1);

namespace App\Actions\Hosting;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\HostingError;
use Acre\Core\Hosting\Redirect;
use Acre\Core\Hosting\RedirectWanted;
use Acre\Core\Hosting\Site;
use Acre\Core\Hosting\WebAddress;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\HasPage;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SaysItself;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\NamedPlace;
use App\Models\NameSite;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\SlipLot;
use App\Queries\Dockets\Slips;
use App\Queries\Dockets\SlipStep;
use App\Queries\Hosting\PlannedRedirects;
use App\Queries\Names\HeldCase;
use Illuminate\Database\Connection;
use LogicException;

/** Sends whoever asks for pages of names to one address: a slip for whoever redirects them, and a look whether they do. */
final class RedirectNames implements HasPage, JudgesByStore
{
    use SaysItself;

    /** @var array<int, list<NameSite>> by name */
    private array $sites = [];

    /** @var array<string, array<string, WebAddress>> where hosts lead by what is planned, by the target that was asked for */
    private array $others = [];

    /** @var array<int, NamedPlace|null> */
    private array $places = [];

    public function __construct(
        private readonly Slips $slips,
        private readonly PlannedRedirects $planned,
        private readonly Rulebook $book,
        private readonly Connection $database,
    ) {
    }

    public static function key(): string
    {
        return 'redirect_names';
    }

    /** The places that may redirect them. */
    public function choices(): array
    {
        $places = [];
        foreach (NamedPlace::query()->orderBy('name')->limit(1_000)->get(['id', 'name']) as $place) {
            $places[$place->id] = $place->name;
        }

        return $places;
    }

    public function terms(array $said): ?array
    {
        try {
            $target = WebAddress::of(is_string($said['target'] ?? null) ? $said['target'] : '');
        } catch (HostingError) {
            return null;
        }
        $place = is_string($said['place'] ?? null) && preg_match('/\A\d{1,15}\z/', $said['place']) === 1 ? (int) $said['place'] : 0;

        return [
            'target' => (string) $target,
            'permanent' => ($said['for'] ?? 'permanent') !== 'temporary',
            'path' => ($said['path'] ?? '') === '1',
            'www' => ($said['www'] ?? '1') === '1',
            'place' => NamedPlace::query()->whereKey($place)->exists() ? $place : null,
        ];
    }

    public function said(array $terms): array
    {
        return array_filter([
            'target' => is_string($terms['target'] ?? null) ? $terms['target'] : '',
            'for' => ($terms['permanent'] ?? null) === false ? 'temporary' : 'permanent',
            'path' => ($terms['path'] ?? null) === true ? '1' : '0',
            'www' => ($terms['www'] ?? null) === false ? '0' : '1',
            'place' => is_int($terms['place'] ?? null) ? $terms['place'] : '',
        ], fn (string|int $value): bool => $value !== '');
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->sites = array_fill_keys(array_map(fn (HeldCase $file): int => $file->nameId, $files), []);
        foreach (NameSite::query()->with(['name', 'place.servers'])->whereIn('name_id', array_keys($this->sites))->get() as $site) {
            $this->sites[$site->name_id][] = $site;
        }
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $redirect = self::redirect($terms);
        $by = $this->place($terms)?->value();
        $sites = $this->sitesOf($file);
        $values = array_map(fn (NameSite $site): Site => $site->value(), $sites);
        $wanted = array_map(
            fn (string $label): Site => new Site($file->facts->name->ascii, $label, $by, $redirect),
            self::labels($terms),
        );
        if ($this->isSo($sites, $terms, $redirect)) {
            return Readiness::of([Finding::of(BookFinding::AlreadySo, Effect::Stops)], []);
        }
        $seen = [];
        foreach ($sites as $site) {
            $seen[$site->value()->host()] = $site->addresses;
        }
        $target = $redirect->target->host;

        return Readiness::of(
            (new RedirectWanted($redirect, $by))->findings(
                $wanted,
                $values,
                $this->others[$target] ??= $this->planned->from($target),
                $seen,
                $this->book->for($file->facts->name->suffix(), $now)->secureOnly->value,
            ),
            [],
        );
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $redirect = self::redirect($terms);
        foreach (self::labels($terms) as $label) {
            // What was expected before is kept, so that it comes back if nothing comes of this.
            $this->database->statement(
                <<<'SQL'
                INSERT INTO sites AS s (name_id, label, place_id, target, is_permanent, keeps_path, docket_line_id, before, created_at,
                    updated_at) VALUES (?, ?, ?, ?, ?, ?, ?, '{}', now(), now())
                ON CONFLICT (name_id, label) DO UPDATE SET target = excluded.target, is_permanent = excluded.is_permanent,
                    keeps_path = excluded.keeps_path, docket_line_id = excluded.docket_line_id, version = s.version + 1,
                    place_id = excluded.place_id, next_look = '-infinity', agreed_at = NULL,
                    before = coalesce(s.before, jsonb_build_object('place_id', s.place_id, 'target', s.target,
                        'is_permanent', s.is_permanent, 'keeps_path', s.keeps_path)), updated_at = now()
                SQL
                ,
                [
                    $line->name_id,
                    $label,
                    $terms['place'] ?? null,
                    (string) $redirect->target,
                    $redirect->isPermanent ? 'true' : 'false',
                    $redirect->keepsPath ? 'true' : 'false',
                    $line->id,
                ],
            );
        }

        return LineState::Begun;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $this->database->update(
            "UPDATE sites SET before = NULL, next_look = '-infinity' WHERE docket_line_id = ?",
            [$line->id],
        );
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->database->delete("DELETE FROM sites WHERE docket_line_id = ? AND before = '{}'", [$line->id]);
        $this->database->update(
            <<<'SQL'
            UPDATE sites SET place_id = (before ->> 'place_id')::bigint, target = before ->> 'target',
                is_permanent = (before ->> 'is_permanent')::boolean, keeps_path = (before ->> 'keeps_path')::boolean,
                docket_line_id = NULL, before = NULL, version = version + 1, next_look = '-infinity', agreed_at = NULL
            WHERE docket_line_id = ? AND before IS NOT NULL
            SQL
            ,
            [$line->id],
        );
    }

    /** For whoever redirects them: the place that was chosen, or the registrar. */
    public function slip(Docket $docket): Slip
    {
        $terms = $docket->terms;
        $place = $this->place($terms);
        $redirect = self::redirect($terms);
        $lots = [];
        foreach ($this->slips->openLines($docket) as $line) {
            $lots[$place === null ? (int) $line->giving_account_id : 0][] = $line;
        }
        $slip = [];
        foreach ($lots as $lines) {
            $account = $lines[0]->givingAccount;
            if ($account !== null) {
                $values = [
                    $this->word('target') => (string) $redirect->target,
                    $this->word('status') => $this->word($redirect->isPermanent ? 'permanent' : 'temporary'),
                    $this->word('path') => $this->word($redirect->keepsPath ? 'kept' : 'dropped'),
                    $this->word('hosts') => $this->word(self::labels($terms) === [''] ? 'alone' : 'with_www'),
                ];
                $slip[] = new SlipLot(
                    count($slip) + 1,
                    $account,
                    $lines,
                    [new SlipStep('redirect', $values, true)],
                    [],
                    $place?->value()->runBy(),
                );
            }
        }

        return new Slip(null, $slip);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $labels = self::labels($terms);
        $before = array_map(
            fn (NameSite $site): string => $site->target ?? $site->place->name ?? '',
            array_filter($this->sitesOf($file), fn (NameSite $site): bool => in_array($site->label, $labels, true)),
        );

        return [
            'before' => ['redirect' => implode(', ', array_unique($before))],
            'after' => ['redirect' => (string) self::redirect($terms)->target],
        ];
    }

    protected function inWords(array $terms): array
    {
        return ['target' => (string) self::redirect($terms)->target];
    }

    /** @return list<NameSite> */
    private function sitesOf(HeldCase $file): array
    {
        if (! array_key_exists($file->nameId, $this->sites)) {
            $this->beforeJudging([$file], []);
        }

        return $this->sites[$file->nameId];
    }

    /**
     * Whether all its hosts are to lead there already, and are seen to.
     *
     * @param  list<NameSite>  $sites
     * @param  array<string, mixed>  $terms
     */
    private function isSo(array $sites, array $terms, Redirect $redirect): bool
    {
        $so = array_filter($sites, fn (NameSite $site): bool => $site->agreed_at !== null
            && $site->target === (string) $redirect->target
            && $site->is_permanent === $redirect->isPermanent
            && $site->keeps_path === $redirect->keepsPath);
        $labels = array_map(fn (NameSite $site): string => $site->label, $so);

        return array_diff(self::labels($terms), $labels) === [];
    }

    /**
     * @param  array<string, mixed>  $terms
     * @return list<string>
     */
    private static function labels(array $terms): array
    {
        return ($terms['www'] ?? null) === false ? [''] : ['', 'www'];
    }

    /** @param  array<string, mixed>  $terms */
    private static function redirect(array $terms): Redirect
    {
        return is_string($terms['target'] ?? null)
            ? new Redirect(WebAddress::of($terms['target']), ($terms['permanent'] ?? null) !== false, ($terms['path'] ?? null) === true)
            : throw new LogicException('A redirect has its target.');
    }

    /** @param  array<string, mixed>  $terms */
    private function place(array $terms): ?NamedPlace
    {
        $id = $terms['place'] ?? null;

        return is_int($id) ? $this->places[$id] ??= NamedPlace::query()->with('servers')->find($id) : null;
    }

    private function word(string $key): string
    {
        $said = __("deeds.redirect_names.{$key}");

        return is_string($said) ? $said : $key;
    }
}
