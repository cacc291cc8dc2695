<x-layout :title="__('hosting.places.title')" area="Outside">
    @include('outside.ways')
    <div class="head">
        <div>
            <h1>{{ __('hosting.places.title') }}</h1>
            <p class="sentence">{{ __('hosting.places.said') }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button{{ $places->isEmpty() ? ' main' : '' }}"
                    href="{{ route('places.create') }}">{{ __('hosting.places.add') }}</a></p>
        @endcan
    </div>
    @if ($places->isEmpty())
        <p class="empty">{{ __('hosting.places.none') }}</p>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('hosting.places.place') }}</th>
                    <th scope="col">{{ __('hosting.places.run_by') }}</th>
                    <th scope="col">{{ __('hosting.places.addresses') }}</th>
                    <th scope="col" class="sum">{{ __('hosting.places.hosts') }}</th>
                    <th scope="col" class="sum">{{ __('hosting.places.amiss') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($places as $place)
                    @php($count = $counted[$place->id] ?? null)
                    <tr>
                        <th scope="row"><a href="{{ route('places.show', $place) }}">{{ $place->name }}</a><span
                                class="lesser">{{ __('hosting.kind.' . $place->kind->value) }}</span></th>
                        <td data-label="{{ __('hosting.places.run_by') }}">{{ $place->value()->runBy() }}<span
                                class="lesser">{{ $place->plan }}</span></td>
                        <td class="mono" data-label="{{ __('hosting.places.addresses') }}">{{
                            $place->addresses === [] ? __('common.not_known') : implode(' ', $place->addresses)
                        }}</td>
                        <td class="sum" data-label="{{ __('hosting.places.hosts') }}">{{ number_format($count->hosts ?? 0) }}</td>
                        <td class="sum" data-label="{{ __('hosting.places.amiss') }}">
                            @if (($count->amiss ?? 0) === 0)
                                <span class="lesser">{{ __('hosting.places.all_fine') }}</span>
                            @else
                                <a class="is-soon" href="{{ route('places.show', [$place, 'amiss' => 1]) }}">{{
                                    number_format($count->amiss)
                                }}</a>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
