{{-- What can be done with it today, and what stands in the way. --}}
<section class="card" aria-labelledby="may">
    <h2 id="may">{{ __('names.show.what_you_can_do_today') }}</h2>
    <dl class="facts">
        <div>
            <dt>{{ __('names.show.handover') }}</dt>
            <dd><x-verdict :readiness="$handover" :words="$words" />
                <span
                    class="lesser">{{ __('names.show.any_account_at', ['registrar_name' => $file->account->registrarName]) }}</span>
                @foreach ($handover->findings as $finding)
                    <span class="lesser">{{ $words->finding($finding) }}</span>
                @endforeach
            </dd>
            @can('prepare')<dd>
                    @if ($file->waiting !== null)
                        <a
                        href="{{ route('dockets.show', $file->waiting->docket) }}">{{ __(
                            'names.show.docket',
                            ['docket' => $file->waiting->docket],
                        ) }}</a>@else<a
                            href="{{ route('hand-over', ['name' => $name->ascii]) }}">{{ __('common.start') }}</a>
                    @endif
                </dd>
            @endcan
        </div>
        <div>
            <dt>{{ __('names.show.renewal') }}</dt>
            <dd>
                @if ($life->rescue() === Acre\Core\Rulebook\Rescue::Nothing)
                    <span class="is-bad">{{ __('names.show.no_longer_possible') }}</span>
                @elseif ($life->rescue() === Acre\Core\Rulebook\Rescue::Restore)
                    <span class="is-bad">{{ __('names.show.only_after_a_restore') }}</span>
                @elseif ($life->addableYears() > 0)
                    {{ trans_choice('names.show.up_to_years', $life->addableYears()) }}
                @elseif ($life->facts->ends === null)
                    {{ __('names.show.its_expiry_is_not_known') }}
                @elseif ($life->renewableFrom() !== null)
                    {{ __('names.show.not_before', ['renewable_from' => $words->near($life->renewableFrom())]) }}
                @else
                    {{ trans_choice('names.show.no_year_fits', $life->rules->yearsAhead->value) }}
                @endif
                <span
                    class="lesser">{{ $price }}{{ $life->rules->isDefault
                        ? __('names.show.by_cautious_default_rules')
                        : '' }}</span>
                <a class="in-text lesser" href="{{ route('rulebook.show', $name->suffix) }}">{{ __(
                    'names.show.rules_of',
                    ['suffix' => $name->suffix],
                ) }}</a>
            </dd>
            @can('prepare')@if ($life->isRenewable())
                <dd><a href="{{ route('deeds.show', ['renew', 'name' => $name->ascii]) }}">{{ __('names.show.renew') }}</a></dd>
            @elseif ($life->rescue() === Acre\Core\Rulebook\Rescue::Restore)
                <dd><a href="{{ route('deeds.show', ['restore', 'name' => $name->ascii]) }}">{{ __('names.show.restore') }}</a></dd>
            @endif @endcan
        </div>
        <div>
            <dt>{{ __('names.show.another_registrar') }}</dt>
            <dd>@php($stopping = $life->facts->againstTransfer()) @if ($stopping !== [])
                    <span class="is-bad">{{ __('names.show.not_now') }}</span><span
                        class="lesser">{{ __(
                            'names.show.its_status_is',
                            ['stopping' => implode(', ', array_column($stopping, 'value'))],
                        ) }}</span>
                    @endif
                    @foreach ($name->disputes as $dispute)
                        <span class="is-bad">{{ $words->finding($dispute->kind->finding()) }}</span>
                    @endforeach
                    @forelse ($life->holdsNow() as $hold)
                        <span
                            class="is-soon">{{ __(
                                'names.show.transfer_not_before',
                                ['until' => $words->near($hold->until)],
                            ) }}</span><span
                            class="lesser">{{
                                $words->say('words.reason.' . $hold->reason->value)
                            }}</span>@empty @if ($stopping === [] && $name->disputes->isEmpty())
                            {{ __('names.show.no_obstacle_known') }}
                        @endif
                    @endforelse
            </dd>
            @can('prepare')
                <dd><a href="{{ route('deeds.show', ['transfer', 'name' => $name->ascii]) }}">{{ __('names.show.transfer') }}</a></dd>
            @endcan
        </div>
        <div>
            <dt>{{ __('common.lock') }}</dt>
            @php($isLocked = $life->facts->isLocked())
            <dd>
                @if ($life->rules->mayBeLocked())
                    {{ $words->say('words.lock.' . ($isLocked ? 'on' : $life->facts->lock->value)) }}
                @else
                    {{ __('names.show.none_under', ['suffix' => $name->suffix]) }}
                @endif
            </dd>
            @can('prepare')@if ($life->rules->hasLock->value)
                <dd><a
                        href="{{ route(
                            'deeds.show',
                            ['change_lock', 'name' => $name->ascii, 'lock' => $isLocked ? 'off' : 'on'],
                        ) }}">{{ $isLocked ? __('names.show.lift_the_lock') : __('names.show.set_the_lock') }}</a>
                </dd>
            @endif @endcan
        </div>
        <div>
            <dt><span class="term" title="{{ $words->say('words.explained.intent') }}">{{ __('common.intent') }}</span></dt>
            @php($decided = App\View\WhoDecided::of($name->registration))
            <dd>{{ $words->say('words.intent.' . $life->facts->intent->value) }}
                @if ($decided?->address !== null)
                    <a class="in-text lesser" href="{{ $decided->address }}">{{ $decided->said }}</a>
                @elseif ($decided !== null)
                    <span class="lesser">{{ $decided->said }}</span>
                @endif
                @php($there = App\View\RenewsThere::of($name->renewSetting, $file))
                @if ($there !== null)
                    <span class="lesser @if (!$there->isAsMeant) is-bad @endif">{{ $there->said }}</span>
                @endif
            </dd>
            @can('prepare')
                <dd><a href="{{ route('deeds.show', ['change_auto_renew', 'name' => $name->ascii]) }}">{{ __('common.change') }}</a>
                </dd>
            @endcan
        </div>
    </dl>
</section>
