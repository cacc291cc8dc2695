<x-layout :title="__('common.find')" area="">
    <h1>{{ __('common.find') }}</h1>
    <p class="sentence">{{ $text === '' ? __('find.index.type_any_part_of_a_name_an') : __('find.index.results_for', ['text' => $text]) }}
    </p>
    <form class="ask" action="{{ route('find') }}" role="search" aria-label="{{ __('find.index.search_again') }}">
        <input type="text" name="q" value="{{ $text }}" aria-label="{{ __('find.index.search_for') }}" maxlength="200"
            size="40"><button class="main">{{ __('common.find') }}</button>
    </form>
    @if ($text !== '')
        <div class="card found-card">@include('find.found')</div>
    @endif
</x-layout>
