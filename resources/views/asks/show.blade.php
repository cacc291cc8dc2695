<x-layout :title="__('asks.show.title', ['client' => $ask->client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $ask->client) }}">{{ $ask->client->name }}</a> / {{ __('asks.create.trail') }}</nav>
    <div class="head">
        <div>
            <h1>{{ __('asks.show.title', ['client' => $ask->client->name]) }}</h1>
            <p class="sentence">{{ __('asks.show.sentence.' . $ask->state->value, [
                'by' => App\Support\Dates::full($ask->by()),
                'on' => App\Support\Dates::full($ask->ended_on ?? $ask->asked_on),
                'asked' => App\Support\Dates::full($ask->asked_on),
                'who' => $ask->asker->name,
                'mailbox' => $ask->mailbox,
            ]) }}</p>
        </div>
        @if ($ask->state === App\Models\AskState::Open)
            @can('prepare')
                <form method="post" action="{{ route('asks.withdraw', $ask) }}" class="head-deeds">@csrf<button class="grave">{{
                    __('asks.show.withdraw')
                }}</button></form>
            @endcan
        @endif
    </div>
    <table class="sheet">
        <caption class="hide">{{ __('common.the_names') }}</caption>
        <thead>
            <tr>
                <th class="c-name" scope="col">{{ __('common.name') }}</th>
                <th scope="col">{{ __('asks.create.ends') }}</th>
                <th scope="col" class="sum">{{ __('answers.renewals.price') }}</th>
                <th scope="col">{{ __('asks.show.answer') }}</th>
                <th scope="col">{{ __('asks.show.then') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($ask->lines as $line)
                <tr>
                    <th scope="row"><a class="name" href="{{ route('names.show', $line->name->ascii) }}">{{ $line->name->unicode }}</a></th>
                    <td data-label="{{ __('asks.create.ends') }}">{{ App\Support\Dates::full($line->ends()) }}</td>
                    <td class="sum" data-label="{{ __('answers.renewals.price') }}">{{ $line->sum()?->text() ?? '' }}</td>
                    <td data-label="{{ __('asks.show.answer') }}">{{ match ($line->answer) {
                        'keep' => trans_choice('asks.show.keep', $line->years ?? 1, ['count' => $line->years ?? 1]),
                        'lapse' => __('asks.show.lapse'),
                        default => __('asks.show.' . match (true) {
                            $ask->state !== App\Models\AskState::Open => 'none',
                            in_array($line->name_id, $still, true) => 'none_yet',
                            default => 'no_longer',
                        }),
                    } }}</td>
                    <td data-label="{{ __('asks.show.then') }}">
                        @if ($line->docket_id !== null)
                            <a class="in-text" href="{{ route('dockets.show', $line->docket_id) }}">{{ __('asks.show.docket', [
                                'id' => $line->docket_id,
                            ]) }}</a>
                        @elseif ($line->answer === 'keep')
                            <a class="in-text is-soon" href="{{ route('deeds.show', [
                                'renew',
                                'name' => $line->name->ascii,
                                'years' => $line->years,
                            ]) }}">{{ __('asks.show.not_prepared') }}</a>
                        @elseif ($line->answer === 'lapse')
                            {{ __('asks.show.intends_lapse') }}
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
