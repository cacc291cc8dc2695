@php($undone = $import->state === App\Models\ImportState::Undone)
@php($title = $undone ? __('imports.done.undone') : trans_choice(
    'imports.done.title',
    $import->rows_written,
    ['told' => number_format($import->rows_written)],
))
<x-layout :title="$title" area="Roll">
    <nav class="trail" aria-label="{{ __('imports.where') }}"><a href="{{ route('imports.create') }}">{{ __('imports.title') }}</a> /
        {{ $import->file }}</nav>
    <h1>{{ $title }}</h1>
    <p class="sentence">{{ __('imports.done.from', ['file' => $import->file, 'registrar' => $import->registrar->name]) }}
        @include('imports.counts') <a href="{{ route('roll') }}">{{ __('imports.done.to_the_roll') }}</a></p>
    @if ($undone && $import->rows_written > 0)
        <p class="told told-bad">
            {{ trans_choice('imports.done.kept', $import->rows_written, ['told' => number_format($import->rows_written)]) }}</p>
    @elseif ($undone)
        <p class="told">{{ __('imports.done.as_before') }}</p>
    @endif
    @include('imports.rows')
    @if (!$undone && $import->rows_written > 0)
        <section class="card" aria-labelledby="back">
            <h2 id="back">{{ __('imports.done.undo_title') }}</h2>
            @if ($touched === [])
                <p>{{ __('imports.done.undo_what') }}</p>
                <form method="post" action="{{ route('imports.take-back', $import) }}" data-once>@csrf
                    <button>{{ __('imports.done.undo') }}</button></form>
            @else
                @php($few = collect($touched)->take(5)->map(
                    fn($row) => Acre\Core\Name\DomainName::of($row->text('ascii'))->unicode,
                )->join(', '))
                <p>{{ trans_choice(
                    count($touched) === 100
                        ? 'imports.done.touched_many'
                        : (count($touched) > 5 ? 'imports.done.touched_some' : 'imports.done.touched'),
                    count($touched),
                    ['count' => count($touched), 'names' => $few],
                ) }}
                </p>
            @endif
        </section>
    @endif
</x-layout>
