@php($count = count($verdicts->clear))
@php($judged = $verdicts->kept)
@php($all = count($verdicts->kept))
@php($stopped = $verdicts->stopped())
@php($what = fn(int $n): string => trans_choice('common.names_told', $n, ['told' => number_format($n)]))
@php($whose = $receiver === null ? '' : $receiver->owner?->name ?? $receiver->registrar->name . ' ' . $receiver->number)
@php($givers = collect($judged)->groupBy(fn($one) => $one->giver()))
@php($shownOf = collect($rows)->groupBy(fn($one) => $one->giver()))
<x-layout :title="__('handover.show.hand_over', ['all' => $what($all)])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> /
        @if ($request->filled('name'))
            <a
                href="{{ route(
                    'names.show',
                    $judged[0]->file->facts->name->ascii ?? $request->input('name'),
                ) }}">{{ $judged[0]->file->facts->name->unicode ?? '' }}</a>
        @elseif ($request->input('of') === 'sheaf')
            {{ __('handover.show.the_sheaf', ['all' => $what($all)]) }}
        @else
            {{ __('handover.show.pasted_list', ['all' => $what($all)]) }}
        @endif
    </nav>
    @include('handover.terms')
    @if ($request->input('of') === 'sheaf')
        <x-in-step />
    @endif
    <div class="cards cards-deed">
        @include('handover.receiver')
        @include('handover.changes')
    </div>
    @if ($receiver !== null || $stopped > 0)
        @include('deeds.groups')
    @endif
    @include('handover.verdicts')
    @if (count($rows) < $all)
        <p>{{ __('deeds.show.more_alike', ['names' => $what($all - count($rows))]) }} <a
                href="{{ $address(['rows' => 'all']) }}">{{ __('deeds.show.show_all') }}</a></p>
    @endif
    <x-slot:foot>
        @include('handover.foot')
    </x-slot:foot>
</x-layout>
