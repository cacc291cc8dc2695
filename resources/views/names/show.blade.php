<x-layout :title="$name->unicode" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('roll') }}">The Roll</a> / <a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></nav>
    <div class="head">
        <div class="folio-name">
            <h1 class="name">{{ $name->unicode }}</h1>
            @if ($name->unicode !== $name->ascii)<span class="mono lesser">{{ $name->ascii }}</span>@endif
        </div>
        @can('prepare')
            <div class="head-deeds">
                @inject('current', App\View\CurrentSheaf::class)
                <form method="post" action="{{ $current->get()->has($name->id) ? route('sheaf.remove') : route('sheaf.add') }}">
                    @csrf
                    @if ($current->get()->has($name->id)) @method('patch') @endif
                    <input type="hidden" name="names[]" value="{{ $name->id }}">
                    <button>{{ $current->get()->has($name->id) ? 'Out of the sheaf' : 'Into the sheaf' }}</button>
                </form>
                <a class="button main" href="{{ route('hand-over', ['name' => $name->ascii]) }}">Hand over</a>
                <a class="button" href="{{ route('names.edit', $name) }}">Change what is known</a>
            </div>
        @endcan
    </div>
    <p class="sentence folio-sentence">
        Held for <a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a> at {{ $file->account->registrarName }}, account <a href="{{ route('accounts.show', $file->account->id) }}">{{ $file->account->number }}</a>.
        @foreach ($standing->findings as $finding)
            <span class="{{ $loop->first && $standing->severity === Acre\Core\Lifecycle\Severity::Grave ? 'is-bad' : ($finding->tag->cost() === Acre\Core\Finding\Cost::Attention ? '' : 'is-soon') }}">{{ $words->finding($finding) }}.</span>
        @endforeach
    </p>
    @can('prepare')
        @inject('cured', App\View\CureInWords::class)
        @php($cures = $cured->of(array_values(array_filter($standing->findings, fn ($finding) => $finding->tag->cost() !== Acre\Core\Finding\Cost::Attention)), $file))
        @if ($cures !== [])<p class="cures"><span class="label">{{ __('names.cures') }}</span> @foreach ($cures as $cure)<span class="cure">@if ($cure->address === null){{ $cure->said }}@else<a class="button" href="{{ $cure->address }}">{{ $cure->said }}</a>@endif</span>@endforeach</p>@endif
    @endcan
    @foreach ($file->drifts as $drift)
        @continue($drift->tag->isLack())
        <p @class(['told', 'told-bad' => $drift->tag->isAlarming()])><strong>The registry says something else.</strong> <bdi>{{ $words->finding($drift->finding) }}.</bdi> <a href="{{ route('record.show', $name->ascii) }}">Compare with the registry</a></p>
    @endforeach
    <div class="card drawing" data-drawing>
        <div class="wide"><x-folio-line :drawing="$drawings[0]" id="w"/></div>
        <div class="narrow"><x-folio-line :drawing="$drawings[1]" id="n"/></div>
    </div>
    <div class="cards">
        <section class="card" aria-labelledby="may">
            <h2 id="may">What you can do today</h2>
            <dl class="facts">
                <div>
                    <dt>Handover</dt>
                    <dd><x-verdict :readiness="$handover" :words="$words"/>
                        <span class="lesser">any account at {{ $file->account->registrarName }}</span>
                        @foreach ($handover->findings as $finding)<span class="lesser">{{ $words->finding($finding) }}</span>@endforeach
                    </dd>
                    @can('prepare')<dd>@if ($file->waiting !== null)<a href="{{ route('dockets.show', $file->waiting->docket) }}">Docket {{ $file->waiting->docket }}</a>@else<a href="{{ route('hand-over', ['name' => $name->ascii]) }}">Start</a>@endif</dd>@endcan
                </div>
                <div>
                    <dt>Renewal</dt>
                    <dd>@if ($life->rescue() === Acre\Core\Rulebook\Rescue::Nothing)<span class="is-bad">Not any more</span> @elseif ($life->rescue() === Acre\Core\Rulebook\Rescue::Restore)<span class="is-bad">Only once it is restored</span>@elseif ($life->addableYears() > 0)up to {{ $life->addableYears() }} {{ $life->addableYears() === 1 ? 'year' : 'years' }}@if ($life->facts->ends === null) @endif @elseif ($life->facts->ends === null)its end is not known @elseif ($life->renewableFrom() !== null)not before {{ $words->near($life->renewableFrom()) }} @else no year fits: it may not run more than {{ $life->rules->yearsAhead->value }} {{ $life->rules->yearsAhead->value === 1 ? 'year' : 'years' }} ahead @endif
                        <span class="lesser">{{ $price }}{{ $life->rules->isDefault ? ', by cautious rules' : '' }}</span></dd><dd><a href="{{ route('rulebook.show', $name->suffix) }}">Rules</a></dd>
                </div>
                <div>
                    <dt>Another registrar</dt>
                    <dd>@php($stopping = $life->facts->againstTransfer()) @if ($stopping !== [])<span class="is-bad">Not now</span><span class="lesser">its record says {{ implode(', ', array_column($stopping, 'value')) }}</span>@endif @forelse ($life->holdsNow() as $hold)<span class="is-soon">Not before {{ $words->near($hold->until) }}</span><span class="lesser">{{ $words->say('words.reason.'.$hold->reason->value) }}</span>@empty @if ($stopping === [])no hold is known @endif @endforelse
                    </dd>
                </div>
                <div>
                    <dt>Lock</dt>
                    @php($isLocked = $life->facts->isLocked())
                    <dd>@if ($life->rules->mayBeLocked()){{ $words->say('words.lock.'.($isLocked ? 'on' : $life->facts->lock->value)) }}@else no name under .{{ $name->suffix }} has one @endif</dd>
                    @can('prepare')@if ($life->rules->hasLock->value)<dd><a href="{{ route('deeds.show', ['change_lock', 'name' => $name->ascii, 'lock' => $isLocked ? 'off' : 'on']) }}">{{ $isLocked ? 'Lift it' : 'Set it' }}</a></dd>@endif @endcan
                </div>
                <div><dt><span class="term" title="{{ $words->say('words.explained.intent') }}">Intent</span></dt><dd>{{ $words->say('words.intent.'.$life->facts->intent->value) }}</dd>@can('prepare')<dd><a href="{{ route('deeds.show', ['change_auto_renew', 'name' => $name->ascii]) }}">Change</a></dd>@endcan</div>
            </dl>
        </section>
        <section class="card" aria-labelledby="behind">
            <h2 id="behind">Who stands behind it</h2>
            <dl class="facts">
                <div><dt>Registrant</dt><dd>@if ($file->guard === null)not known @else<a href="{{ route('contacts.show', $file->guard->contact) }}"><bdi>{{ $file->registrant === '' ? 'known by a mailbox only' : $file->registrant }}</bdi></a>@if ($file->guard->mailbox !== null)<span class="lesser mono">{{ $file->guard->mailbox }}</span>@endif @endif
                    @foreach ($file->behind($life) as $finding)<span @class(['lesser', 'is-bad' => $finding->tag->cost() !== Acre\Core\Finding\Cost::Attention])>{{ $words->finding($finding) }}</span>@endforeach</dd>@can('prepare')<dd>@if ($file->guard?->told !== null)<a class="reason" href="{{ route('deeds.show', ['change_registrant', 'name' => $name->ascii, 'contact' => $file->guard->contact, 'correct' => 1]) }}">{{ $words->say('words.cure.tell_registrar') }}</a> @endif<a href="{{ route('deeds.show', ['change_registrant', 'name' => $name->ascii]) }}">Another</a></dd>@endcan</div>
                @foreach ($roles->filter(fn ($role) => $role->span->until === null && $role->role !== Acre\Core\Contact\RoleKind::Registrant) as $role)<div><dt>{{ ucfirst($words->say('contacts.role.'.$role->role->value)) }}</dt><dd><a href="{{ route('contacts.show', $role->contact_id) }}"><bdi>{{ $role->contact->today->called }}</bdi></a></dd>@can('change', $name)<dd><form method="post" action="{{ route('names.roles.destroy', $name) }}">@csrf @method('delete')<input type="hidden" name="contact" value="{{ $role->contact_id }}"><input type="hidden" name="role" value="{{ $role->role->value }}"><button class="plain">No more</button></form></dd>@endcan</div>@endforeach
                <div><dt>Client</dt><dd><a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></dd></div>
                <div><dt>Account</dt><dd><a href="{{ route('accounts.show', $file->account->id) }}">{{ $file->account->registrarName }} {{ $file->account->number }}</a><span class="lesser">{{ $file->account->ours ? 'we can sign in' : 'we can’t sign in' }}</span></dd></div>
                @if ($file->reference !== '')<div><dt>Registrar’s number</dt><dd class="mono">{{ $file->reference }}</dd></div>@endif
                <div><dt>Public record</dt><dd><a href="{{ route('record.show', $name->ascii) }}">What the world reads</a><span class="lesser">disclosure: {{ $words->say('words.disclosure.'.$file->disclosure->value) }}{{ $registration?->pattern_id === null ? '' : ', after “'.$patterns[$registration->pattern_id].'”' }}</span>@if ($pattern !== null && $registration?->pattern_id !== $pattern)<span class="lesser is-soon">{{ __('It is to follow “:pattern”', ['pattern' => $patterns[$pattern] ?? '']) }}</span>@endif</dd>@can('prepare')<dd><a href="{{ route('deeds.show', array_filter(['change_disclosure', 'name' => $name->ascii, 'pattern' => $pattern])) }}">Choose</a></dd>@endcan</div>
                <div><dt>Name servers</dt><dd>@forelse ($file->servers as $host)<span class="mono reason">{{ $host }}</span>@empty not known @endforelse</dd></div>
                @if ($name->words->isNotEmpty())<div><dt>Words</dt><dd>@foreach ($name->words as $word)<a href="{{ route('roll', ['word' => $word->id]) }}">{{ $word->label }}</a>{{ $loop->last ? '' : ', ' }}@endforeach</dd></div>@endif
                @foreach ($registration?->extras ?? [] as $extra)
                    <div><dt>{{ ucfirst($words->say('words.extra.'.$extra->kind->value)) }}</dt><dd>{{ $extra->ended_on !== null ? 'ended on '.App\Support\Dates::full($extra->ended_on) : ($extra->ends_on === null ? 'bought with it' : ($extra->renews ? 'renews by itself on ' : 'ends on ').App\Support\Dates::full($extra->ends_on)) }}</dd>@if ($extra->ended_on === null)@can('change', $name)<dd><form method="post" action="{{ route('names.extras.destroy', $name) }}">@csrf @method('delete')<input type="hidden" name="extra" value="{{ $extra->kind->value }}"><button class="plain">It has ended</button></form></dd>@endcan @endif</div>
                @endforeach
                @foreach ($registration?->raw ?? [] as $heading => $value)
                    <div><dt>{{ $heading }}</dt><dd>{{ $value }}<span class="lesser">as it was brought in</span></dd></div>
                @endforeach
            </dl>
            @can('change', $name)
                @foreach (['extra', 'extra_ends'] as $key)@error($key)<p class="wrong" role="alert">{{ $message }}</p>@enderror @endforeach
                <details @if ($errors->hasAny(['extra', 'extra_ends'])) open @endif><summary>Write down what is bought with it</summary>
                    <form method="post" action="{{ route('names.extras.store', $name) }}" class="fields">@csrf
                        <x-field name="extra" type="choice" label="What" :options="collect(Acre\Core\Movement\ExtraKind::cases())->mapWithKeys(fn ($kind) => [$kind->value => $words->say('words.extra.'.$kind->value)])->all()"/>
                        <x-field name="extra_ends" type="date" label="Paid until"/>
                        <x-field name="extra_renews" type="choice" label="Then" :options="['0' => 'it ends', '1' => 'it renews by itself']"/>
                        <p><button>Write down</button></p>
                    </form>
                </details>
            @endcan
            @can('change', $name)@if (count($life->rules->roles->value->kinds) > 1)
                @error('contact')<p class="wrong" role="alert">{{ $message }}</p>@enderror @error('role')<p class="wrong" role="alert">{{ $message }}</p>@enderror
                <details><summary>Give it another contact</summary>
                    <form method="post" action="{{ route('names.roles.store', $name) }}" class="fields">@csrf
                        <x-field name="role" id="role-kind" type="choice" label="As" :options="collect($life->rules->roles->value->kinds)->reject(fn ($kind) => $kind === Acre\Core\Contact\RoleKind::Registrant)->mapWithKeys(fn ($kind) => [$kind->value => $words->say('contacts.role.'.$kind->value)])->all()"/>
                        <x-field name="contact" id="role-contact" type="choice" label="Who" :options="$contacts"/>
                        <p><button>Write down</button></p>
                    </form>
                </details>
            @endif @endcan
        </section>
        <section class="card" aria-labelledby="come">
            <h2 id="come">What happens next <span class="aside">{{ $coming->otherwise === [] ? 'if nothing is done' : '' }}</span></h2>
            <dl class="facts">
                @forelse ($coming->expected as [$at, $says, $missed])
                    <div><dt>{{ App\Support\Dates::full($at) }}</dt><dd>{{ $says }}@if ($missed !== '')<span class="lesser">missed: {{ $missed }}</span>@endif</dd></div>
                @empty
                    <div><dt>Nothing</dt><dd>{{ $life->facts->ends === null ? 'its end is not known' : ($coming->otherwise === [] ? 'by its dates everything has come' : 'unless auto-renew failed') }}</dd></div>
                @endforelse
            </dl>
            @if ($coming->otherwise !== [])
                <details @if ($life->mayBeRenewed()) open @endif><summary>{{ $life->mayBeRenewed() ? 'If auto-renew failed' : 'If auto-renew fails' }}</summary>
                    <dl class="facts">@foreach ($coming->otherwise as [$at, $says, $missed])<div><dt>{{ App\Support\Dates::full($at) }}</dt><dd>{{ $says }}@if ($missed !== '')<span class="lesser">missed: {{ $missed }}</span>@endif</dd></div>@endforeach</dl>
                </details>
            @endif
        </section>
    </div>
    @can('prepare')@include('names.kept-code')@endcan
    <x-notes :of="$name" route="notes.on-name"/>
    <section class="card" aria-labelledby="happened">
        <h2 id="happened">What happened to it <span class="aside"><a href="{{ route('names.history', $name) }}">{{ __('names.history.see') }}</a></span></h2>
        <form class="ask" method="get">
            <label for="on">Who held it, and who was registrant, on</label> <input id="on" type="date" name="on" value="{{ $on?->date() }}"> <button>Ask</button>
            @if ($on !== null)
                <p role="status">On {{ App\Support\Dates::full($on) }}: @forelse ($heldOn as $one)<strong>{{ $loop->first ? '' : 'then ' }}{{ $one->account }}, for {{ $one->client }}</strong>@if ($one->docket !== null) (<a href="{{ route('dockets.show', $one->docket) }}">docket {{ $one->docket }}</a>)@endif{{ $loop->last ? '.' : ', ' }}@empty<strong>not known</strong>; the chain of title begins on {{ $chain->knownSince() === null ? 'no day' : App\Support\Dates::full($chain->knownSince()) }}.@endforelse Registrant: @forelse ($registrantsOn as $one)<strong>{{ $loop->first ? '' : 'then ' }}<bdi>{{ $one }}</bdi></strong>{{ $loop->last ? '.' : ', ' }}@empty<strong>not known</strong>.@endforelse</p>
            @endif
        </form>
        <dl class="facts facts-wide">
            @foreach (array_reverse($chain->holdings) as $holding)
                <div>
                    <dt>{{ $holding->span->from === null ? 'since ever' : App\Support\Dates::full($holding->span->from) }}</dt>
                    <dd>{{ $loop->last ? 'In' : 'Handed to' }} {{ $holding->account }}, for {{ $holding->client }}@if ($holding->span->until !== null)<span class="lesser">until {{ App\Support\Dates::full($holding->span->until) }}</span>@endif</dd>
                    <dd>@if ($holding->docket !== null)<a href="{{ route('dockets.show', $holding->docket) }}">docket {{ $holding->docket }}</a>@endif</dd>
                </div>
            @endforeach
        </dl>
        @if ($roles->contains(fn ($role) => $role->span->until !== null))
            <h3>Registrants</h3>
            <dl class="facts facts-wide">
                @foreach ($roles->filter(fn ($role) => $role->role === Acre\Core\Contact\RoleKind::Registrant) as $role)
                    <div><dt>{{ $role->span->from === null ? 'since ever' : App\Support\Dates::full($role->span->from) }}</dt><dd><a href="{{ route('contacts.show', $role->contact_id) }}"><bdi>{{ $role->contact->today->called }}</bdi></a>@if ($role->span->until !== null)<span class="lesser">until {{ App\Support\Dates::full($role->span->until) }}</span>@endif</dd><dd>@if ($role->docket_id !== null)<a href="{{ route('dockets.show', $role->docket_id) }}">docket {{ $role->docket_id }}</a>@endif</dd></div>
                @endforeach
            </dl>
        @endif
        @if ($happened !== [])
            <details class="log"><summary>The log of it ({{ count($happened) }})</summary>
                <dl class="facts facts-wide">
                    @foreach ($happened as $entry)
                        <div><dt>{{ App\Support\Dates::exact($entry->instant('trade_at')) }}</dt><dd>{{ $words->say('log.'.$entry->text('event')) }}<span class="lesser">{{ $entry->textOrNull('person') ?? 'Acre Roll' }}</span></dd><dd>@if (is_int($entry->json('data')['docket'] ?? null))<a href="{{ route('dockets.show', $entry->json('data')['docket']) }}">docket {{ $entry->json('data')['docket'] }}</a>@endif</dd></div>
                    @endforeach
                </dl>
            </details>
        @endif
    </section>
</x-layout>
