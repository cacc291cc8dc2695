<?php

declare(strict_types=1);

namespace App\Http\Servers;

use App\Actions\Names\GatherNames;
use App\Actions\Outside\LookAtServers;
use App\Actions\Registrar\ChangeKeys;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Servers\AskServers;
use App\Http\Deeds\DeedRequest;
use App\Jobs\LookAtSome;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Asks name servers what they have of the names that are to get them, and says how far that is. */
final readonly class AskServersController
{
    /** Names that are asked about while somebody waits. */
    private const AT_ONCE = 50;

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

    /** Whatever its name servers and its registry say of its keys is asked now; of many names, each some dozen in a worker. */
    public function keys(DeedRequest $request, LookAtServers $look, Dispatcher $bus): RedirectResponse
    {
        $ids = array_map(fn (HeldCase $file): int => $file->nameId, $this->names($request));
        foreach (array_chunk($ids, self::AT_ONCE) as $place => $some) {
            $place === 0 ? $look->of($some) : $bus->dispatch(new LookAtSome($some));
        }

        return to_route('deeds.show', [
            ChangeKeys::key(),
            ...$request->which(),
            ...$request->word('dnssec') === '' ? [] : ['dnssec' => $request->word('dnssec')],
        ])->with('told', count($ids) > self::AT_ONCE ? $this->words->count('servers.keys_asking', count($ids) - self::AT_ONCE) : null);
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
