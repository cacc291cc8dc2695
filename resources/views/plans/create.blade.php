@php($said = $terms?->said() ?? [])
@php($old = fn(string $key, string|int $otherwise): string => (string) ($said[$key] ?? ($request->word($key) !== ''
    ? $request->word($key)
    : $otherwise)))
<x-layout :title="__('plans.create.title')" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('plans.index') }}">{{ __('movements.ways')['plans.index'] }}</a> / {{ trans_choice('common.names_told', $count, [
                'told' => number_format($count),
            ]) }}</nav>
    <h1>{{ trans_choice('plans.create.heading', $count, ['count' => number_format($count)]) }}</h1>
    @if ($made === null)
        <p class="sentence">{{ __('plans.create.said') }}</p>
    @else
        <p class="sentence">{{ trans_choice('plans.create.can_go', $made->placed(), [
            'count' => number_format($made->placed()),
            'last' => $made->plan->ends() === null ? '' : App\Support\Dates::full($made->plan->ends()),
            'sum' => implode(' + ', array_map(fn($sum) => $sum->text(), $made->sums())),
        ]) }}
            @if ($made->renewals() !== [])
                {{ __('plans.create.renewals', ['sum' => implode(' + ', array_map(fn($sum) => $sum->text(), $made->renewals()))]) }}
            @endif
            @if (count($made->cannot) + count($made->plan->without()) > 0)
                <strong class="is-bad">{{ trans_choice('plans.create.cannot', count($made->cannot) + count($made->plan->without()), [
                    'count' => number_format(count($made->cannot) + count($made->plan->without())),
                ]) }}</strong>
            @endif
            @if ($made->lost() !== [])
                <strong class="is-soon">{{ __('plans.create.late', [
                    'sum' => implode(' + ', array_map(fn($sum) => $sum->text(), $made->lost())),
                ]) }}</strong>
            @endif
        </p>
    @endif
    <form method="get" action="{{ route('plans.create') }}" class="card fields">
        @foreach ($request->which() as $key => $value)
            @if (is_string($value))
                <input type="hidden" name="{{ $key }}" value="{{ $value }}">
            @endif
        @endforeach
        <div class="columns">
            <x-field name="account" type="choice" :label="__('deeds.transfer.to_account')" :value="$old('account', '')"
                :options="['' => __('common.choose')] + $choices" required/>
            <x-field name="start" type="date" :label="__('plans.create.start')" :value="$old('start', $today->date())"/>
            <x-field name="per_day" type="number" min="1" max="1000" :label="__('plans.create.per_day')" :value="$old('per_day', 20)"/>
            <x-field name="pilot" type="number" min="0" max="1000" :label="__('plans.create.pilot')" :note="__('plans.create.pilot_said')"
                :value="$old('pilot', 3)"/>
            <x-field name="stop_at" type="number" min="0" max="100" :label="__('plans.create.stop_at')"
                :note="__('plans.create.stop_at_said')" :value="$old('stop_at', 5)"/>
            <x-field name="budget" type="number" min="0" max="9999999" :label="__('plans.create.budget')"
                :note="__('plans.create.budget_said')" :value="$old('budget', '')"/>
            <x-field name="quiet_from" type="date" :label="__('plans.create.quiet_from')" :value="$old('quiet_from', '')"/>
            <x-field name="quiet_to" type="date" :label="__('plans.create.quiet_to')" :value="$old('quiet_to', '')"/>
            <x-field name="authority" type="choice" :label="__('deeds.transfer.authority')" :value="$old('authority', 'contract')"
                :options="__('words.authority')"/>
        </div>
        <div class="field">
            <input type="hidden" name="weekends" value="0"><input type="hidden" name="renews" value="0">
            <label class="tick"><input type="checkbox" name="weekends" value="1" @checked($old('weekends', '0') === '1')>
                {{ __('plans.create.weekends') }}</label>
            <label class="tick"><input type="checkbox" name="renews" value="1" @checked($old('renews', '1') === '1')>
                {{ __('deeds.transfer.renews') }}</label>
        </div>
        <p><button @class(['main' => $made === null])>{{ __($made === null
            ? 'plans.create.plan'
            : 'plans.create.plan_again') }}</button></p>
    </form>
    @if ($terms === null && $request->filled('account'))
        <p class="told told-bad" role="alert">{{ __('plans.errors.incomplete') }}</p>
    @endif
    @if ($compared !== [])
        @include('plans.compared')
    @endif
    @if ($made !== null)
        @include('plans.drawing')
        @if (count($names) > count($drawing->rows))
            <p><a href="{{ route('plans.create', [...$request->which(), ...$said, 'rows' => 'all']) }}">{{ __('plans.create.draw_all', [
                'count' => number_format(count($names)),
            ]) }}</a></p>
        @endif
        @if ($made->cannot !== [] || $made->plan->without() !== [])
            <table class="sheet apart">
                <caption>{{ __('plans.create.without') }}</caption>
                <thead>
                    <tr>
                        <th scope="col" class="c-name">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('deeds.show.reasons') }}</th>
                        <th scope="col">{{ __('common.what_to_do') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach (array_slice($made->cannot, 0, 100) as $one)
                        <tr>
                            @php($name = $one->file->facts->name)
                            <th scope="row"><a class="name" href="{{ route('names.show', $name->ascii) }}">{{ $name->unicode }}</a></th>
                            <td>
                                @foreach ($one->readiness->reasons() as $finding)
                                    <span class="reason is-bad">{{ $words->finding($finding) }}.</span>
                                @endforeach
                            </td>
                            <td>@include('deeds.cures', ['findings' => $one->readiness->reasons(), 'file' => $one->file])</td>
                        </tr>
                    @endforeach
                    @foreach (array_slice($made->plan->without(), 0, 100) as $placed)
                        @php($file = $made->names[$placed->candidate->key]->file)
                        <tr>
                            <th scope="row"><a class="name"
                                    href="{{ route('names.show', $file->facts->name->ascii) }}">{{ $file->facts->name->unicode }}</a></th>
                            <td><span class="reason is-bad">{{ __('plans.why.' . $placed->why->value) }}</span></td>
                            <td></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
        <x-slot:foot>
            <div class="foot" role="region" aria-label="{{ __('deeds.show.what_will_happen') }}">
                <div class="foot-say">
                    <p><strong>{{ __('plans.create.nothing_moves') }}</strong></p>
                    <p class="lesser">{{ __('plans.create.after', ['share' => $terms->stopAt]) }}</p>
                </div>
                @if ($made->placed() > 0)
                    <form method="post" action="{{ route('plans.store') }}" data-once>@csrf
                        @foreach ([...$request->which(), ...$said] as $key => $value)
                            @if (!is_array($value))
                                <input type="hidden" name="{{ $key }}" value="{{ $value }}">
                            @endif
                        @endforeach
                        <input type="hidden" name="token" value="{{ $token }}"><button
                            class="main">{{ __('plans.create.save') }}</button></form>
                @endif
            </div>
        </x-slot:foot>
    @endif
</x-layout>
