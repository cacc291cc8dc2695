{{-- What changes for the names. --}}
<section class="card" aria-label="{{ __('handover.show.what_changes') }}">
    <table class="sheet low keep">
        <thead>
            <tr>
                <th scope="col">{{ __('handover.show.what_changes') }}</th>
                <th scope="col">{{ __('handover.show.before') }}</th>
                <th scope="col">{{ __('handover.show.after') }}</th>
            </tr>
        </thead>
        <tbody>
            <tr>
                <th scope="row">{{ __('common.account') }}</th>
                <td>{{ $givers->map(fn($group) => $group[0]->file->account()?->number)->join(', ') }}</td>
                <td>{{ $receiver?->number ?? __('handover.show.to_be_chosen') }}</td>
            </tr>
            <tr>
                <th scope="row">{{ __('handover.show.held_for') }}</th>
                <td>{{ collect($judged)->map(fn($one) => $one->file->clientName)->unique()->take(3)->join(', ') }}</td>
                <td>{{ $client?->name ?? __('handover.show.the_same') }}</td>
            </tr>
            <tr>
                <th scope="row">{{ __('handover.show.who_pays_for_renewals') }}</th>
                <td>{{ $givers->map(fn($group) => __(
                    'accounts.show.trail',
                    ['number' => $group[0]->file->account()?->number],
                ))->take(3)->join(', ') }}
                </td>
                <td>{{ $receiver === null ? __('handover.show.to_be_chosen') : __(
                    'handover.show.payer',
                    ['number' => $receiver->number, 'owner' => $receiver->owner?->name ?? __('handover.show.us')],
                ) }}
                </td>
            </tr>
            @if ($registrant !== null)
                <tr>
                    <th scope="row">{{ __('common.registrant') }}</th>
                    <td>{{ collect($judged)->map(fn($one) => $one->file->registrant)->unique()->take(3)->join(', ') }}</td>
                    <td><bdi>{{ $registrantCalled }}</bdi></td>
                </tr>
            @endif
            <tr>
                <th scope="row">
                    {{ $registrant === null ? __('handover.show.registrant_servers_end') : __('handover.show.servers_end') }}</th>
                <td></td>
                <td>{{ __('handover.show.the_same') }}</td>
            </tr>
        </tbody>
    </table>
</section>
