{{-- What pays only for some things: $credits as they were recorded, and $purse, which says what is left of them. --}}
<section class="card apart" aria-labelledby="credits">
    <h2 id="credits">{{ __('money.credit.heading') }}</h2>
    @if ($credits->isEmpty())
        <p class="lesser">{{ __('money.credit.none') }}</p>
    @else
        <dl class="facts facts-wide">
            @foreach ($credits as $one)
                <div @class(['is-past' => $one->lost_on !== null && Acre\Core\Time\Instant::of($one->lost_on)->hasComeAt($today)])>
                    <dt><strong>{{ $one->sum()->text() }}</strong></dt>
                    <dd>{{ __('money.credit.for')[$one->action ?? ''] }}@if ($one->suffixes !== [])
                            {{ __('money.credit.of') }} <span class="mono">.{{ implode(', .', $one->suffixes) }}</span>
                        @endif
                        <span class="reason lesser">{{ __('money.credit.said', ['day' => App\Support\Dates::full($one->said_on)]) }}
                            {{ $one->lost_on === null ? '' : __('money.credit.lost', [
                                'day' => App\Support\Dates::full(Acre\Core\Time\Instant::of($one->lost_on)),
                            ]) }}</span>
                    </dd>
                    @can('prepare')
                        <dd>
                            <form method="post" action="{{ route('accounts.credits.withdraw', [$account, $one]) }}" class="in-line">@csrf
                                @method('delete')<button class="plain">{{ __('money.credit.withdraw') }}</button></form>
                        </dd>
                    @endcan
                </div>
            @endforeach
        </dl>
        <p>{{ $left === [] ? __('money.credit.used_up') : __('money.credit.left', ['sum' => implode(' + ', $left)]) }}
            <span class="lesser">{{ __('money.credit.how') }}</span></p>
    @endif
    @can('prepare')
        <form method="post" action="{{ route('accounts.credits.store', $account) }}" class="fields" data-once>@csrf
            <div class="columns">
                <x-field name="credit_amount" :label="__('money.amount')" required inputmode="decimal" maxlength="14"/>
                <x-field name="credit_currency" :label="__('money.currency')" :value="$currency" required maxlength="3"/>
                <x-field name="credit_action" type="choice" :label="__('money.credit.pays')" value="" :options="__('money.credit.for')"/>
                <x-field name="credit_suffixes" :label="__('money.credit.suffixes')" maxlength="2000"
                    :note="__('money.credit.suffixes_said')"/>
                <x-field name="credit_lost_on" :label="__('money.credit.lost_on')" type="date" value=""/>
            </div>
            <p><button>{{ __('money.credit.add') }}</button></p>
        </form>
    @endcan
</section>
