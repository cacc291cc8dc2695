{{-- What its dates bring. --}}
<section class="card" aria-labelledby="come">
    <h2 id="come">{{ __('names.show.what_happens_next') }} <span
            class="aside">{{ $coming->otherwise === [] ? __('names.show.if_nothing_is_done') : '' }}</span></h2>
    <dl class="facts">
        @forelse ($coming->expected as [$at, $says, $missed])
            <div>
                <dt>{{ App\Support\Dates::full($at) }}</dt>
                <dd>{{ $says }}@if ($missed !== '')
                        <span class="lesser">{{ __('names.show.missed', ['missed' => $missed]) }}</span>
                    @endif
                </dd>
            </div>
        @empty
            <div>
                <dt>{{ __('names.show.nothing') }}</dt>
                <dd>{{ $life->facts->ends === null
                    ? __('names.show.its_expiry_is_not_known')
                    : ($coming->otherwise === [] ? __('names.show.nothing_more_by_its_dates')
                        : __('names.show.unless_auto_renew_failed')) }}
                </dd>
            </div>
        @endforelse
    </dl>
    @if ($coming->otherwise !== [])
        <details @if ($life->mayBeRenewed()) open @endif>
            <summary>{{ $life->mayBeRenewed() ? __('names.show.if_auto_renew_failed') : __('names.show.if_auto_renew_fails') }}
            </summary>
            <dl class="facts">
                @foreach ($coming->otherwise as [$at, $says, $missed])
                    <div>
                        <dt>{{ App\Support\Dates::full($at) }}</dt>
                        <dd>{{ $says }}@if ($missed !== '')
                                <span class="lesser">{{ __('names.show.missed', ['missed' => $missed]) }}</span>
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </details>
    @endif
</section>
