<x-layout :title="__('common.verification')" area="People">
    @include('contacts.ways')
    <div class="head">
        <h1>{{ __('common.verification') }}</h1>
        <p class="head-deeds"><a class="button" href="{{ route('letter-texts.index') }}">{{ __('common.letter_templates') }}</a></p>
    </div>
    <p class="sentence">
        @if ($rows === [])
            {{ __('verification.index.no_registrant_has_to_verify_a') }}@else{{ trans_choice(
                $next !== null && $isFirst ? 'verification.index.first' : 'verification.index.count',
                count($rows),
                ['count' => count($rows), 'names' => number_format(array_sum(array_map(fn($row) => $row->int('names'), $rows)))],
            ) }}
            {{ __('verification.index.order') }}
        @endif
    </p>
    @if ($rows === [])
        <div class="empty">
            <h2>{{ __('verification.index.nothing_to_verify') }}</h2>
            <p>{{ __('verification.index.a_registration_a_transfer_in') }}</p>
        </div>
    @else
        <table class="sheet board">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.by') }}</th>
                    <th scope="col">{{ __('common.mailbox') }}</th>
                    <th scope="col">{{ __('common.names') }}</th>
                    <th scope="col">{{ __('verification.index.status') }}</th>
                    <th scope="col">{{ __('common.what_to_do') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    @php($by = $row->instant('by')->toDay())
                    @php($isLate = $by->hasComeAt($now))
                    @php($isSilent = in_array($row->int('mailbox_id'), $silent, true))
                    @php($fails = in_array(
                        $row->textOrNull('letter_state'),
                        ['returned', 'refused'],
                        true,
                    ) || $row->text('takes_mail') === 'no')
                    <tr>
                        <th scope="row" class="date"><span
                                class="{{ $isLate
                                    ? 'is-bad'
                                    : ($today->daysUntil($by) <= 3 ? 'is-soon' : '') }}">{{ App\Support\Dates::full($by) }}</span><span
                                class="lesser">{{ $isLate
                                    ? __('verification.index.suspended_by_the_rules')
                                    : trans_choice('verification.index.in_days', $today->daysUntil($by)) }}</span>
                        </th>
                        <td data-label="{{ __('common.mailbox') }}"><a class="mono"
                                href="{{ route('contacts.show', $row->int('contact_id')) }}">{{ $row->text('address') }}</a><span
                                class="lesser">{{ implode(', ', array_unique([$row->text('called'), $row->text('client_name')])) }}</span>
                        </td>
                        <td data-label="{{ __('common.names') }}"><a
                                href="{{ route(
                                    'roll',
                                    [
                                        'contact' => $row->int('contact_id'),
                                        'finding' => $isLate ? 'contact.verification_lapsed' : 'contact.verify_by',
                                    ],
                                ) }}">{{ $row->int('names') === 1
                                    ? $row->text('example')
                                    : number_format($row->int('names')) . ' names' }}</a>
                        </td>
                        <td data-label="{{ __('verification.index.status') }}">
                            @if ($row->textOrNull('objection') !== null)
                                <span
                                    class="is-bad">{{ $row->textOrNull('objection_by') === 'mail'
                                        ? __('verification.index.they_replied')
                                        : __('verification.index.reported_as_wrong') }}</span>
                                <bdi>{{ $row->text('objection') }}</bdi>
                            @elseif ($row->int('by_house') === 0)
                                {{ $row->instant('verified_on') === null ? '' : __(
                                    'contacts.verification.by_us.' . ($row->textOrNull('verified_by') ?? 'letter'),
                                    ['day' => App\Support\Dates::full($row->instant('verified_on'))],
                                ) . ' ' }}{{ __(
                                    'contacts.verification.registrar_waits',
                                    ['senders' => $row->textOrNull('senders') ?? ''],
                                ) }}
                            @elseif ($row->textOrNull('letter_state') === null)
                                {{ __('verification.index.no_letter_sent_yet') }}
                            @else<span
                                    class="{{ $fails ? 'is-bad' : '' }}">{{ __(
                                        'verification.index.our_letter_of',
                                        [
                                            'letter_on' => App\Support\Dates::full($row->instant('letter_on')),
                                            'letter_state' => $words->say('letters.state.' . $row->text('letter_state')),
                                        ],
                                    ) }}</span>
                                @if ($row->textOrNull('letter_answer') !== null)
                                    <span class="lesser"><bdi>{{ $row->text('letter_answer') }}</bdi></span>
                                @endif
                            @endif
                            @if ($row->int('by_house') > 0 && $row->textOrNull('senders') !== null)
                                <span
                                    class="reason">{{ __('contacts.verification.also_waits', ['senders' => $row->text('senders')]) }}</span>
                            @endif
                            @if (App\Queries\Verification\ReadBoard::cannotMeet($row, $now))
                                <span class="is-bad reason">{{ __('contacts.verification.too_late') }}</span>
                            @endif
                            @if ($isSilent)
                                <span
                                    class="is-bad reason">{{ __(
                                        $row->textOrNull('client_name') === null
                                            ? 'verification.index.silent'
                                            : 'verification.index.silent_client',
                                        [
                                            'day' => App\Support\Dates::full($row->instant('asked_on')),
                                            'client' => $row->textOrNull('client_name'),
                                        ],
                                    ) }}</span>
                            @endif
                            @if ($row->textOrNull('forwards_to') !== null)
                                <span class="lesser"><x-sentence of="verification.index.forwards">
                                <x-slot:other><bdi>{{ $row->text('forwards_to') }}</bdi></x-slot>
                                </x-sentence></span>
                            @endif
                            @if ($row->text('takes_mail') === 'no')
                                <span class="lesser is-bad">{{ __('verification.index.domain_accepts_no_e_mail') }}</span>
                            @endif
                        </td>
                        <td data-label="{{ __('common.what_to_do') }}" class="ways-out">
                            @can('prepare')
                                @if ($fails || $isSilent || $row->textOrNull('objection') !== null)
                                    <a class="button main"
                                        href="{{ route('contacts.edit', $row->int('contact_id')) }}">{{ $fails || $isSilent
                                            ? __('verification.index.change_the_mailbox')
                                            : __('verification.index.correct_the_contact') }}</a>
                                @elseif ($row->int('by_house') > 0)
                                    <form method="post" action="{{ route('verification.again', $row->int('mailbox_id')) }}" data-once>
                                        @csrf<button>{{ __('common.write_again') }}</button></form>
                                @endif
                                <details class="menu word">
                                    <summary>
                                        {{ $fails || $isSilent || $row->textOrNull('objection') !== null || $row->int('by_house') > 0
                                            ? __('common.more')
                                            : __('verification.index.settle') }}
                                    </summary>
                                    <div class="menu-sheet">
                                        @can('settle')
                                            <form method="post" action="{{ route('verification.store', $row->int('mailbox_id')) }}"
                                                data-once>
                                                @csrf
                                                <x-field name="by" :id="'by-' . $row->int('mailbox_id')" type="choice"
                                                    :label="__('verification.index.verified')" :options="[
                                                    'call' => __('verification.index.by_telephone'),
                                                    'registrar' => __('verification.index.in_answer_to_the_registrars'),
                                                ]" />
                                                <x-field name="words" :id="'w-' . $row->int('mailbox_id')"
                                                    :label="__('verification.index.evidence')" maxlength="900" required/>
                                                <p><button>{{ __('verification.index.add_the_note') }}</button></p>
                                            </form>
                                        @endcan
                                        @if ($row->textOrNull('objection') !== null)
                                            <form method="post" action="{{
                                                route('verification.settle', $row->int('mailbox_id'))
                                            }}">@csrf<p>
                                                    <button>{{ $row->textOrNull('objection_by') === 'mail'
                                                        ? __('verification.index.mark_as_settled')
                                                        : __('verification.index.mark_as_corrected') }}</button>
                                                </p>
                                            </form>
                                        @endif
                                        <a
                                            href="{{
                                                route('contacts.edit', $row->int('contact_id'))
                                            }}">{{ __('verification.index.change_the_mailbox') }}</a>
                                    </div>
                                </details>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <nav class="turn" aria-label="{{ __('common.pages') }}">
        @unless ($isFirst)
            <a href="{{ route('verification.index') }}">{{ __('verification.index.back_to_the_first') }}</a>
        @endunless
        @if ($next !== null)
            <a href="{{ route('verification.index', ['after' => $next]) }}"
                rel="next">{{ __('verification.index.next', ['most' => App\Queries\Verification\ReadBoard::PAGE]) }}</a>
        @endif
    </nav>
</x-layout>
