<ol class="steps">
    @foreach ($steps as $step)
        <li value="{{ $step->place }}"><strong>{{ $words->say('words.leg.' . $step->verb . '.do') }}</strong><span
                class="lesser">{{ __(
                    'dockets.steps.if_not_done',
                    ['verb' => $words->say('words.leg.' . $step->verb . '.otherwise')],
                ) }}</span>
            @foreach ($step->values as $what => $value)
                <div class="copy"><span class="lesser">{{ ucfirst($what) }}</span> <code class="values"
                        tabindex="0">{{ $value }}</code></div>
            @endforeach
            @if ($step->showsNames)
                <div class="copy"><span
                        class="lesser">{{ count($lot->lines) === 1 ? __('common.the_name') : __(
                            'dockets.steps.the_names_one_per_line',
                            ['lines' => count($lot->lines)],
                        ) }}</span>
                    <pre class="values" tabindex="0">{{ $lot->names() }}</pre>
                </div>
            @endif
            @foreach ($step->letters as $letter)
                <p class="lesser">
                    {{ $words->say(
                        'dockets.letter.' . $letter->asks . ($letter->from === null ? '' : '_from'),
                        ['registrar' => $letter->registrar, 'from' => (string) $letter->from],
                    ) }}
                    <span class="mono">{{ implode(', ', $letter->to) }}</span>:
                    {{ $words->say('dockets.letter.' . $letter->asks . '_settles') }}.</p>
            @endforeach
        </li>
    @endforeach
</ol>
