@php([$file, $last, $own, $dns, $record] = [$page->file, $page->last, $page->own, $page->dns, $page->record])
@php($isUnheld = $file instanceof App\Queries\Names\UnheldCase)
@php($isWatched = $file instanceof App\Queries\Names\WatchedCase)
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
        @if ($isUnheld)
            {{ __('outside.record.it_is_not_on_the_roll') }}
        @elseif ($isWatched)
            <x-sentence of="outside.record.watched_for" :with="['day' => App\Support\Dates::full($file->since)]"><x-slot:client><a
                        href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></x-slot>
                        <x-slot:why><bdi>{{ $file->why }}</bdi></x-slot></x-sentence>
        @endif
        @if ($past !== null)
                {{ __(
                    'outside.record.held_here_for_at',
                    ['client' => $past->client->name, 'registrar' => $past->account->registrar->name, 'number' => $past->account->number],
                ) }}{{
                    $past->span->until === null
                        ? ''
                        : ' ' . __('outside.record.until', ['until' => App\Support\Dates::full($past->span->until)])
                }}. @can('run')
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
    @include('outside.drift-of-name')
    @endif
    @if ($record !== null)
        @include('outside.facts')
        <div class="cards">
            @include('outside.statuses')
            @include('outside.servers')
            @include('outside.holder')
        </div>
    @endif
    @include('outside.seen')
    @if (!$page->isHeld() && Gate::allows('prepare'))
        <section class="card apart" aria-labelledby="watch">
            <h2 id="watch">{{ $isUnheld ? __('outside.record.watch_this_name') : __('outside.record.reason_for_watching') }}</h2>
            <p class="lesser">{{ __('outside.record.a_watched_name_is_on_the_roll') }}</p>
            <form method="post" action="{{ route('record.watch', $domain->ascii) }}" class="fields">
                @csrf
                <div class="columns">
                <x-field name="client" type="choice" :label="__('outside.record.for_which')" :options="$clients"
                        :value="$file->clientId ?? null" />
                    <x-field name="why" :label="__('common.why')" :value="$file->why ?? null" maxlength="300" required />
                </div>
                <p><button>{{ $isUnheld ? __('outside.record.watch_this_name') : __('common.save') }}</button></p>
            </form>
            @if ($isWatched)
                <p><a href="{{ route('names.create', ['name' => $domain->ascii]) }}">{{ __('outside.record.bring_it_in') }}</a></p>
                <form method="post" action="{{ route('record.unwatch', $domain->ascii) }}">@csrf @method('delete')<p><button
                            class="plain">{{ __('outside.record.stop_watching') }}</button></p>
                </form>
            @endif
        </section>
    @endif
    @include('outside.settled')
</x-layout>
