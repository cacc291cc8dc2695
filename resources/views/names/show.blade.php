<x-layout :title="$name->unicode" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> / <a
            href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></nav>
    <div class="head">
        <div class="folio-name">
            <h1 class="name">{{ $name->unicode }}</h1>
            @if ($name->unicode !== $name->ascii)
                <span class="mono lesser">{{ $name->ascii }}</span>
            @endif
        </div>
        @can('prepare')
            <div class="head-deeds">
                @inject('current', App\View\CurrentSheaf::class)
                <form method="post" action="{{ $current->get()->has($name->id) ? route('sheaf.remove') : route('sheaf.add') }}">
                    @csrf
                    @if ($current->get()->has($name->id))
                        @method('patch')
                    @endif
                    <input type="hidden" name="names[]" value="{{ $name->id }}">
                    <button>{{ $current->get()->has($name->id)
                        ? __('names.show.remove_from_the_sheaf')
                        : __('names.show.add_to_the_sheaf') }}</button>
                </form>
                <a class="button main" href="{{ route('hand-over', ['name' => $name->ascii]) }}">{{ __('common.hand_over') }}</a>
                <a class="button" href="{{ route('names.edit', $name) }}">{{ __('common.edit') }}</a>
            </div>
        @endcan
    </div>
    <p class="sentence folio-sentence">
        <x-sentence of="names.show.held_for" :with="['registrar' => $file->account->registrarName]"><x-slot:client><a
                    href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></x-slot><x-slot:account><a
                    href="{{ route('accounts.show', $file->account->id) }}">{{ $file->account->number }}</a></x-slot></x-sentence>
        @foreach ($standing->findings as $finding)
            <span
                class="{{ $loop->first && $standing->severity === Acre\Core\Standing\Severity::Grave
                    ? 'is-bad'
                    : ($finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? ''
                        : 'is-soon') }}">{{ $words->finding($finding) }}.</span>
        @endforeach
    </p>
    @can('prepare')
        @inject('cured', App\View\CureInWords::class)
        @php($cures = $cured->of(
            array_values(array_filter($standing->findings, fn($finding) => $finding->tag->cost() !== Acre\Core\Finding\Cost::Attention)),
            $file,
        ))
        @if ($cures !== [])
            <p class="cures"><span class="label">{{ __('names.cures') }}</span>
                @foreach ($cures as $cure)
                    <span class="cure">
                        @if ($cure->address === null)
                            {{ $cure->said }}
                        @else
                            <a class="button" href="{{ $cure->address }}">{{ $cure->said }}</a>
                        @endif
                    </span>
                @endforeach
            </p>
        @endif
    @endcan
    @foreach ($file->drifts as $drift)
        @continue($drift->tag->isLack())
        <p @class(['told', 'told-bad' => $drift->tag->isAlarming()])><strong>{{ __('names.show.the_registry_says_something') }}</strong>
            <bdi>{{ $words->finding($drift->finding) }}.</bdi> <a
                href="{{ route('record.show', $name->ascii) }}">{{ __('names.show.compare_with_the_registry') }}</a></p>
    @endforeach
    <div class="card drawing" data-drawing>
        <div class="wide"><x-folio-line :drawing="$drawings[0]" id="w" /></div>
        <div class="narrow"><x-folio-line :drawing="$drawings[1]" id="n" /></div>
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="may">
            <h2 id="may">{{ __('names.show.what_you_can_do_today') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('names.show.handover') }}</dt>
                    <dd><x-verdict :readiness="$handover" :words="$words" />
                        <span
                            class="lesser">{{ __('names.show.any_account_at', ['registrar_name' => $file->account->registrarName]) }}</span>
                        @foreach ($handover->findings as $finding)
                            <span class="lesser">{{ $words->finding($finding) }}</span>
                        @endforeach
                    </dd>
                    @can('prepare')<dd>
                            @if ($file->waiting !== null)
                                <a
                                href="{{ route('dockets.show', $file->waiting->docket) }}">{{ __(
                                    'names.show.docket',
                                    ['docket' => $file->waiting->docket],
                                ) }}</a>@else<a
                                    href="{{ route('hand-over', ['name' => $name->ascii]) }}">{{ __('common.start') }}</a>
                            @endif
                        </dd>
                    @endcan
                </div>
                <div>
                    <dt>{{ __('names.show.renewal') }}</dt>
                    <dd>
                        @if ($life->rescue() === Acre\Core\Rulebook\Rescue::Nothing)
                            <span class="is-bad">{{ __('names.show.no_longer_possible') }}</span>
                        @elseif ($life->rescue() === Acre\Core\Rulebook\Rescue::Restore)
                            <span class="is-bad">{{ __('names.show.only_after_a_restore') }}</span>
                        @elseif ($life->addableYears() > 0)
                            {{ trans_choice('names.show.up_to_years', $life->addableYears()) }}
                        @elseif ($life->facts->ends === null)
                            {{ __('names.show.its_expiry_is_not_known') }}
                        @elseif ($life->renewableFrom() !== null)
                            {{ __('names.show.not_before', ['renewable_from' => $words->near($life->renewableFrom())]) }}
                        @else
                            {{ trans_choice('names.show.no_year_fits', $life->rules->yearsAhead->value) }}
                        @endif
                        <span
                            class="lesser">{{ $price }}{{ $life->rules->isDefault
                                ? __('names.show.by_cautious_default_rules')
                                : '' }}</span>
                    </dd>
                    <dd><a href="{{ route('rulebook.show', $name->suffix) }}">{{ __('names.show.rules') }}</a></dd>
                </div>
                <div>
                    <dt>{{ __('names.show.another_registrar') }}</dt>
                    <dd>@php($stopping = $life->facts->againstTransfer()) @if ($stopping !== [])
                            <span class="is-bad">{{ __('names.show.not_now') }}</span><span
                                class="lesser">{{ __(
                                    'names.show.its_status_is',
                                    ['stopping' => implode(', ', array_column($stopping, 'value'))],
                                ) }}</span>
                            @endif @forelse ($life->holdsNow() as $hold)
                                <span
                                    class="is-soon">{{ __(
                                        'names.show.transfer_not_before',
                                        ['until' => $words->near($hold->until)],
                                    ) }}</span><span
                                    class="lesser">{{
                                        $words->say('words.reason.' . $hold->reason->value)
                                    }}</span>@empty @if ($stopping === [])
                                    {{ __('names.show.no_obstacle_known') }}
                                @endif
                            @endforelse
                    </dd>
                </div>
                <div>
                    <dt>{{ __('common.lock') }}</dt>
                    @php($isLocked = $life->facts->isLocked())
                    <dd>
                        @if ($life->rules->mayBeLocked())
                            {{ $words->say('words.lock.' . ($isLocked ? 'on' : $life->facts->lock->value)) }}
                        @else
                            {{ __('names.show.none_under', ['suffix' => $name->suffix]) }}
                        @endif
                    </dd>
                    @can('prepare')@if ($life->rules->hasLock->value)
                        <dd><a
                                href="{{ route(
                                    'deeds.show',
                                    ['change_lock', 'name' => $name->ascii, 'lock' => $isLocked ? 'off' : 'on'],
                                ) }}">{{ $isLocked ? __('names.show.lift_the_lock') : __('names.show.set_the_lock') }}</a>
                        </dd>
                    @endif @endcan
                </div>
                <div>
                    <dt><span class="term" title="{{ $words->say('words.explained.intent') }}">{{ __('common.intent') }}</span></dt>
                    <dd>{{ $words->say('words.intent.' . $life->facts->intent->value) }}</dd>
                    @can('prepare')
                        <dd><a href="{{ route('deeds.show', ['change_auto_renew', 'name' => $name->ascii]) }}">{{ __('common.change') }}</a>
                        </dd>
                    @endcan
                </div>
            </dl>
        </section>
        <section class="card" aria-labelledby="behind">
            <h2 id="behind">{{ __('names.show.registrant_and_contacts') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('common.registrant') }}</dt>
                    <dd>
                        @if ($file->guard === null){{ __('common.not_known') }}
                        @else
                            <a
                                href="{{ route('contacts.show', $file->guard->contact) }}"><bdi>{{ $file->registrant === ''
                                    ? __('names.show.only_a_mailbox_is_known')
                                    : $file->registrant }}</bdi></a>
                            @if ($file->guard->mailbox !== null)
                                <span class="lesser mono">{{ $file->guard->mailbox }}</span>
                            @endif
                        @endif
                        @foreach ($file->behind($life) as $finding)
                            <span @class([
                                'lesser',
                                'is-bad' => $finding->tag->cost() !== Acre\Core\Finding\Cost::Attention,
                            ])>{{ $words->finding($finding) }}</span>
                        @endforeach
                    </dd>
                    @can('prepare')
                        <dd>
                            @if ($file->guard?->told !== null)
                                <a class="reason"
                                    href="{{ route(
                                        'deeds.show',
                                        ['change_registrant', 'name' => $name->ascii, 'contact' => $file->guard->contact, 'correct' => 1],
                                    ) }}">{{ $words->say('words.cure.tell_registrar') }}</a>
                            @endif
                            <a href="{{ route('deeds.show', ['change_registrant', 'name' => $name->ascii]) }}">
                                {{ __('names.show.another') }}</a>
                    </dd>@endcan
                </div>
                @foreach ($roles->filter(
                    fn($role) => $role->span->until === null && $role->role !== Acre\Core\Contact\RoleKind::Registrant,
                ) as $role)
                    <div>
                        <dt>{{ ucfirst($words->say('contacts.role.' . $role->role->value)) }}</dt>
                        <dd><a href="{{ route('contacts.show', $role->contact_id) }}"><bdi>{{ $role->contact->today->called }}</bdi></a>
                        </dd>
                        @can('change', $name)
                            <dd>
                                <form method="post" action="{{ route('names.roles.destroy', $name) }}">@csrf @method('delete')<input
                                        type="hidden" name="contact" value="{{ $role->contact_id }}"><input type="hidden" name="role"
                                        value="{{ $role->role->value }}"><button class="plain">{{ __('common.remove') }}</button></form>
                            </dd>
                        @endcan
                    </div>
                @endforeach
                <div>
                    <dt>{{ __('names.show.client') }}</dt>
                    <dd><a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></dd>
                </div>
                <div>
                    <dt>{{ __('common.account') }}</dt>
                    <dd><a href="{{ route('accounts.show', $file->account->id) }}">{{ $file->account->registrarName }}
                            {{ $file->account->number }}</a><span
                            class="lesser">{{ $file->account->ours
                                ? __('names.show.we_can_sign_in')
                                : __('names.show.we_cant_sign_in') }}</span>
                    </dd>
                </div>
                @if ($file->reference !== '')
                    <div>
                        <dt>{{ __('names.show.registrars_number') }}</dt>
                        <dd class="mono">{{ $file->reference }}</dd>
                    </div>
                @endif
                <div>
                    <dt>{{ __('common.public_record') }}</dt>
                    <dd><a href="{{ route('record.show', $name->ascii) }}">{{ __('names.show.see_the_public_record') }}</a><span
                            class="lesser">{{ __(
                                $registration?->pattern_id === null ? 'names.show.disclosure' : 'names.show.disclosure_pattern',
                                [
                                    'disclosure' => $words->say('words.disclosure.' . $file->disclosure->value),
                                    'pattern' => $registration?->pattern_id === null ? '' : $patterns[$registration->pattern_id],
                                ],
                            ) }}</span>
                        @if ($pattern !== null && $registration?->pattern_id !== $pattern)
                            <span
                                class="lesser is-soon">{{ __('names.show.should_follow', ['pattern' => $patterns[$pattern] ?? '']) }}</span>
                        @endif
                    </dd>
                    @can('prepare')
                        <dd><a
                                href="{{ route(
                                    'deeds.show',
                                    array_filter(['change_disclosure', 'name' => $name->ascii, 'pattern' => $pattern]),
                                ) }}">{{ __('names.show.choose') }}</a>
                        </dd>
                    @endcan
                </div>
                <div>
                    <dt>{{ __('common.name_servers') }}</dt>
                    <dd>
                        @forelse ($file->servers as $host)
                        <span class="mono reason">{{ $host }}</span>@empty {{ __('common.not_known') }}
                        @endforelse
                    </dd>
                </div>
                @if ($name->words->isNotEmpty())
                    <div>
                        <dt>{{ __('names.show.words') }}</dt>
                        <dd>
                            @foreach ($name->words as $word)
                                <a
                                    href="{{ route('roll', ['word' => $word->id]) }}">{{ $word->label }}</a>{{ $loop->last ? '' : ', ' }}
                            @endforeach
                        </dd>
                    </div>
                @endif
                @foreach ($registration?->extras ?? [] as $extra)
                    <div>
                        <dt>{{ ucfirst($words->say('words.extra.' . $extra->kind->value)) }}</dt>
                        <dd>{{ $extra->ended_on !== null
                            ? __('names.show.ended_on', ['ended_on' => App\Support\Dates::full($extra->ended_on)])
                                : ($extra->ends_on === null ? __('names.show.included') : __(
                            $extra->renews ? 'names.show.extra_renews' : 'names.show.extra_ends',
                            ['day' => App\Support\Dates::full($extra->ends_on)],
                        )) }}
                        </dd>
                        @if ($extra->ended_on === null)
                            @can('change', $name)
                                <dd>
                                    <form method="post" action="{{ route('names.extras.destroy', $name) }}">@csrf @method('delete')<input
                                            type="hidden" name="extra" value="{{ $extra->kind->value }}"><button
                                            class="plain">{{ __('names.show.mark_as_ended') }}</button></form>
                                </dd>
                            @endcan
                        @endif
                    </div>
                @endforeach
                @foreach ($registration?->raw ?? [] as $heading => $value)
                    <div>
                        <dt>{{ $heading }}</dt>
                        <dd>{{ $value }}<span class="lesser">{{ __('names.show.as_imported') }}</span></dd>
                    </div>
                @endforeach
            </dl>
            @can('change', $name)
                @foreach (['extra', 'extra_ends'] as $key)
                    @error($key)
                        <p class="wrong" role="alert">{{ $message }}</p>
                    @enderror
                @endforeach
                <details @if ($errors->hasAny(['extra', 'extra_ends'])) open @endif>
                    <summary>{{ __('names.show.add_an_extra_service') }}</summary>
                    <form method="post" action="{{ route('names.extras.store', $name) }}" class="fields">@csrf
                        <x-field name="extra" type="choice" :label="__('common.what')"
                            :options="collect(Acre\Core\Movement\ExtraKind::cases())
                            ->mapWithKeys(fn($kind) => [$kind->value => $words->say('words.extra.' . $kind->value)])
                            ->all()" />
                        <x-field name="extra_ends" type="date" :label="__('names.show.paid_until')" />
                        <x-field name="extra_renews" type="choice" :label="__('names.show.then')"
                            :options="['0' => __('names.show.it_ends'), '1' => __('names.show.it_auto_renews')]"/>
                        <p><button>{{ __('common.save') }}</button></p>
                    </form>
                </details>
            @endcan
            @can('change', $name)@if (count($life->rules->roles->value->kinds) > 1)
                @error('contact')
                    <p class="wrong" role="alert">{{ $message }}</p>
                    @enderror @error('role')
                    <p class="wrong" role="alert">{{ $message }}</p>
                @enderror
                <details>
                    <summary>{{ __('names.show.add_a_contact') }}</summary>
                    <form method="post" action="{{ route('names.roles.store', $name) }}" class="fields">@csrf
                        <x-field name="role" id="role-kind" type="choice" :label="__('common.as')"
                            :options="collect($life->rules->roles->value->kinds)
                            ->reject(fn($kind) => $kind === Acre\Core\Contact\RoleKind::Registrant)
                            ->mapWithKeys(fn($kind) => [$kind->value => $words->say('contacts.role.' . $kind->value)])
                            ->all()" />
                        <x-field name="contact" id="role-contact" type="choice" :label="__('common.who')" :options="$contacts" />
                        <p><button>{{ __('common.save') }}</button></p>
                    </form>
                </details>
            @endif @endcan
        </section>
        <section class="card" aria-labelledby="come">
            <h2 id="come">{{ __('names.show.what_happens_next') }} <span
                    class="aside">{{ $coming->otherwise === [] ? __('names.show.if_nothing_is_done') : '' }}</span></h2>
            <dl class="facts">
                @forelse ($coming->expected as [$at, $says, $missed])
                    <div>
                        <dt>{{ App\Support\Dates::full($at) }}</dt>
                        <dd>{{ $says }}@if ($missed !== '')
                                <span class="lesser">{{ __('names.show.missed', ['missed' => $missed]) }}</span>
                            @endif
                        </dd>
                    </div>
                @empty
                    <div>
                        <dt>{{ __('names.show.nothing') }}</dt>
                        <dd>{{ $life->facts->ends === null
                            ? __('names.show.its_expiry_is_not_known')
                            : ($coming->otherwise === [] ? __('names.show.nothing_more_by_its_dates')
                                : __('names.show.unless_auto_renew_failed')) }}
                        </dd>
                    </div>
                @endforelse
            </dl>
            @if ($coming->otherwise !== [])
                <details @if ($life->mayBeRenewed()) open @endif>
                    <summary>{{ $life->mayBeRenewed() ? __('names.show.if_auto_renew_failed') : __('names.show.if_auto_renew_fails') }}
                    </summary>
                    <dl class="facts">
                        @foreach ($coming->otherwise as [$at, $says, $missed])
                            <div>
                                <dt>{{ App\Support\Dates::full($at) }}</dt>
                                <dd>{{ $says }}@if ($missed !== '')
                                        <span class="lesser">{{ __('names.show.missed', ['missed' => $missed]) }}</span>
                                    @endif
                                </dd>
                            </div>
                        @endforeach
                    </dl>
                </details>
            @endif
        </section>
    </div>
    @can('prepare')
        @include('names.kept-code')
    @endcan
    <x-notes :of="$name" route="notes.on-name" />
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
</x-layout>
