<x-layout :title="__('handover.choose.hand_over_names')" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('dockets.index') }}">{{ __('common.movements') }}</a> /
        {{ __('handover.choose.trail') }}</nav>
    <h1>{{ __('handover.choose.hand_over_names') }}</h1>
    <p class="sentence">
        @if ($emptied)
            {{ __('handover.choose.your_sheaf_is_empty') }}
        @endif
        <x-sentence of="handover.choose.what"><x-slot:handover><span class="term"
                    title="{{ __('words.explained.handover') }}">{{ __('handover.choose.handover') }}</span></x-slot><x-slot:roll><a
                    href="{{ route('roll') }}">{{ __('handover.choose.roll') }}</a></x-slot></x-sentence>
    </p>
    <form method="post" action="{{ route('hand-over.paste') }}" class="card fields">
        @csrf
        <x-field name="names" :label="__('handover.choose.names_one_per_line_or')" type="area" rows="8" required />
        <p><button class="main">{{ __('handover.choose.check_these_names') }}</button></p>
    </form>
</x-layout>
