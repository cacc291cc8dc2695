@php([$file, $last, $own, $dns, $record] = [$page->file, $page->last, $page->own, $page->dns, $page->record])
<x-layout :title="'Public record of '.$domain->unicode" area="Outside">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('record.index') }}">Public record</a>@if ($page->isHeld()) / <a href="{{ route('names.show', $domain->ascii) }}">folio</a>@endif</nav>
    <div class="head">
        <div class="folio-name"><h1 class="name">{{ $domain->unicode }}</h1>@if ($domain->unicode !== $domain->ascii)<span class="mono lesser">{{ $domain->ascii }}</span>@endif</div>
        <form method="post" action="{{ route('record.ask') }}" class="head-deeds">@csrf<input type="hidden" name="names" value="{{ $domain->ascii }}"><button class="{{ $last === null && $troubles === [] ? 'main' : '' }}">{{ $last === null && $troubles === [] ? 'Ask the directories' : 'Ask again' }}</button></form>
    </div>
    <p class="sentence">
        @if ($standing?->isAmiss === true)<strong class="is-bad">{{ $words->finding($standing->findings[0]) }}.</strong> @elseif ($page->gone() !== null)<strong class="is-bad">{{ $words->say('outside.record.gone.'.$page->gone()) }}</strong> @endif
        @if ($last === null) {{ $troubles === [] ? __('outside.record.unread') : __('outside.record.unreadable') }}
        @elseif (! $last->found) {{ __('outside.record.empty') }}
        @elseif ($record === null) What came can’t be read; <a href="{{ route('record.raw', [$domain->ascii, $last->id]) }}">the raw answer</a>.
        @else At <strong><bdi>{{ $record->registrar ?? $record->tag ?? 'a registrar that is not named' }}</bdi></strong>@if ($record->tag !== null) (tag <span class="mono">{{ $record->tag }}</span>)@endif, which alone can act on it{{ $record->reseller === null ? '.' : ';' }} @if ($record->reseller !== null) ask <bdi>{{ $record->reseller }}</bdi>, who sells for it.@endif {{ $record->ends === null ? 'Its registry publishes no end.' : ($record->ends->hasComeAt($now) ? 'Its term ended on ' : 'Its term ends on ').App\Support\Dates::full($record->ends).'.' }}
        @endif
        @if ($last !== null)<span class="lesser">Seen {{ App\Support\Dates::exact($last->last) }}, the same since {{ App\Support\Dates::exact($last->first) }}.</span>@endif
        @if ($file === null) It is not on the Roll. @elseif ($file->watched !== null) Watched for <a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a> since {{ App\Support\Dates::full($file->watched->since) }}: <bdi>{{ $file->watched->why }}</bdi>. @endif @if ($past !== null) Held here for {{ $past->client->name }} at {{ $past->account->registrar->name }} {{ $past->account->number }}@if ($past->span->until !== null) until {{ App\Support\Dates::full($past->span->until) }}@endif. @can('run')<a href="{{ route('log', ['q' => $domain->ascii]) }}">The log of it</a>@endcan @endif
    </p>
    @foreach ($troubles as $source => $reason)<p class="told" role="status">{{ ucfirst(__('outside.source.'.$source)) }} was not read: <bdi>{{ $reason }}</bdi></p>@endforeach
    @if ($drifts->isNotEmpty())
        <section @class(['card', 'drift', 'is-alarm' => $page->isAlarming()]) aria-labelledby="otherwise">
            <h2 id="otherwise">{{ $page->differing()->isEmpty() ? 'Differs, and is left as it is' : 'The Roll says otherwise' }}</h2>
            <dl class="facts facts-wide">
                @foreach ($drifts->sortBy(fn ($drift) => $drift->state !== App\Models\DriftState::Open) as $drift)
                    <div><dt>{{ __('outside.field.'.$drift->field->value) }}</dt><dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span class="lesser">@if ($drift->state === App\Models\DriftState::Left)Left: {{ $drift->because }} @else{{ __('outside.drift.cure.'.$drift->finding->value) }} @endif{{ ucfirst(__('outside.certainty.'.$drift->certainty->value)) }}; first seen {{ App\Support\Dates::exact($drift->first_seen) }}.</span></dd>
                        <dd>@can('prepare') @foreach ($page->settling($drift, $domain->ascii) as $way => $address)<a class="button" href="{{ $address }}">{{ $words->sayOr('outside.drift.way_of.'.$drift->finding->value.'.'.$way, $words->say('outside.drift.way.'.$way)) }}</a> @endforeach @endcan @if ($drift->docket_id !== null)<a href="{{ route('dockets.show', $drift->docket_id) }}">docket {{ $drift->docket_id }}</a>@endif</dd></div>
                @endforeach
            </dl>
        </section>
    @endif
    @if ($record !== null)
        <table class="sheet low">
            <caption class="hide">What each source says</caption>
            <thead><tr><th scope="col">Field</th><th scope="col">{{ ucfirst(__('outside.source_short.'.$last->source->value)) }}</th>@if ($own !== null)<th scope="col">Registrar’s own</th>@endif @if ($page->isHeld())<th scope="col">The Roll</th>@endif</tr></thead>
            <tbody>
                @foreach ($page->rows() as $row)
                    <tr>
                        <th scope="row">{{ __('outside.field.'.$row['field']) }}</th>
                        <td data-label="Registry" @class(['mono hosts' => $row['field'] === 'servers'])><bdi @class(['mark' => $row['differs']])>{{ $row['registry'] }}</bdi></td>
                        @if ($own !== null)<td data-label="Registrar’s own" @class(['mono hosts' => $row['field'] === 'servers'])><bdi>{{ $row['own'] }}</bdi></td>@endif
                        @if ($page->isHeld())<td data-label="The Roll" @class(['mono hosts' => $row['field'] === 'servers'])>{{ $row['roll'] }}</td>@endif
                    </tr>
                @endforeach
                @if ($record->moved !== null || $record->changed !== null)<tr><th scope="row">Moved, changed</th><td data-label="Registry">{{ $record->moved === null ? 'never moved, as far as it says' : 'moved '.App\Support\Dates::full($record->moved) }}{{ $record->changed === null ? '' : ', changed '.App\Support\Dates::exact($record->changed) }}</td>@if ($own !== null)<td data-label="Registrar’s own"></td>@endif @if ($page->isHeld())<td data-label="The Roll">{{ $file->facts->moved === null ? '' : 'moved '.App\Support\Dates::full($file->facts->moved) }}</td>@endif</tr>@endif
            </tbody>
        </table>
        <div class="cards">
            <section class="card" aria-labelledby="forbids">
                <h2 id="forbids">What its statuses forbid</h2>
                <dl class="facts facts-status">
                    @forelse ($record->statuses as $status)
                        <div><dt class="mono">{{ $status->value }}</dt><dd>{{ __('outside.status.'.$status->value)[0] }}@if (__('outside.status.'.$status->value)[1] !== '')<span class="lesser">Who lifts it: {{ __('outside.status.'.$status->value)[1] }}</span>@endif</dd></div>
                    @empty
                        <div><dt>None</dt><dd>Its registry says none in words that are known.</dd></div>
                    @endforelse
                    @foreach ($record->words as $word)<div><dt class="mono"><bdi>{{ $word }}</bdi></dt><dd>a word of this registry’s own</dd></div>@endforeach
                </dl>
            </section>
            <section class="card" aria-labelledby="answers">
                <h2 id="answers">Who answers for its DNS</h2>
                @if ($dns?->delegation !== null)
                    @foreach ($dns->delegation->findings() as $finding)<p class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Dark ? 'is-bad' : 'is-soon' }}">{{ $words->finding($finding) }}.</p>@endforeach
                    <dl class="facts facts-hosts">
                        @foreach ($dns->delegation->servers as $server)<div><dt class="mono">{{ $server->host }}</dt><dd><span @class(['is-bad' => $server->answer !== Acre\Core\Delegation\Answer::Authoritative])>{{ __('outside.answer.'.$server->answer->value) }}</span><span class="lesser mono">{{ $server->address ?? 'no address' }}{{ $server->serial === null ? '' : ', zone '.$server->serial }}</span></dd></div>@endforeach
                        <div><dt>Signed</dt><dd>{{ $dns->delegation->signed === null ? 'not known' : ($dns->delegation->signed ? 'yes, a DS stands at the registry' : 'no') }}</dd></div>
                        @if ($dns->delegation->ttl !== null)<div><dt>A change shows</dt><dd>within {{ $dns->delegation->ttl >= 3600 ? number_format($dns->delegation->ttl / 3600).' hours' : $dns->delegation->ttl.' seconds' }}<span class="lesser">so long may the suffix’s answer be kept (TTL)</span></dd></div>@endif
                    </dl>
                @else
                    <p class="lesser">Its name servers were not asked yet.</p>
                @endif
                @if ($page->operators() !== [])<p>To change a record, ask whoever runs <span class="mono">{{ collect($page->operators())->join(', ', ' or ') }}</span>.</p>@endif
            </section>
            <section class="card" aria-labelledby="holder">
                <h2 id="holder">Its holder, as published</h2>
                <dl class="facts">
                    @foreach (Acre\Core\Record\Field::cases() as $field)
                        @if ($record->field($field)->value !== null)<div><dt>{{ __('outside.holder.'.$field->value) }}</dt><dd><bdi>{{ $record->field($field)->value }}</bdi></dd></div>@endif
                    @endforeach
                    @foreach ($record->redactedByReason() as $reason => $fields)
                        <div><dt><span class="redacted">redacted</span></dt><dd>{{ ucfirst(strtolower(implode(', ', array_map(fn ($f) => __('outside.holder.'.$f->value), $fields)))) }}<span class="lesser"><bdi>{{ $reason === '' ? 'no reason is given' : $reason }}</bdi></span></dd></div>
                    @endforeach
                    @if ($record->holder === [])<div><dt>Nothing</dt><dd>This directory publishes nothing of the holder; that is its habit, and proves nothing.</dd></div>@endif
                    <div><dt>Validated</dt><dd>{{ $record->validated === null ? 'this registry doesn’t say' : ($record->validated ? 'yes, by the registry' : 'no: the registry could not validate it') }}</dd></div>
                    @if ($record->reach !== null)<div><dt>Reached by</dt><dd class="mono"><bdi>{{ $record->reach }}</bdi></dd></div>@endif
                    @if ($record->abuse !== null)<div><dt>Complaints</dt><dd class="mono"><bdi>{{ $record->abuse }}</bdi></dd></div>@endif
                </dl>
            </section>
        </div>
    @endif
    @if ($page->seen !== [])
        <table class="sheet low">
            <caption>Where this comes from</caption>
            <thead><tr><th scope="col">Source</th><th scope="col">Asked</th><th scope="col">First seen so</th><th scope="col">Last seen so</th><th scope="col">Answer</th></tr></thead>
            <tbody>
            @foreach ($page->seen as $list)
                @foreach ($list as $one)
                    <tr @class(['is-past' => ! $loop->first])>
                        <th scope="row">{{ __('outside.source_short.'.$one->source->value) }}{{ $loop->first ? '' : ', before' }}</th>
                        <td data-label="Asked" class="said">@if ($loop->first)<bdi class="mono">{{ $one->asked }}</bdi>@else<bdi>{{ $page->before($one, $list[0]) }}</bdi>@endif</td>
                        <td data-label="First seen so">{{ App\Support\Dates::exact($one->first) }}</td>
                        <td data-label="Last seen so">{{ App\Support\Dates::exact($one->last) }}</td>
                        <td data-label="Answer">{{ $one->found ? '' : 'no such name; ' }}<a href="{{ route('record.raw', [$domain->ascii, $one->id]) }}">as it came</a></td>
                    </tr>
                @endforeach
            @endforeach
            </tbody>
        </table>
    @endif
    @if (! $page->isHeld() && Gate::allows('prepare'))
        <section class="card apart" aria-labelledby="watch">
            <h2 id="watch">{{ $file === null ? 'Watch it' : 'Why it is watched' }}</h2>
            <p class="lesser">A name that is watched stands on the Roll and is looked at in its turn. It lies in no account of ours, so no deed can move or renew it; when it arrives in one, it is held.</p>
            <form method="post" action="{{ route('record.watch', $domain->ascii) }}" class="fields">
                @csrf
                <div class="columns"><x-field name="client" type="choice" :label="__('For which :served')" :options="$clients" :value="$file?->clientId"/>
                <x-field name="why" label="Why" :value="$file?->watched?->why" maxlength="300" required/></div>
                <p><button>{{ $file === null ? 'Watch it' : 'Keep that' }}</button></p>
            </form>
            @if ($file !== null)<form method="post" action="{{ route('record.unwatch', $domain->ascii) }}">@csrf @method('delete')<p><button class="plain">Watch it no more</button></p></form>@endif
        </section>
    @endif
    @if ($settled->isNotEmpty())
        <section class="card apart" aria-labelledby="settled"><h2 id="settled">Settled before</h2>
            <dl class="facts facts-wide">@foreach ($settled as $drift)<div><dt>{{ App\Support\Dates::exact($drift->settled_at) }}</dt><dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span class="lesser">{{ $drift->state === App\Models\DriftState::Taken ? 'Taken into the Roll' : 'Seen the same again' }}</span></dd><dd>@if ($drift->docket_id !== null)<a href="{{ route('dockets.show', $drift->docket_id) }}">docket {{ $drift->docket_id }}</a>@endif</dd></div>@endforeach</dl>
        </section>
    @endif
</x-layout>
