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
        @include('names.today')
        @include('names.people')
        @include('names.coming')
    </div>
    @can('prepare')
        @include('names.kept-code')
    @endcan
    <x-notes :of="$name" route="notes.on-name" />
    @include('names.happened')
</x-layout>
