<x-layout title="Accounts" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('registrars.index') }}">Registrars</a> / Accounts</nav>
    <div class="head">
        <div><h1>Accounts</h1><p class="sentence">Panels at registrars: a number, a login, and whose they are.</p></div>
        @can('prepare')<p class="head-deeds"><a class="button" href="{{ route('accounts.create') }}">Write down an account</a></p>@endcan
    </div>
    <form class="ask" method="get"><label for="q">Any part of number, login, handle, mailbox, {{ __(':served') }} or registrar</label> <input id="q" name="q" value="{{ $text }}" maxlength="200"> <button>Find</button></form>
    @if ($accounts->isEmpty())
        <div class="empty"><h2>{{ $text === '' ? 'No account yet' : 'No account answers to “'.$text.'”' }}</h2><p>{{ $text === '' ? 'Write down a registrar first, then the accounts at it.' : 'Try a shorter part of it.' }}</p></div>
    @else
    <table class="sheet">
        <thead><tr><th scope="col">Account</th><th scope="col">Registrar</th><th scope="col">Login, mailbox, handle</th><th scope="col">Whose</th><th scope="col">Access</th><th scope="col" class="sum">Names</th></tr></thead>
        <tbody>
        @foreach ($accounts as $account)
            <tr>
                <th scope="row"><a class="name" href="{{ route('accounts.show', $account) }}">{{ $account->number }}</a></th>
                <td data-label="Registrar">{{ $account->registrar->name }}</td>
                <td data-label="Known by">{{ implode(' · ', array_filter([$account->login, $account->mailbox, $account->handle])) }}<span class="lesser">{{ $account->proven_at === null ? 'unproven that they belong together' : 'known to belong together since '.App\Support\Dates::full($account->proven_at) }}</span></td>
                <td data-label="Whose">{{ $account->owner?->name ?? 'the house’s own' }}</td>
                <td data-label="Access">{{ $account->access }}</td>
                <td class="sum" data-label="Names"><a href="{{ route('roll', ['account' => $account->id]) }}">{{ number_format(($tallies[$account->id] ?? null)?->int('names') ?? 0) }}</a></td>
            </tr>
        @endforeach
        </tbody>
    </table>
    <x-cut :shown="count($accounts)" :most="App\Http\Accounts\AccountController::LISTED">The form above finds the others.</x-cut>
    @endif
</x-layout>
