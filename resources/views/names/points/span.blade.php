{{-- When the change would be seen, now and after the TTLs were lowered. --}}
<section class="card" aria-labelledby="span-h">
    <h2 id="span-h">{{ __('servers.span.title', ['set' => $page->set->name]) }}</h2>
    @if ($page->now !== null)
        @php($waits = Acre\Core\Drawing\Waits::of($page->now, $page->lowered))
        @php($losses = $page->change->comparison()?->losses() ?? [])
        @php($isDead = $page->seen->after === null)
        @php($isMissing = collect($losses)->contains($told->isBad(...)))
        @php($x = fn(float $place): float => round(2 + 5.56 * $place, 1))
        <svg viewBox="0 0 560 112" role="img" aria-labelledby="span-t" class="span-drawing">
            <title id="span-t">{{ __('servers.span.drawing') }}</title>
            <defs>
                <pattern id="span-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <line class="p-hatch" x1="0" y1="0" x2="0" y2="7" />
                </pattern>
            </defs>
            @foreach ($waits->ticks as $tick)
                <line class="d-grid-strong" x1="{{ $x($tick->x) }}" x2="{{ $x($tick->x) }}" y1="16" y2="110" />
                <text class="d-label" x="{{ $x($tick->x) + 4 }}" y="12">{{ $tick->label }}</text>
            @endforeach
            <line class="d-today" x1="2" x2="2" y1="4" y2="110" />
            <rect class="p-some" x="2" y="22" width="{{ $x($waits->now) - 2 }}" height="15" />
            <rect fill="url(#span-hatch)" x="2" y="22" width="{{ $x($waits->now) - 2 }}" height="15" />
            <text class="p-note-{{ $isDead ? 'broken' : ($losses === [] ? 'fine' : 'weak') }}" x="8"
                y="52">{{ __(
                    $isDead ? 'servers.span.dead' : ($losses === [] ? 'servers.span.nobody' : 'servers.span.some'),
                    ['at' => App\Support\Dates::exact($page->now->answersUntil)],
                ) }}</text>
            @unless ($isDead)
                <rect class="d-expected" x="2" y="70" width="{{ $x($waits->lowered) - 2 }}" height="14" />
                <text class="p-note-fine" x="8"
                    y="100">{{ __('servers.span.lowered', ['at' => App\Support\Dates::exact($page->lowered->answersUntil)]) }}</text>
            @endunless
        </svg>
        @if ($isMissing)
            <p>{{ __('servers.span.add_first') }}</p>
        @endif
        <p class="lesser">{{ __('servers.span.why', [
            'registry' => $page->seen->standing->ttl === null ? __('common.not_known') : $told->span($page->seen->standing->ttl),
            'longest' => $told->span($page->seen->before->longest()),
        ]) }} {{ __('servers.span.own_browser') }}</p>
    @else
        <p>{{ __('servers.span.not_known') }}</p>
    @endif
    @php($dnssec = collect($page->change->findings())->first(fn($one) => $one->tag->isOfKeys()))
    <p>
        @if ($page->seen->after !== null && $dnssec !== null)
            <strong class="is-bad">{{ $words->finding($dnssec) }}.</strong>
        @else
            {{ __('servers.span.dnssec') }}
            @if ($page->seen->after === null)
                <strong>{{ __('servers.span.no_keys') }}</strong>
            @else
                <strong class="is-good">{{ $page->seen->delegates === []
                    ? __('servers.span.unsigned')
                    : __('servers.span.survives') }}</strong>
            @endif
        @endif
    </p>
    @if ($dnssec?->effect === Acre\Core\Finding\Effect::Stops && $page->plan !== null)
        <ol class="steps">
            <li>{{ $page->plan->off === null ? __('servers.plan.is_off') : __('servers.plan.off') }}</li>
            <li>{{ __('servers.plan.change', ['at' => App\Support\Dates::exact($page->plan->change)]) }}</li>
            <li>{{ $page->plan->on === null
                ? __('servers.plan.unsigned')
                : __('servers.plan.on', ['at' => App\Support\Dates::exact($page->plan->on)]) }}</li>
        </ol>
    @endif
</section>
