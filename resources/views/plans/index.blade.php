<x-layout :title="__('movements.ways')['plans.index']" area="Movements">
    @include('movements.ways')
    <h1>{{ __('movements.ways')['plans.index'] }}</h1>
    <p class="sentence">{{ __('plans.index.said') }}</p>
    @if ($plans->isEmpty())
        <p class="empty">{{ __('plans.index.none') }}</p>
    @else
        <table class="sheet">
            <thead>
                <tr>
                    <th scope="col">{{ __('plans.index.plan') }}</th>
                    <th scope="col">{{ __('plans.index.to') }}</th>
                    <th scope="col">{{ __('plans.index.state') }}</th>
                    <th scope="col" class="sum">{{ __('plans.show.done') }}</th>
                    <th scope="col" class="sum">{{ __('plans.show.left') }}</th>
                    <th scope="col">{{ __('plans.index.made') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($plans as $plan)
                    <tr>
                        <th scope="row"><a
                                href="{{ route('plans.show', $plan) }}">{{ __('plans.index.plan_number', ['id' => $plan->id]) }}</a></th>
                        <td>{{ $plan->account->registrar->name }} {{ $plan->account->number }}</td>
                        <td><span class="{{ $plan->state === App\Models\PlanState::Stopped ? 'is-bad' : '' }}">{{
                            __('plans.state.' . $plan->state->value)
                        }}</span></td>
                        <td class="sum" data-label="{{ __('plans.show.done') }}">{{ number_format($progress[$plan->id]->done) }}</td>
                        <td class="sum" data-label="{{ __('plans.show.left') }}">{{ number_format($progress[$plan->id]->left) }}</td>
                        <td>{{ App\Support\Dates::full($plan->made_on) }} <span class="lesser">{{ $plan->maker->name }}</span></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        {{ $plans->links('components.pages') }}
    @endif
</x-layout>
