<?php

declare(strict_types=1);

namespace App\Http\Clients;

use App\Actions\Clients\MergeClients;
use App\Models\Client;
use App\Queries\Clients\MergedClient;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Making one of two clients that are the same: what would move is shown first. */
final readonly class MergeController
{
    public function __construct(private MergeClients $merge, private MergedClient $merged, private Words $words)
    {
    }

    public function show(Client $client, MergeRequest $request): View|RedirectResponse
    {
        if ($client->merged_into !== null) {
            return to_route('clients.merge', $client->merged_into);
        }
        $other = $request->other();

        return view('clients.merge', [
            'client' => $client,
            'other' => $other,
            'moves' => $other === null ? [] : $this->merged->moves($other->id),
            'words' => $this->words,
            'choices' => ['' => $this->words->say('clients.merge.choose')] +
                Client::query()
                    ->standing()
                    ->where('is_house', false)
                    ->whereKeyNot($client->id)
                    ->orderByRaw('lower(name)')
                    ->pluck('name', 'id')
                    ->all(),
            'alike' => $this->merged->alike($client),
        ]);
    }

    public function store(Client $client, MergeRequest $request): RedirectResponse
    {
        $other = $request->other();
        if ($other === null || ! $this->merge->handle($request->person(), $client, $other)) {
            return to_route('clients.merge', $client)->withErrors([
                'other' => $this->words->say($other?->is_house === true ? 'clients.merge.house' : 'clients.merge.not_there'),
            ]);
        }

        return to_route('clients.show', $client)->with(
            'told',
            $this->words->say('clients.merge.done', ['other' => $other->name, 'kept' => $client->name]),
        );
    }
}
