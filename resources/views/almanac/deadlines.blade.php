@if ($deadlines !== [])
    <section class="card apart" aria-labelledby="deadlines">
        <h2 id="deadlines">{{ __('almanac.deadlines.heading') }}</h2>
        <dl class="facts facts-wide">
            @foreach ($deadlines as $one)
                <div>
                    <dt>{{ App\Support\Dates::full($one->at) }}</dt>
                    <dd><span @class(['is-bad' => $one->kind === 'last'])>{{ __('almanac.deadlines.' . $one->kind) }}</span></dd>
                    <dd>
                        @foreach ($one->first as $name)
                            <a class="name in-text" href="{{ route('names.show', $name) }}">{{ $name }}</a>
                        @endforeach
                        @if ($one->names > count($one->first))
                            {{ trans_choice('almanac.and_more', $one->names - count($one->first), [
                                'count' => number_format($one->names - count($one->first)),
                            ]) }}
                        @endif
                    </dd>
                </div>
            @endforeach
        </dl>
        @if (count($deadlines) === App\Queries\Almanac\ReadDeadlines::MOST)
            <p class="lesser">{{ __('almanac.deadlines.first') }}</p>
        @endif
    </section>
@endif
