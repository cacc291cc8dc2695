@php($isOpen = $handing->closed_on === null)
<x-layout :title="__('custody.handing.access_of_to', ['from' => $handing->from->name, 'to' => $handing->to->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('custody.index') }}">{{ __('common.account_access') }}</a> / <a
            href="{{ route('custody.show', $handing->from) }}">{{ $handing->from->name }}</a></nav>
    <div class="head">
        <div>
            <h1>{{ __('custody.handing.hand_over_the_access_of_to', ['from' => $handing->from->name, 'to' => $handing->to->name]) }}</h1>
            <p class="sentence">
                {{ __(
                    'custody.handing.started_on_by',
                    ['opened_on' => App\Support\Dates::full($handing->opened_on), 'opener' => $handing->opener->name],
                ) }}
                @if ($isOpen)
                <span class="is-move">{{ trans_choice('custody.handing.left', $open) }}</span>@else<span
                        class="is-good">{{ __(
                            'custody.handing.closed_on_every_account_is',
                            ['closed_on' => App\Support\Dates::full($handing->closed_on)],
                        ) }}</span>
                @endif
            </p>
        </div>
        <div class="head-deeds"><button type="button"
                data-print>{{ $isOpen ? __('custody.handing.print_the_slip') : __('common.print') }}</button></div>
    </div>
    <form method="post" action="{{ route('custody.handing.end', $handing) }}" id="slip">
        @csrf
        <table class="sheet">
            <caption class="hide">{{ __('custody.handing.accounts_and_what_to_do_at') }}</caption>
            <thead>
                <tr>
                    @if ($isOpen)
                        <th class="c-tick" scope="col"><span class="hide">{{ __('common.select') }}</span></th>
                    @endif
                    <th scope="col">
                        {{ __('common.account') }}</th>
                    <th scope="col">{{ __('common.what_to_do') }}</th>
                    <th scope="col">{{ __('custody.handing.outcome') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($handing->lines as $line)
                    @php($called = $line->account->registrar->name . ' ' . $line->account->number)
                    <tr>
                        @if ($isOpen)
                            <td class="c-tick">
                                @if ($line->state === App\Models\HandingState::Open)
                                    <input type="checkbox" name="accounts[]" value="{{ $line->account_id }}" @checked(in_array(
                                        (string) $line->account_id,
                                        (array) old('accounts', []),
                                        true,
                                    ))
                                        aria-label="{{ $called }}">
                                @endif
                            </td>
                        @endif
                        <th scope="row"><a href="{{ route('accounts.show', $line->account) }}">{{ $called }}</a>
                            @if ($line->account->login !== null)
                                <span class="lesser">{{ __('custody.handing.login', ['login' => $line->account->login]) }}</span>
                            @endif
                        </th>
                        <td data-label="{{ __('common.what_to_do') }}">
                            <ol class="steps">
                                @foreach ($line->had() as $part)
                                    <li>{{ $words->say(
                                        $line->state === App\Models\HandingState::Open
                                            && ($custody[$line->account_id]['custody'] ?? null)?->has($handing->to_id, $part) === true
                                                && $part !== Acre\Core\Custody\CustodyPart::Card
                                            ? 'contacts.custody.has_already'
                                            : 'contacts.custody.do.' . $part->value,
                                        ['who' => $handing->from->name, 'next' => $handing->to->name],
                                    ) }}
                                    </li>
                                @endforeach
                            </ol>
                        </td>
                        <td data-label="{{ __('custody.handing.outcome') }}">
                            @if ($line->state === App\Models\HandingState::Open)
                                <span class="is-move">{{ __('custody.handing.to_do') }}</span>
                            @elseif ($line->state === App\Models\HandingState::Done)
                                <span class="is-good">{{ __('custody.handing.done') }}</span>
                                {{ __(
                                    'custody.handing.on',
                                    ['ended_on' => App\Support\Dates::full($line->ended_on)],
                                ) }}@if ($line->ender !== null)
                                    {{ __('custody.handing.by', ['ender' => $line->ender->name]) }}
                            @endif @else<span class="is-soon">{{ __('common.unchanged') }}</span>
                                {{ __('custody.handing.on', ['ended_on' => App\Support\Dates::full($line->ended_on)]) }}<span
                                    class="lesser"><bdi>{{ $line->words }}</bdi></span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </form>
    @if ($handing->proof !== null)
        <section class="card apart" aria-labelledby="proof">
            <h2 id="proof">{{ __('custody.handing.the_proof') }}</h2>
            <p><x-sentence of="custody.handing.proof_text"><x-slot:digest><span
                            class="mono">{{ $handing->proof->sha256 }}</span></x-slot></x-sentence></p>
            <p><a href="{{ route('custody.handing.proof', $handing) }}">{{ __('custody.handing.download_the_text') }}</a></p>
        </section>
    @endif
    @if ($isOpen)
        @can('prepare')
            <x-slot:foot>
                <div class="foot" role="region" aria-label="{{ __('custody.handing.outcome') }}">
                    <div class="foot-say">
                        <p><strong>{{ __('custody.handing.for_the_selected_accounts') }}</strong></p>
                        <p class="lesser">{{ __('custody.handing.a_payment_card_stays_with_its') }}</p>
                    </div>
                    @can('settle')
                        <details class="menu up" @error('words') open @enderror>
                            <summary class="button">{{ __('custody.handing.leave_unchanged') }}</summary>
                            <div class="menu-sheet fields">
                                <label for="words">{{ __('common.why') }}</label><input form="slip" id="words" name="words"
                                    maxlength="1000" value="{{ old('words') }}">
                                <p><button form="slip" name="how" value="left">{{ __('custody.handing.leave_unchanged') }}</button></p>
                            </div>
                        </details>
                    @endcan
                    <button form="slip" name="how" value="done" class="main">{{ __('common.mark_as_done') }}</button>
                </div>
            </x-slot:foot>
        @endcan
    @endif
</x-layout>
