<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Delegation\Answer;
use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Drawing\PointedServer;
use Acre\Core\Zone\Difference;
use Acre\Core\Zone\DifferenceKind;
use Acre\Core\Zone\EntrySet;
use Acre\Core\Zone\Service;
use App\Support\Dates;

/** What the drawing of where a name points says beside its boxes, and what a difference between two zones comes to. */
final readonly class PointsInWords
{
    /** Characters of a record's data that a table shows. */
    private const SHOWN = 60;

    /** Characters of the fixed face that a box has room for. */
    private const HOST = 38;

    public function __construct(private Words $words)
    {
    }

    /** A host, as far as its box reaches. */
    public function short(string $host): string
    {
        return mb_strlen($host) > self::HOST ? mb_substr($host, 0, self::HOST - 1).'…' : $host;
    }

    /** The line below a server's host. */
    public function server(PointedServer $one): string
    {
        $server = $one->server;
        $said = $server->answer === Answer::Authoritative
            ? $this->words->say('servers.points.serial', ['serial' => (string) $server->serial])
            : $this->words->say("words.answer.{$server->answer->value}");

        return implode(' · ', array_filter([$server->address, $said], is_string(...)));
    }

    /**
     * What a server says itself, in a box of its own; null: it says nothing.
     *
     * @return array{string, string}|null heading and line
     */
    public function child(PointedServer $one): ?array
    {
        $hosts = $one->server->servers;
        if ($hosts === []) {
            return null;
        }
        $shown = implode(', ', array_map(fn (string $host): string => explode('.', $host)[0], $hosts));
        $said = match (true) {
            $one->isBehind => $this->words->say('servers.points.behind'),
            $one->agrees => $this->words->say('servers.points.agrees'),
            default => $this->words->count('servers.points.differs', count($hosts)),
        };

        return [$this->short($shown), $said];
    }

    /** Whether what its servers say can be proved. */
    public function dnssec(?Chain $chain): string
    {
        $state = $chain->state ?? ChainState::NotKnown;

        return $this->words->say("servers.dnssec.{$state->value}", [
            'until' => $chain?->until === null ? '' : Dates::exact($chain->until),
            'fault' => $chain?->fault === null ? '' : $this->words->say('words.fault.'.($chain->signature->value ?? $chain->fault->value)),
        ]);
    }

    /** Seconds in words: two days, four hours. */
    public function span(int $seconds): string
    {
        [$unit, $of] = match (true) {
            $seconds >= 172_800 && $seconds % 86_400 === 0 => ['days', 86_400],
            $seconds >= 3_600 => ['hours', 3_600],
            $seconds >= 60 => ['minutes', 60],
            default => ['seconds', 1],
        };

        return $this->words->count("servers.points.{$unit}", (int) round($seconds / $of));
    }

    public function data(?EntrySet $set): string
    {
        $data = implode(', ', $set->data ?? []);

        return mb_strlen($data) > self::SHOWN ? mb_substr($data, 0, self::SHOWN - 1).'…' : $data;
    }

    /** What becomes of it, if it is left so; nothing where nothing is lost. */
    public function leftSo(Difference $one): string
    {
        return match ($one->kind()) {
            DifferenceKind::New => $this->words->say('servers.left.new'),
            DifferenceKind::OtherTime => $this->words->say('servers.left.other_time'),
            DifferenceKind::Gone => $this->words->say('servers.left.gone.'.$one->service()->value),
            DifferenceKind::Other => $this->words->say('servers.left.other.'.$one->service()->value),
        };
    }

    /** Whether somebody must look at it. */
    public function isBad(Difference $one): bool
    {
        return $one->isLoss() && ! ($one->kind() === DifferenceKind::Other && $one->service() === Service::Web);
    }
}
