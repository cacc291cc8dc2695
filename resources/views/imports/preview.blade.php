@php
    $absent = $counts['missing'] ?? 0;
    $will = $counts['new'] + $counts['changed'];
    $does = ucfirst(
        implode(
            ', ',
            array_filter([
                $will > 0 ? trans_choice('imports.preview.import', $will, ['told' => number_format($will)]) : null,
                $absent > 0 ? trans_choice('imports.preview.list_missing', $absent, ['told' => number_format($absent)]) : null,
            ]),
        ),
    );
@endphp
<x-layout :title="__('imports.preview.title')" area="Roll">
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('imports.create') }}">{{ __('imports.title') }}</a> /
        {{ $import->file }}</nav>
    <h1>{{ __('imports.preview.title') }}</h1>
    <p class="sentence">
        {{ trans_choice(
            'imports.preview.of',
            array_sum($counts) - $absent,
            ['told' => number_format(array_sum($counts) - $absent), 'file' => $import->file, 'registrar' => $import->registrar->name],
        ) }}
        @include('imports.counts')</p>
    @include('imports.rows')
    <form method="post" action="{{ route('imports.write', $import) }}" id="write" data-once>
        @csrf
        @if ($overridden > 0)
            <fieldset class="card fields">
                <legend class="hide">{{ __('names.history.why') }}</legend>
                <p>{{ trans_choice('imports.overrides', $overridden, ['told' => number_format($overridden)]) }}</p>
                <x-field name="because" :label="__('names.history.why')" maxlength="500" required />
            </fieldset>
        @endif
        @foreach (['clients' => $clients, 'accounts' => $accounts] as $key => $missing)
            @continue($missing === [])
            <fieldset class="card fields">
                <legend class="hide">{{ ucfirst(__('imports.preview.kind.' . $key)) }}</legend>
                <p>{{ trans_choice(
                    'imports.preview.unknown.' . $key,
                    count($missing),
                    ['count' => count($missing), 'registrar' => $import->registrar->name],
                ) }}
                </p>
                <div class="columns">
                    @foreach ($missing as $row)
                        <label class="tick"><input type="checkbox" name="{{ $key }}[]" value="{{ $row->text('value') }}"
                                checked> {{ $row->text('value') }} <span
                                class="lesser">{{ trans_choice(
                                    'imports.preview.lines',
                                    $row->int('lines'),
                                    ['told' => number_format($row->int('lines'))],
                                ) }}</span></label>
                    @endforeach
                </div>
            </fieldset>
        @endforeach
    </form>
    @include('imports.discard')
    <x-slot:foot>
        <div class="foot" role="region" aria-label="{{ __('imports.preview.title') }}">
            <div class="foot-say">
                <p><strong>{{ trans_choice(
                    'imports.preview.sum',
                    $absent,
                    [
                        'new' => number_format($counts['new']),
                        'changed' => number_format($counts['changed']),
                        'missing' => number_format($absent),
                    ],
                ) }}</strong>
                    {{ $counts['refused'] > 0 ? trans_choice(
                        'imports.preview.refused',
                        $counts['refused'],
                        ['told' => number_format($counts['refused'])],
                    ) : '' }}
                </p>
                <p class="lesser">{{ __('imports.preview.since') }}</p>
            </div>
            <a class="button" href="{{ route('imports.edit', $import) }}">{{ __('imports.preview.again') }}</a>
            @if (auth()->user()->can('isGuarded', $import))
                <span class="is-soon">{{ __('forms.guarded_list') }}</span>
            @elseif ($does !== '')
            <button form="write" class="main">{{ $does }}</button>@else<span
                    class="lesser">{{ __('imports.preview.nothing') }}</span>
            @endif
        </div>
    </x-slot:foot>
</x-layout>
