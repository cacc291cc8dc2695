<section class="card apart" aria-labelledby="offers">
    <h2 id="offers">{{ __('registrars.offers.heading') }}</h2>
    @if ($offers->isEmpty())
        <p class="lesser">{{ __('registrars.offers.none') }}</p>
    @else
        <dl class="facts facts-wide">
            @foreach ($offers as $one)
                <div @class(['is-past' => $one->span->until?->hasComeAt($today) === true])>
                    <dt><span class="mono">{{ $one->suffix === null ? __('registrars.offers.every') : ".{$one->suffix}" }}</span>,
                        {{ __('words.action.' . $one->action) }}</dt>
                    <dd><strong>{{ $one->price()?->text() ?? __('registrars.offers.off', [
                        'percent' => rtrim(rtrim((string) $one->percent, '0'), '.'),
                    ]) }}</strong>
                        @if ($one->first_only)
                            {{ __('registrars.offers.first_only') }}
                        @endif
                        @if ($one->code !== null)
                            <span class="lesser">{{ __('registrars.offers.with_code') }} <bdi class="mono">{{ $one->code }}</bdi></span>
                        @endif
                    </dd>
                    <dd>{{ $one->span->until === null
                        ? __('registrars.offers.since', ['since' => App\Support\Dates::full($one->span->from)])
                        : __('registrars.offers.span', [
                            'since' => App\Support\Dates::full($one->span->from),
                            'until' => App\Support\Dates::full($one->span->until->plusDays(-1)),
                        ]) }}</dd>
                    @can('prepare')
                        <dd>
                            <form method="post" action="{{ route('registrars.offers.withdraw', [$registrar, $one]) }}">@csrf
                                @method('delete')<button class="plain">{{ __('registrars.offers.withdraw') }}</button></form>
                        </dd>
                    @endcan
                </div>
            @endforeach
        </dl>
    @endif
    @can('prepare')
        <form method="post" action="{{ route('registrars.offers.store', $registrar) }}" class="fields">
            @csrf
            <div class="columns">
                <x-field name="offer_suffix" :label="__('registrars.show.suffix')" maxlength="100"
                    :note="__('registrars.offers.every_said')"/>
                <x-field name="offer_action" type="choice" :label="__('registrars.show.for')" value="renew"
                    :options="collect(App\Models\Offer::ACTIONS)->mapWithKeys(fn($one) => [$one => __('words.action.' . $one)])->all()"/>
                <x-field name="offer_percent" :label="__('registrars.offers.percent')" inputmode="decimal" maxlength="8"/>
                <x-field name="offer_amount" :label="__('registrars.offers.or_price')" inputmode="decimal" maxlength="14"/>
                <x-field name="offer_currency" :label="__('registrars.show.currency')" :value="config('house.currency')"
                    maxlength="3" required/>
                <x-field name="offer_code" :label="__('registrars.offers.code')" maxlength="60" :note="__('registrars.offers.code_said')"/>
                <x-field name="offer_since" :label="__('common.from')" type="date" :value="$today->date()" required/>
                <x-field name="offer_until" :label="__('registrars.offers.until')" type="date" value=""/>
            </div>
            <label class="tick"><input type="checkbox" name="offer_first_only" value="1" @checked(old('offer_first_only') === '1')>
                {{ __('registrars.offers.first_only_tick') }}</label>
            <p><button>{{ __('registrars.offers.add') }}</button></p>
        </form>
    @endcan
</section>
