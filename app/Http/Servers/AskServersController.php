<?php

declare(strict_types=1);

namespace App\Http\Servers;

use App\Actions\Names\GatherNames;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Servers\AskServers;
use App\Http\Deeds\DeedRequest;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Asks name servers what they have of the names that are to get them, and says how far that is. */
final readonly class AskServersController
{
    public function __construct(
        private ChangeServers $deed,
        private GatherNames $gather,
        private CaseFiles $files,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function store(DeedRequest $request, AskServers $ask): RedirectResponse
    {
        $terms = $this->deed->terms($request->all());
        if ($terms !== null) {
            foreach ($this->deed->bySet($this->names($request), $terms) as [$set, $ids]) {
                if ($set->servers !== []) {
                    $ask->want($ids, $set);
                }
            }
        }

        return to_route('deeds.show', [
            ChangeServers::key(),
            ...$request->which(),
            ...$terms === null ? [] : $this->deed->said($terms),
        ]);
    }

    public function state(DeedRequest $request): JsonResponse
    {
        $terms = $this->deed->terms($request->all());
        $open = $terms === null ? 0 : $this->deed->picture($this->names($request), $terms, $this->clock->now())['open'];
        $open = is_int($open) ? $open : 0;

        return new JsonResponse(['waiting' => $open, 'told' => $this->words->count('servers.asking', $open)]);
    }

    /** @return list<HeldCase> */
    private function names(DeedRequest $request): array
    {
        $ids = $request->names($this->gather) ?? [];

        return array_values($this->files->held($ids, $this->clock->now()));
    }
}
