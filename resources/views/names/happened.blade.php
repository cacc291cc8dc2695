{{-- Who held it when, and who changed what. --}}
<section class="card" aria-labelledby="happened">
    <h2 id="happened">{{ __('names.show.history') }} <span class="aside"><a
                href="{{ route('names.history', $name) }}">{{ __('names.history.see') }}</a></span></h2>
    <form class="ask" method="get">
        <label for="on">{{ __('names.show.who_held_it_and_who_was_the') }}</label> <input id="on" type="date"
            name="on" value="{{ $on?->date() }}"> <button>{{ __('common.show') }}</button>
        @if ($on !== null)
            <p role="status">{{ __('names.show.on', ['on' => App\Support\Dates::full($on)]) }} @forelse ($heldOn as $one)
                    <strong>{{ __(
                        $loop->first ? 'names.show.in_account' : 'names.show.then_in_account',
                        ['account' => $one->account, 'client' => $one->client],
                    ) }}</strong>
                    @if ($one->docket !== null)
                        (<a
                            href="{{ route('dockets.show', $one->docket) }}">{{
                                __('names.show.docket_number', ['docket' => $one->docket])
                            }}</a>)
                    @endif{{ $loop->last ? '.' : ', ' }}@empty<strong>{{ __('common.not_known') }}</strong>.
                    {{ $chain->knownSince() === null ? '' : __(
                        'names.show.known_since',
                        ['day' => App\Support\Dates::full($chain->knownSince())],
                    ) }}
                    @endforelse {{ __('names.show.registrant') }} @forelse ($registrantsOn as $one)
                        {{ $loop->first ? '' : __('names.show.and_then') }}
                        <strong><bdi>{{ $one }}</bdi></strong>{{ $loop->last ? '.'
                            : ', ' }}@empty<strong>{{ __('common.not_known') }}</strong>.
                    @endforelse
            </p>
        @endif
    </form>
    <dl class="facts facts-wide">
        @foreach (array_reverse($chain->holdings) as $holding)
            <div>
                <dt>{{ $holding->span->from === null
                    ? __('names.show.since_it_was_first_known')
                    : App\Support\Dates::full($holding->span->from) }}
                </dt>
                <dd>{{ __(
                    $loop->last ? 'names.show.first_in' : 'names.show.handed_to',
                    ['account' => $holding->account, 'client' => $holding->client],
                ) }}
                    @if ($holding->span->until !== null)
                        <span
                            class="lesser">{{ __(
                                'names.show.until',
                                ['until' => App\Support\Dates::full($holding->span->until)],
                            ) }}</span>
                    @endif
                </dd>
                <dd>
                    @if ($holding->docket !== null)
                        <a
                            href="{{ route('dockets.show', $holding->docket) }}">{{ __(
                                'names.show.docket_number',
                                ['docket' => $holding->docket],
                            ) }}</a>
                    @endif
                </dd>
            </div>
        @endforeach
    </dl>
    @if ($roles->contains(fn($role) => $role->span->until !== null))
        <h3>{{ __('names.show.registrants') }}</h3>
        <dl class="facts facts-wide">
            @foreach ($roles->filter(fn($role) => $role->role === Acre\Core\Contact\RoleKind::Registrant) as $role)
                <div>
                    <dt>{{ $role->span->from === null
                        ? __('names.show.since_it_was_first_known')
                        : App\Support\Dates::full($role->span->from) }}
                    </dt>
                    <dd><a
                            href="{{ route('contacts.show', $role->contact_id) }}"><bdi>{{ $role->contact->today->called }}</bdi></a>
                        @if ($role->span->until !== null)
                            <span
                                class="lesser">{{ __(
                                    'names.show.until',
                                    ['until' => App\Support\Dates::full($role->span->until)],
                                ) }}</span>
                        @endif
                    </dd>
                    <dd>
                        @if ($role->docket_id !== null)
                            <a
                                href="{{ route('dockets.show', $role->docket_id) }}">{{ __(
                                    'names.show.docket_3',
                                    ['docket_id' => $role->docket_id],
                                ) }}</a>
                        @endif
                    </dd>
                </div>
            @endforeach
        </dl>
    @endif
    @if ($happened !== [])
        <details class="log">
            <summary>{{ __('names.show.log_entries', ['happened' => count($happened)]) }}</summary>
            <dl class="facts facts-wide">
                @foreach ($happened as $entry)
                    <div>
                        <dt>{{ App\Support\Dates::exact($entry->instant('trade_at')) }}</dt>
                        <dd>{{ $words->say('log.' . $entry->text('event')) }}<span
                                class="lesser">{{ $entry->textOrNull('person') ?? __('common.acre_roll') }}</span></dd>
                        <dd>
                            @if (is_int($entry->json('data')['docket'] ?? null))
                                <a
                                    href="{{ route('dockets.show', $entry->json('data')['docket']) }}">{{ __(
                                        'names.show.docket_number',
                                        ['docket' => $entry->json('data')['docket']],
                                    ) }}</a>
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </details>
    @endif
</section>
