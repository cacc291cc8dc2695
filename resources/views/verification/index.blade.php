<x-layout title="To be verified" area="People">
    @include('contacts.ways')
    <div class="head"><h1>To be verified</h1><p class="head-deeds"><a class="button" href="{{ route('letter-texts.index') }}">What our letters say</a></p></div>
    <p class="sentence">@if ($rows === [])No registrant has to show today that a mailbox is theirs.@else{{ $next !== null && $isFirst ? 'The first '.count($rows).' mailboxes' : (count($rows) === 1 ? 'One mailbox' : count($rows).' mailboxes') }}, {{ number_format(array_sum(array_map(fn ($row) => $row->int('names'), $rows))) }} names: what goes dark first stands first. One answer serves every name that carries the mailbox.@endif</p>
    @if ($rows === [])
        <div class="empty"><h2>Nothing is open</h2><p>A registration, a transfer in, or another name, organisation or mailbox of a registrant asks for it; letters then go by themselves.</p></div>
    @else
    <table class="sheet board">
        <thead><tr><th scope="col">By</th><th scope="col">Mailbox</th><th scope="col">Names</th><th scope="col">Where it stands</th><th scope="col">What to do</th></tr></thead>
        <tbody>
        @foreach ($rows as $row)
            @php($by = $row->instant('by')->toDay())
            @php($isLate = $by->hasComeAt($now))
            @php($isSilent = in_array($row->int('mailbox_id'), $silent, true))
            @php($fails = in_array($row->textOrNull('letter_state'), ['returned', 'refused'], true) || $row->text('takes_mail') === 'no')
            <tr>
                <th scope="row" class="date"><span class="{{ $isLate ? 'is-bad' : ($today->daysUntil($by) <= 3 ? 'is-soon' : '') }}">{{ App\Support\Dates::full($by) }}</span><span class="lesser">{{ $isLate ? 'switched off by the rules' : ($today->daysUntil($by) === 1 ? 'tomorrow' : 'in '.$today->daysUntil($by).' days') }}</span></th>
                <td data-label="Mailbox"><a class="mono" href="{{ route('contacts.show', $row->int('contact_id')) }}">{{ $row->text('address') }}</a><span class="lesser">{{ implode(', ', array_unique([$row->text('called'), $row->text('client_name')])) }}</span></td>
                <td data-label="Names"><a href="{{ route('roll', ['contact' => $row->int('contact_id'), 'finding' => $isLate ? 'contact.verification_lapsed' : 'contact.verify_by']) }}">{{ $row->int('names') === 1 ? $row->text('example') : number_format($row->int('names')).' names' }}</a></td>
                <td data-label="Where it stands">
                    @if ($row->textOrNull('objection') !== null)<span class="is-bad">{{ $row->textOrNull('objection_by') === 'mail' ? 'They wrote back:' : 'Said to be wrong:' }}</span> <bdi>{{ $row->text('objection') }}</bdi>
                    @elseif ($row->int('by_house') === 0){{ $row->instant('verified_on') === null ? '' : __('contacts.verification.by_us.'.($row->textOrNull('verified_by') ?? 'letter'), ['day' => App\Support\Dates::full($row->instant('verified_on'))]).' ' }}{{ __('contacts.verification.registrar_waits', ['senders' => $row->textOrNull('senders') ?? '']) }}
                    @elseif ($row->textOrNull('letter_state') === null)No letter was written yet.
                    @else<span class="{{ $fails ? 'is-bad' : '' }}">Our letter of {{ App\Support\Dates::full($row->instant('letter_on')) }} {{ $words->say('letters.state.'.$row->text('letter_state')) }}</span>@if ($row->textOrNull('letter_answer') !== null)<span class="lesser"><bdi>{{ $row->text('letter_answer') }}</bdi></span>@endif @endif
                    @if ($row->int('by_house') > 0 && $row->textOrNull('senders') !== null)<span class="reason">{{ __('contacts.verification.also_waits', ['senders' => $row->text('senders')]) }}</span>@endif
                    @if (App\Queries\Verification\ReadBoard::cannotMeet($row, $now))<span class="is-bad reason">{{ __('contacts.verification.too_late') }}</span>@endif
                    @if ($isSilent)<span class="is-bad reason">Nobody has answered since {{ App\Support\Dates::full($row->instant('asked_on')) }}: perhaps nobody reads it. Give another mailbox, call, or ask {{ $row->textOrNull('client_name') ?? 'whom it belongs to' }}.</span>@endif
                    @if ($row->textOrNull('forwards_to') !== null)<span class="lesser">answered from <bdi>{{ $row->text('forwards_to') }}</bdi>: it only forwards</span>@endif
                    @if ($row->text('takes_mail') === 'no')<span class="lesser is-bad">its host takes no mail</span>@endif
                </td>
                <td data-label="What to do" class="ways-out">
                    @can('prepare')
                        @if ($fails || $isSilent || $row->textOrNull('objection') !== null)<a class="button main" href="{{ route('contacts.edit', $row->int('contact_id')) }}">{{ $fails || $isSilent ? 'Give another mailbox' : 'Correct it' }}</a>@elseif ($row->int('by_house') > 0)<form method="post" action="{{ route('verification.again', $row->int('mailbox_id')) }}" data-once>@csrf<button>Write again</button></form>@endif
                        <details class="menu word"><summary>{{ $fails || $isSilent || $row->textOrNull('objection') !== null || $row->int('by_house') > 0 ? 'Otherwise' : 'Settle it' }}</summary><div class="menu-sheet">
                            @can('settle')<form method="post" action="{{ route('verification.store', $row->int('mailbox_id')) }}" data-once>@csrf
                                <x-field name="by" :id="'by-'.$row->int('mailbox_id')" type="choice" label="It was verified" :options="['call' => 'by a call', 'registrar' => 'in answer to the registrar’s letter']"/>
                                <x-field name="words" :id="'w-'.$row->int('mailbox_id')" label="What proves it" maxlength="900" required/>
                                <p><button>Write it down</button></p></form>@endcan
                            @if ($row->textOrNull('objection') !== null)<form method="post" action="{{ route('verification.settle', $row->int('mailbox_id')) }}">@csrf<p><button>{{ $row->textOrNull('objection_by') === 'mail' ? 'It is dealt with' : 'What was wrong is put right' }}</button></p></form>@endif
                            <a href="{{ route('contacts.edit', $row->int('contact_id')) }}">Give it another mailbox</a>
                        </div></details>
                    @endcan
                </td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @endif
    <nav class="turn" aria-label="Pages">
        @unless ($isFirst)<a href="{{ route('verification.index') }}">Back to what goes dark first</a>@endunless
        @if ($next !== null)<a href="{{ route('verification.index', ['after' => $next]) }}" rel="next">The next {{ App\Queries\Verification\ReadBoard::PAGE }}</a>@endif
    </nav>
</x-layout>
