@php
    $absent = $counts['missing'] ?? 0;
    $will = $counts['new'] + $counts['changed'];
    $does = collect([$will > 0 ? 'Bring '.number_format($will).($will === 1 ? ' name' : ' names').' in' : null, $absent > 0 ? 'tell '.number_format($absent).' as missing' : null])->filter()->join(', ');
@endphp
<x-layout title="What would happen" area="Roll">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('bring-in.create') }}">Bring names in</a> / {{ $import->file }}</nav>
    <h1>What would happen</h1>
    <p class="sentence">Of {{ number_format(array_sum($counts) - $absent) }} lines in {{ $import->file }}, from {{ $import->registrar->name }}:
        @foreach ($counts as $one => $count)<a href="{{ route('bring-in.show', [$import, 'verdict' => $one]) }}" class="pick {{ $one === 'refused' && $count > 0 ? 'is-bad' : '' }}" @if ($one === $verdict) aria-current="true" @endif>{{ number_format($count) }} {{ __('imports.verdict.'.$one) }}</a>{{ $loop->last ? '.' : ',' }} @endforeach</p>
    @include('imports.rows')
    <form method="post" action="{{ route('bring-in.write', $import) }}" id="write" data-once>
        @csrf
        @if ($overridden > 0)
            <fieldset class="card fields"><legend class="hide">{{ __('names.history.why') }}</legend><p>{{ trans_choice('imports.overrides', $overridden, ['told' => number_format($overridden)]) }}</p><x-field name="because" :label="__('names.history.why')" maxlength="500" required/></fieldset>
        @endif
        @foreach (['clients' => [$clients, 'clients are named that nobody has written down yet. Those ticked are made:'], 'accounts' => [$accounts, 'accounts at '.$import->registrar->name.' are named that nobody has written down yet. Those ticked are made, as the house’s own:']] as $key => [$missing, $says])
            @if ($missing !== [])
                <fieldset class="card fields"><legend class="hide">{{ ucfirst($key) }}</legend><p>{{ count($missing) }} {{ count($missing) === 1 ? str_replace([$key.' ', ' are named', 'Those ticked are made'], [rtrim($key, 's').' ', ' is named', 'If ticked it is made'], $says) : $says }}</p>
                    <div class="columns">@foreach ($missing as $row)<label class="tick"><input type="checkbox" name="{{ $key }}[]" value="{{ $row->text('value') }}" checked> {{ $row->text('value') }} <span class="lesser">{{ number_format($row->int('lines')) }} {{ $row->int('lines') === 1 ? 'line' : 'lines' }}</span></label>@endforeach</div></fieldset>
            @endif
        @endforeach
    </form>
    @include('imports.discard')
    <x-slot:foot>
        <div class="foot" role="region" aria-label="What will happen">
            <div class="foot-say"><p><strong>{{ number_format($counts['new']) }} new, {{ number_format($counts['changed']) }} changed{{ $absent > 0 ? ', '.number_format($absent).' told as missing' : '' }}.</strong> {{ $counts['refused'] > 0 ? number_format($counts['refused']).' refused: they are left out and stay listed here.' : '' }}</p><p class="lesser">New names are held since today; who held them before stays not known. As long as nothing else touches them it can be taken back as a whole.</p></div>
            <a class="button" href="{{ route('bring-in.edit', $import) }}">Match the columns again</a>
            @if (auth()->user()->can('isGuarded', $import))<span class="is-soon">{{ __('forms.guarded_list') }}</span>@elseif ($does !== '')<button form="write" class="main">{{ ucfirst($does) }}</button>@else<span class="lesser">There is nothing to write.</span>@endif
        </div>
    </x-slot:foot>
</x-layout>
