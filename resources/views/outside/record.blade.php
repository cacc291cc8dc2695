@php([$file, $last, $own, $dns, $record] = [$page->file, $page->last, $page->own, $page->dns, $page->record])
<x-layout :title="__('outside.record.public_record_of', ['unicode' => $domain->unicode])" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('record.index') }}">{{ __('common.public_record') }}</a>
        @if ($page->isHeld())
            /
            <a href="{{ route('names.show', $domain->ascii) }}">{{ __('outside.record.folio') }}</a>
        @endif
    </nav>
    <div class="head">
        <div class="folio-name">
            <h1 class="name">{{ $domain->unicode }}</h1>
            @if ($domain->unicode !== $domain->ascii)
                <span class="mono lesser">{{ $domain->ascii }}</span>
            @endif
        </div>
        <form method="post" action="{{ route('record.ask') }}" class="head-deeds">@csrf<input type="hidden" name="names"
                value="{{ $domain->ascii }}"><button
                class="{{ $last === null && $troubles === [] ? 'main' : '' }}">{{ $last === null && $troubles === []
                    ? __('outside.record.query_the_directories')
                    : __('outside.record.query_again') }}</button>
        </form>
    </div>
    <p class="sentence">
        @if ($standing?->isAmiss === true)
            <strong class="is-bad">{{ $words->finding($standing->findings[0]) }}.</strong>
        @elseif ($page->gone() !== null)
            <strong class="is-bad">{{ $words->say('outside.record.gone.' . $page->gone()) }}</strong>
        @endif
        @if ($last === null)
            {{ $troubles === [] ? __('outside.record.unread') : __('outside.record.unreadable') }}
        @elseif (!$last->found)
            {{ __('outside.record.empty') }}
        @elseif ($record === null)
            {{ __('outside.record.answer_unreadable') }} <a
                href="{{ route('record.raw', [$domain->ascii, $last->id]) }}">{{ __('outside.record.raw') }}</a>
        @else
            <x-sentence :of="$record->tag === null ? 'outside.record.at' : 'outside.record.at_tag'">
                <x-slot:registrar><strong><bdi>{{
                    $record->registrar ?? ($record->tag ?? __('outside.record.no_registrar'))
                }}</bdi></strong></x-slot>
                <x-slot:tag><span class="mono">{{ $record->tag }}</span></x-slot>
            </x-sentence>
            @if ($record->reseller !== null)
                <x-sentence of="outside.record.reseller"><x-slot:reseller><bdi>{{ $record->reseller }}</bdi></x-slot></x-sentence>
            @endif
            {{ $record->ends === null ? __('outside.record.its_registry_does_not_publish') : __(
                $record->ends->hasComeAt($now) ? 'outside.record.ended_on' : 'outside.record.ends_on',
                ['day' => App\Support\Dates::full($record->ends)],
            ) }}
        @endif
        @if ($last !== null)
            <span
                class="lesser">{{ __(
                    'outside.record.last_checked_unchanged_since',
                    ['last' => App\Support\Dates::exact($last->last), 'first' => App\Support\Dates::exact($last->first)],
                ) }}</span>
        @endif
        @if ($file === null)
            {{ __('outside.record.it_is_not_on_the_roll') }}
        @elseif ($file->watched !== null)
            <x-sentence of="outside.record.watched_for" :with="['day' => App\Support\Dates::full($file->watched->since)]"><x-slot:client><a
                        href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></x-slot>
                        <x-slot:why><bdi>{{ $file->watched->why }}</bdi></x-slot></x-sentence>
            @endif @if ($past !== null)
                {{ __(
                    'outside.record.held_here_for_at',
                    ['client' => $past->client->name, 'registrar' => $past->account->registrar->name, 'number' => $past->account->number],
                ) }}
                @if ($past->span->until !== null)
                    {{ __('outside.record.until', ['until' => App\Support\Dates::full($past->span->until)]) }}
                @endif. @can('run')
                <a href="{{ route('log', ['q' => $domain->ascii]) }}">{{ __('outside.record.log') }}</a>
            @endcan
        @endif
</p>
@foreach ($troubles as $source => $reason)
    <p class="told" role="status"><x-sentence of="outside.record.not_read" :with="['source' => __('outside.source.' . $source)]">
    <x-slot:reason><bdi>{{ $reason }}</bdi></x-slot>
    </x-sentence></p>
@endforeach
@if ($drifts->isNotEmpty())
    <section @class(['card', 'drift', 'is-alarm' => $page->isAlarming()]) aria-labelledby="otherwise">
        <h2 id="otherwise">
            {{ $page->differing()->isEmpty() ? __('outside.record.different_and_kept') : __('outside.record.different_from_the_roll') }}
        </h2>
        <dl class="facts facts-wide">
            @foreach ($drifts->sortBy(fn($drift) => $drift->state !== App\Models\DriftState::Open) as $drift)
                <div>
                    <dt>{{ __('outside.field.' . $drift->field->value) }}</dt>
                    <dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span class="lesser">
                            @if ($drift->state === App\Models\DriftState::Left)
                                {{ __('outside.record.kept', ['because' => $drift->because]) }}
                                @else{{ __('outside.drift.cure.' . $drift->finding->value) }}
                            @endif
                            {{ __(
                                'outside.record.first_seen',
                                [
                                    'value' => ucfirst(__('outside.certainty.' . $drift->certainty->value)),
                                    'first_seen' => App\Support\Dates::exact($drift->first_seen),
                                ],
                            ) }}
                        </span></dd>
                    <dd>
                        @can('prepare')
                            @foreach ($page->settling($drift, $domain->ascii) as $way => $address)
                                <a class="button"
                                    href="{{ $address }}">{{ $words->sayOr(
                                        'outside.drift.way_of.' . $drift->finding->value . '.' . $way,
                                        $words->say('outside.drift.way.' . $way),
                                    ) }}</a>
                            @endforeach
                            @endcan @if ($drift->docket_id !== null)
                                <a
                                    href="{{ route('dockets.show', $drift->docket_id) }}">{{ __(
                                        'outside.record.docket',
                                        ['docket_id' => $drift->docket_id],
                                    ) }}</a>
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
    @if ($record !== null)
        <table class="sheet low">
            <caption class="hide">{{ __('outside.record.sources_compared') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('outside.record.field') }}</th>
                    <th scope="col">{{ ucfirst(__('outside.source_short.' . $last->source->value)) }}</th>
                    @if ($own !== null)
                        <th scope="col">{{ __('common.registrar') }}</th>
                        @endif @if ($page->isHeld())
                            <th scope="col">{{ __('common.the_roll') }}</th>
                        @endif
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows() as $row)
                    <tr>
                        <th scope="row">{{ __('outside.field.' . $row['field']) }}</th>
                        <td data-label="{{ __('outside.source_short.registry') }}" @class(['mono hosts' => $row['field'] === 'servers'])>
                            <bdi
                                @class(['mark' => $row['differs']])>{{ $row['registry'] }}</bdi></td>
                        @if ($own !== null)
                            <td data-label="{{ __('common.registrar') }}" @class(['mono hosts' => $row['field'] === 'servers'])>
                                <bdi>{{ $row['own'] }}</bdi></td>
                        @endif
                        @if ($page->isHeld())
                            <td data-label="{{ __('common.the_roll') }}" @class(['mono hosts' => $row['field'] === 'servers'])>
                                {{ $row['roll'] }}</td>
                        @endif
                    </tr>
                @endforeach
                @if ($record->moved !== null || $record->changed !== null)
                    <tr>
                        <th scope="row">{{ __('outside.record.transferred_changed') }}</th>
                        <td data-label="{{ __('outside.source_short.registry') }}">
                            {{ $record->moved === null
                                ? __('outside.record.never_transferred_as_far_as_it')
                                : 'moved ' . App\Support\Dates::full($record->moved) }}{{ $record->changed === null ? '' : __(
                                    'outside.record.changed',
                                    ['changed' => App\Support\Dates::exact($record->changed)],
                                ) }}
                        </td>
                        @if ($own !== null)
                            <td data-label="{{ __('common.registrar') }}"></td>
                            @endif @if ($page->isHeld())
                                <td data-label="{{ __('common.the_roll') }}">
                                    {{ $file->facts->moved === null ? '' : 'moved ' . App\Support\Dates::full($file->facts->moved) }}</td>
                            @endif
                    </tr>
                @endif
            </tbody>
        </table>
        <div class="cards">
            <section class="card" aria-labelledby="forbids">
                <h2 id="forbids">{{ __('outside.record.what_its_statuses_mean') }}</h2>
                <dl class="facts facts-status">
                    @forelse ($record->statuses as $status)
                        <div>
                            <dt class="mono">{{ $status->value }}</dt>
                            <dd>{{ __('outside.status.' . $status->value)[0] }}@if (__('outside.status.' . $status->value)[1] !== '')
                                    <span
                                        class="lesser">{{ __(
                                            'outside.record.who_can_lift_it',
                                            ['value' => __('outside.status.' . $status->value)[1]],
                                        ) }}</span>
                                @endif
                            </dd>
                        </div>
                    @empty
                        <div>
                            <dt>{{ __('common.none') }}</dt>
                            <dd>{{ __('outside.record.no_status_that_we_know') }}</dd>
                        </div>
                    @endforelse
                    @foreach ($record->words as $word)
                        <div>
                            <dt class="mono"><bdi>{{ $word }}</bdi></dt>
                            <dd>{{ __('outside.record.this_registrys_own_status') }}</dd>
                        </div>
                    @endforeach
                </dl>
            </section>
            <section class="card" aria-labelledby="answers">
                <h2 id="answers">{{ __('common.name_servers') }}</h2>
                @if ($dns?->delegation !== null)
                    @foreach ($dns->delegation->findings() as $finding)
                        <p class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Dark ? 'is-bad' : 'is-soon' }}">
                            {{ $words->finding($finding) }}.</p>
                    @endforeach
                    <dl class="facts facts-hosts">
                        @foreach ($dns->delegation->servers as $server)
                            <div>
                                <dt class="mono">{{ $server->host }}</dt>
                                <dd><span @class([
                                    'is-bad' => $server->answer !== Acre\Core\Delegation\Answer::Authoritative,
                                ])>{{ __('outside.answer.' . $server->answer->value) }}</span><span
                                        class="lesser mono">{{
                                            $server->address ?? __('outside.record.no_address')
                                        }}{{ $server->serial === null ? '' : __(
                                            'outside.record.zone',
                                            ['serial' => $server->serial],
                                        ) }}</span>
                                </dd>
                            </div>
                        @endforeach
                        <div>
                            <dt>{{ __('outside.record.dnssec') }}</dt>
                            <dd>{{ $dns->delegation->signed === null
                                ? __('common.not_known')
                                : ($dns->delegation->signed ? __('outside.record.yes_the_registry_has_a_ds') : 'no') }}
                            </dd>
                        </div>
                        @if ($dns->delegation->ttl !== null)
                            <div>
                                <dt>{{ __('outside.record.a_change_takes_effect') }}</dt>
                                <dd>{{ $dns->delegation->ttl >= 3600 ? trans_choice(
                                    'outside.record.within_hours',
                                    (int) round($dns->delegation->ttl / 3600),
                                    ['count' => number_format($dns->delegation->ttl / 3600)],
                                ) : trans_choice('outside.record.within_seconds', $dns->delegation->ttl, [
                                    'count' => $dns->delegation->ttl,
                                ]) }}<span
                                        class="lesser">{{ __('outside.record.ttl') }}</span></dd>
                            </div>
                        @endif
                    </dl>
                @else
                    <p class="lesser">{{ __('outside.record.its_name_servers_have_not_been') }}</p>
                @endif
                @if ($page->operators() !== [])
                    <p><x-sentence of="outside.record.operator"><x-slot:servers><span
                                    class="mono">{{ collect($page->operators())->join(', ', __('outside.record.or')) }}</span></x-slot>
                                    </x-sentence>
                    </p>
                @endif
            </section>
            <section class="card" aria-labelledby="holder">
                <h2 id="holder">{{ __('outside.record.registrant_as_published') }}</h2>
                <dl class="facts">
                    @foreach (Acre\Core\Contact\Field::cases() as $field)
                        @if ($record->field($field)->value !== null)
                            <div>
                                <dt>{{ __('outside.holder.' . $field->value) }}</dt>
                                <dd><bdi>{{ $record->field($field)->value }}</bdi></dd>
                            </div>
                        @endif
                    @endforeach
                    @foreach ($record->redactedByReason() as $reason => $fields)
                        <div>
                            <dt><span class="redacted">{{ __('outside.record.redacted') }}</span></dt>
                            <dd>{{ ucfirst(
                                strtolower(implode(', ', array_map(fn($f) => __('outside.holder.' . $f->value), $fields))),
                            ) }}<span
                                    class="lesser"><bdi>{{ $reason === '' ? __('outside.record.no_reason_given') : $reason }}</bdi></span>
                            </dd>
                        </div>
                    @endforeach
                    @if ($record->holder === [])
                        <div>
                            <dt>{{ __('outside.record.nothing') }}</dt>
                            <dd>{{ __('outside.record.this_directory_publishes_no') }}</dd>
                        </div>
                    @endif
                    <div>
                        <dt>{{ __('outside.record.validated') }}</dt>
                        <dd>{{ $record->validated === null
                            ? __('outside.record.this_registry_does_not_say')
                            : ($record->validated ? __('outside.record.yes_by_the_registry')
                                : __('outside.record.no_the_registry_could_not')) }}
                        </dd>
                    </div>
                    @if ($record->reach !== null)
                        <div>
                            <dt>{{ __('outside.record.contact') }}</dt>
                            <dd class="mono"><bdi>{{ $record->reach }}</bdi></dd>
                        </div>
                    @endif
                    @if ($record->abuse !== null)
                        <div>
                            <dt>{{ __('outside.record.complaints') }}</dt>
                            <dd class="mono"><bdi>{{ $record->abuse }}</bdi></dd>
                        </div>
                    @endif
                </dl>
            </section>
        </div>
    @endif
    @if ($page->seen !== [])
        <table class="sheet low">
            <caption>{{ __('outside.record.sources') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('outside.record.source') }}</th>
                    <th scope="col">{{ __('outside.record.asked_on') }}</th>
                    <th scope="col">{{ __('outside.record.first_seen_so') }}</th>
                    <th scope="col">{{ __('common.last_seen') }}</th>
                    <th scope="col">{{ __('outside.record.answer') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->seen as $list)
                    @foreach ($list as $one)
                        <tr @class(['is-past' => !$loop->first])>
                            <th scope="row">
                                {{
                                    __('outside.source_short.' . $one->source->value)
                                }}{{ $loop->first ? '' : __('outside.record.earlier') }}
                            </th>
                            <td data-label="{{ __('outside.record.asked_on') }}" class="said">
                                @if ($loop->first)
                                <bdi class="mono">{{ $one->asked }}</bdi>@else<bdi>{{ $page->before($one, $list[0]) }}</bdi>
                                @endif
                            </td>
                            <td data-label="{{ __('outside.record.first_seen_so') }}">{{ App\Support\Dates::exact($one->first) }}</td>
                            <td data-label="{{ __('common.last_seen') }}">{{ App\Support\Dates::exact($one->last) }}</td>
                            <td data-label="{{ __('outside.record.answer') }}">
                                {{ $one->found ? '' : __('outside.record.no_such_name') }}<a
                                    href="{{ route('record.raw', [$domain->ascii, $one->id]) }}">{{ __('outside.record.raw_answer') }}</a>
                            </td>
                        </tr>
                    @endforeach
                @endforeach
            </tbody>
        </table>
    @endif
    @if (!$page->isHeld() && Gate::allows('prepare'))
        <section class="card apart" aria-labelledby="watch">
            <h2 id="watch">{{ $file === null ? __('outside.record.watch_this_name') : __('outside.record.reason_for_watching') }}</h2>
            <p class="lesser">{{ __('outside.record.a_watched_name_is_on_the_roll') }}</p>
            <form method="post" action="{{ route('record.watch', $domain->ascii) }}" class="fields">
                @csrf
                <div class="columns">
                <x-field name="client" type="choice" :label="__('outside.record.for_which')" :options="$clients" :value="$file?->clientId"/>
                    <x-field name="why" :label="__('common.why')" :value="$file?->watched?->why" maxlength="300" required />
                </div>
                <p><button>{{ $file === null ? __('outside.record.watch_this_name') : __('common.save') }}</button></p>
            </form>
            @if ($file !== null)
                <form method="post" action="{{ route('record.unwatch', $domain->ascii) }}">@csrf @method('delete')<p><button
                            class="plain">{{ __('outside.record.stop_watching') }}</button></p>
                </form>
            @endif
        </section>
    @endif
    @if ($settled->isNotEmpty())
        <section class="card apart" aria-labelledby="settled">
            <h2 id="settled">{{ __('outside.record.settled_earlier') }}</h2>
            <dl class="facts facts-wide">
                @foreach ($settled as $drift)
                    <div>
                        <dt>{{ App\Support\Dates::exact($drift->settled_at) }}</dt>
                        <dd><bdi>{{ $words->stored($drift->said) }}.</bdi><span
                                class="lesser">{{ $drift->state === App\Models\DriftState::Taken
                                    ? __('outside.record.roll_updated')
                                    : __('outside.record.no_longer_different') }}</span>
                        </dd>
                        <dd>
                            @if ($drift->docket_id !== null)
                                <a
                                    href="{{ route('dockets.show', $drift->docket_id) }}">{{ __(
                                        'outside.record.docket',
                                        ['docket_id' => $drift->docket_id],
                                    ) }}</a>
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endif
</x-layout>
