<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Lifecycle\Event;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Movement\Readiness;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Models\Name;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Support\Dates;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Console\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;

/** `./acre tell NAME`: what the core says of a name. */
final class Tell extends Command
{
    protected $signature = 'acre:tell {name : a domain name, however written} {--at= : a date to judge by, such as 2027-01-01} {--json : '
        .'as data} {--created= : instead of what is known} {--ends= : instead of what is known} {--moved= : instead of what is known} '
        .'{--status= : EPP statuses, commas between} {--deleted= : since when these say that it is deleted} {--lead= : days before the '
        .'end on which a renewal is charged}';

    protected $description = 'What the rules say about a name: its standing, what happens next, and what it can do';

    public function handle(TradeClock $clock, CaseFiles $files, Rulebook $book, Words $words): int
    {
        $given = $this->argument('name');
        $at = $this->option('at');
        try {
            $domain = DomainName::of(is_string($given) ? $given : '')->registrable();
            $now = is_string($at) ? Instant::of($at) : $clock->now();
            $given = $this->given($domain);
            $lead = $this->lead();
        } catch (NameError|TimeError|InvalidOptionException $e) {
            $this->error($e->getMessage());

            return self::INVALID;
        }
        $file = $given === null ? $files->named($domain, $now) : null;
        $file = $file instanceof RollCase ? $file : null;
        $standing = $file?->standing($book, $now) ?? Standing::of(
            Lifecycle::of($given ?? new NameFacts($domain), new LateTerms($lead ?? 0), $book->for($domain->suffix(), $now), $now),
        );
        $readiness = $file instanceof HeldCase
            ? $file->handoverTo(null, $now->plusDays($file->acceptDays), $book, $now)->judge()
            : null;

        $this->option('json') === true
            ? $this->line(
                (string) json_encode(
                    $this->data($domain, $now, $standing, $file, $readiness),
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
            )
            : $this->tell($domain, $now, $standing, $given !== null, $file, $readiness, $words);

        return self::SUCCESS;
    }

    private function tell(
        DomainName $domain,
        Instant $now,
        Standing $standing,
        bool $isGiven,
        ?RollCase $file,
        ?Readiness $readiness,
        Words $words,
    ): void {
        $this->line($domain->unicode.($domain->unicode === $domain->ascii ? '' : " ({$domain->ascii})").', on '.Dates::full($now));
        $this->line(
            $file === null
                ? ($isGiven
                    ? 'By the facts given.'
                    : 'Not on the Roll.')
                : ($file->account() === null
                    ? "Watched for {$file->clientName}, at {$file->registrarName()}."
                    : "Held for {$file->clientName} at {$file->registrarName()}, account {$file->account()->number}."),
        );
        if ($file !== null || $isGiven) {
            foreach ($standing->findings as $finding) {
                $this->line('  '.$words->finding($finding).'.');
            }
        }
        foreach ($domain->findings() as [$finding, $about]) {
            $this->line('  '.$words->say('names.'.$finding->value, ['about' => $about]).'.');
        }
        $events = $standing->lifecycle->toCome();
        if ($events !== []) {
            $this->line('What happens next, if it is not renewed:');
            foreach ($events as $event) {
                $this->line(
                    sprintf(
                        '  %-12s %-34s%-9s missed: %s',
                        Dates::full($event->at),
                        $words->say('words.event.'.$event->kind->value).($event->certain ? '' : ', perhaps'),
                        $event->sum?->text() ?? '',
                        $words->say('words.cost.'.$event->kind->cost()->name),
                    ),
                );
            }
        }
        if ($readiness !== null) {
            $this->line(
                'Handover: '.
                    $words->say('words.verdict.'.$readiness->verdict->value, [
                        'date' => $readiness->from === null ? '' : Dates::full($readiness->from),
                    ]).
                    '.',
            );
            foreach ($readiness->findings as $finding) {
                $this->line("  [{$finding->effect->value}] ".$words->finding($finding).'.');
            }
        }
        if (! $standing->lifecycle->rules->isDefault) {
            return;
        }
        $this->line("Rules: the cautious default, as the rulebook has no entry for .{$domain->suffix()}.");
    }

    /** Facts that stand in the command itself: what would be said of a name that had them. Null: none was given. */
    private function given(DomainName $domain): ?NameFacts
    {
        $day = function (string $key): ?Instant {
            $text = $this->option($key);

            return is_string($text) ? Instant::of($text) : null;
        };
        $status = $this->option('status');
        $statuses = array_map(
            fn (string $word): Status => Status::read($word) ??
                throw new InvalidOptionException(
                    "“{$word}” is no EPP status (RFC 5731 §2.3, RFC 3915 §3.1): write it like clientHold, commas between several.",
                ),
            is_string($status) ? explode(',', $status) : [],
        );
        [$created, $ends, $moved, $deleted] = [$day('created'), $day('ends'), $day('moved'), $day('deleted')];
        if ($created !== null && $ends !== null && ! $ends->isAfter($created)) {
            throw TimeError::emptySpan($created, $ends);
        }

        return $created === null && $ends === null && $moved === null && $statuses === []
            ? null
            : new NameFacts(
                $domain,
                $created,
                $ends,
                $moved,
                $statuses,
                intent: $this->option('lead') === null ? Intent::WhenTold : Intent::ByItself,
                deletedSince: $deleted,
            );
    }

    private function lead(): ?int
    {
        $given = $this->option('lead');
        if ($given === null) {
            return null;
        }

        return is_string($given) && preg_match('/^\d{1,2}$/D', $given) === 1 && (int) $given <= LateTerms::MOST_LEAD
            ? (int) $given
            : throw new InvalidOptionException(
                __('rulebook.no_lead', ['given' => is_string($given) ? $given : '', 'most' => (string) LateTerms::MOST_LEAD]),
            );
    }

    /** @return array<string, mixed> */
    private function data(DomainName $domain, Instant $now, Standing $standing, ?RollCase $file, ?Readiness $readiness): array
    {
        return [
            'name' => $domain->ascii,
            'unicode' => $domain->unicode,
            'at' => $now->isoSecond(),
            'rules' => $standing->lifecycle->rules->isDefault ? 'default' : $domain->suffix(),
            'held' => $file === null
                    ? null
                    : ['client' => $file->clientName, 'registrar' => $file->registrarName(), 'account' => $file->account()?->number],
            'standing' => [
                'phase' => $standing->lifecycle->phase->value,
                'presumed' => $standing->lifecycle->presumed,
                'next' => ['kind' => $standing->next->value, 'at' => $standing->at, 'sum' => $standing->sum],
                'findings' => $standing->findings,
            ],
            'to_come' => array_map(fn (Event $event): array => $event->jsonSerialize(), $standing->lifecycle->toCome()),
            'handover' => $readiness === null
                    ? null
                    : ['verdict' => $readiness->verdict->value, 'from' => $readiness->from, 'findings' => $readiness->findings],
        ];
    }
}
