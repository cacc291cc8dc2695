<x-layout :title="__('common.accounts')" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('registrars.index') }}">{{ __('common.registrars') }}</a> / {{ __('common.accounts') }}</nav>
    <div class="head">
        <div>
            <h1>{{ __('common.accounts') }}</h1>
            <p class="sentence">{{ __('accounts.index.accounts_at_registrars_the') }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('accounts.create') }}">{{ __('accounts.index.add_an_account') }}</a></p>
        @endcan
    </div>
    <form class="ask" method="get"><label for="q">{{ __('accounts.index.any_part_of_number_login') }}</label> <input
            id="q" name="q" value="{{ $text }}" maxlength="200"> <button>{{ __('common.find') }}</button></form>
    @if ($accounts->isEmpty())
        <div class="empty">
            <h2>{{ $text === '' ? __('accounts.index.no_account_yet') : __('accounts.index.no_account_matches', ['text' => $text]) }}</h2>
            <p>{{ $text === '' ? __('accounts.index.add_a_registrar_first_then_its') : __('accounts.index.try_a_shorter_piece_of_text') }}
            </p>
        </div>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.account') }}</th>
                    <th scope="col">{{ __('common.registrar') }}</th>
                    <th scope="col">{{ __('accounts.index.login_mailbox_handle') }}</th>
                    <th scope="col">{{ __('common.owner') }}</th>
                    <th scope="col">{{ __('accounts.index.access') }}</th>
                    <th scope="col" class="sum">{{ __('common.names') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($accounts as $account)
                    <tr>
                        <th scope="row"><a class="name" href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a></th>
                        <td data-label="{{ __('common.registrar') }}">{{ $account->registrar->name }}</td>
                        <td data-label="{{ __('common.served') }}">
                            {{ implode(' · ', array_filter([$account->login, $account->mailbox, $account->handle])) }}<span
                                class="lesser">{{ $account->proven_at === null ? __('accounts.index.not_confirmed_to_belong') : __(
                                    'accounts.index.confirmed_to_belong_together',
                                    ['proven_at' => App\Support\Dates::full($account->proven_at)],
                                ) }}</span>
                        </td>
                        <td data-label="{{ __('common.owner') }}">{{ $account->owner?->name ?? __('common.our_own') }}</td>
                        <td data-label="{{ __('accounts.index.access') }}">{{ $account->access }}</td>
                        <td class="sum" data-label="{{ __('common.names') }}"><a
                                href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format(
                                    ($tallies[$account->id] ?? null)?->int('names') ?? 0,
                                ) }}</a>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :shown="count($accounts)" :most="App\Http\Accounts\AccountController::LISTED">{{ __('accounts.index.others') }}</x-cut>
    @endif
</x-layout>
