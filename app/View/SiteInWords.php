<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\Redirect;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\Visit;
use App\Actions\Hosting\RedirectNames;
use App\Actions\Registrar\ChangeRecords;
use App\Actions\Registrar\ChangeServers;
use App\Models\Name;
use App\Models\NameSite;
use App\Queries\Hosting\SiteRead;
use App\Support\Dates;

/** What is expected at a host, what was found, and what puts it right. */
final readonly class SiteInWords
{
    public function __construct(private Words $words)
    {
    }

    /** The host as people read it. */
    public function host(NameSite $site, Name $name): string
    {
        if ($site->label === '') {
            return $name->unicode;
        }
        $label = idn_to_utf8($site->label, 0, INTL_IDNA_VARIANT_UTS46);

        return ($label === false ? $site->label : $label).".{$name->unicode}";
    }

    /** How it is to lead to its target; null: it has pages of its own. */
    public function leads(NameSite $site): ?string
    {
        return $site->target === null
            ? null
            : $this->words->say($site->is_permanent === true ? 'hosting.site.permanent' : 'hosting.site.temporary').', '
                .$this->words->say($site->keeps_path === true ? 'hosting.site.path_kept' : 'hosting.site.path_dropped');
    }

    /** What it said, in one line. */
    public function found(SiteSeen $seen): string
    {
        if ($seen->addresses === []) {
            return $this->words->say('hosting.found.no_address');
        }
        if (! $seen->isAsked()) {
            return $this->words->say('hosting.found.not_listed', ['address' => implode(', ', $seen->addresses)]);
        }
        $trail = $seen->answered() ?? $seen->plain;
        $visit = $trail?->last();
        if ($trail === null || $visit === null) {
            return '';
        }
        $leads = $trail->redirects();

        return match (true) {
            $trail->isEndless() => $this->words->say('hosting.found.endless'),
            $leads !== [] => $this->words->say(
                Redirect::isPermanent((int) $leads[0]->status) ? 'hosting.found.leads_permanently' : 'hosting.found.leads',
                ['to' => (string) $trail->end()],
            ),
            $visit->status === null => $this->words->say('hosting.not_visited.'.($visit->fault ?? NotVisited::Silent)->value),
            $visit->status >= 400 => $this->words->say('hosting.found.error', ['status' => (string) $visit->status]),
            default => $this->words->say('hosting.found.pages'),
        };
    }

    /** @return list<string> each step of who asks */
    public function steps(?Trail $trail): array
    {
        return array_map(
            fn (Visit $visit): string => $visit->page.' '.($visit->status
                ?? $this->words->say('hosting.not_visited.'.($visit->fault ?? NotVisited::Silent)->value)),
            $trail->visits ?? [],
        );
    }

    public function certificate(SiteSeen $seen): ?string
    {
        return $seen->certificate === null ? null : $this->words->say('hosting.found.certificate', [
            'issuer' => $seen->certificate->issuer,
            'until' => Dates::full($seen->certificate->until),
        ]);
    }

    public function isBad(Finding $finding): bool
    {
        return $finding->tag->cost()->value <= Cost::Dark->value;
    }

    /** @return list<CureTold> one of each cure */
    public function cures(SiteRead $read): array
    {
        $cures = [];
        foreach ($read->findings as $finding) {
            $cure = $finding->tag->cure();
            if ($cure !== null) {
                $cures[$cure->value] ??= $this->cure($cure, $read);
            }
        }

        return array_values($cures);
    }

    private function cure(Cure $cure, SiteRead $read): CureTold
    {
        $site = $read->site;
        $of = ['name' => $site->name->ascii];
        $records = $read->cure->records ?? [];
        $set = $site->place?->server_set_id;
        $address = match ($cure) {
            Cure::ChangeServers => route('deeds.show', [ChangeServers::key(), ...$of, ...$set === null ? [] : ['set' => $set]]),
            Cure::SetRecords => route('deeds.show', [
                ChangeRecords::key(),
                ...$of,
                ...$records === [] ? [] : ['records' => implode("\n", $records)],
            ]),
            Cure::SetRedirect => $site->target === null ? null : route('deeds.show', [
                RedirectNames::key(),
                ...$of,
                'target' => $site->target,
                'for' => $site->is_permanent === false ? 'temporary' : 'permanent',
                'path' => $site->keeps_path === true ? '1' : '0',
                ...$site->place_id === null ? [] : ['place' => $site->place_id],
            ]),
            default => null,
        };
        $with = [
            'records' => implode('; ', $records),
            'operator' => $site->place?->value()->runBy() ?? $this->words->say('hosting.whoever'),
        ];
        if ($cure === Cure::SetRecords && $records !== []) {
            return new CureTold($this->words->say('hosting.site.change_records', $with), $address);
        }
        $key = $address === null ? "words.cure_elsewhere.{$cure->value}" : "words.cure.{$cure->value}";

        return new CureTold($this->words->sayOr($key, $this->words->say("words.cure.{$cure->value}", $with), $with), $address);
    }
}
