<x-layout :title="__('almanac.title')" area="Almanac">
    <h1>{{ __('almanac.title') }}</h1>
    <p class="told told-bad">{{ __('almanac.too_many.says') }}</p>
    <p class="head-deeds">
        @if ($shorter !== null)
            <a class="button" href="{{ $shorter }}">{{ __('almanac.too_many.shorter') }}</a>
        @endif
        @if ($asToday !== null)
            <a class="button" href="{{ $asToday }}">{{ __('almanac.too_many.as_today') }}</a>
        @endif
    </p>
    <h2>{{ __('almanac.too_many.choose') }}</h2>
    <ul class="plain-list">
        @foreach ($registrars as $one)
            <li><a href="{{ route('almanac', ['of' => "registrar-{$one->id}", 'months' => $months]) }}">{{ $one->name }}</a></li>
        @endforeach
    </ul>
</x-layout>
