<x-layout :title="__('dockets.proof.proof_of_docket', ['id' => $docket->id])" area="Movements">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('dockets.index') }}">{{ __('common.movements') }}</a> /
        <a href="{{ route('dockets.show', $docket) }}">{{ __('dockets.proof.docket', ['id' => $docket->id]) }}</a> /
        {{ __('dockets.proof.trail') }}</nav>
    <article class="deed-paper">
        <x-letterhead />
        <h1>{{ __('dockets.proof.proof') }}</h1>
        <p>
            {{ __(
                'dockets.proof.started_on',
                [
                    'settled_on' => App\Support\Dates::full($docket->settled_on),
                    'lines' => lcfirst($deed->headline($docket->terms, count($lines))),
                ],
            ) }}
            @if ($receiver !== null)
                <x-sentence :of="$receiver->owner === null ? 'dockets.proof.to_account' : 'dockets.proof.to_account_of'"
                    :with="['registrar' => $receiver->registrar->name, 'owner' => $receiver->owner?->name]">
                    <x-slot:number><strong>{{ $receiver->number }}</strong></x-slot>
                </x-sentence>
            @endif
            {{ __('dockets.proof.settled_by', ['day' => App\Support\Dates::full($docket->closed_on)]) }}
        </p>
        <table class="sheet low">
            <thead>
                <tr>
                    <th scope="col">{{ __('common.name') }}</th>
                    <th scope="col">{{ __('dockets.proof.before') }}</th>
                    <th scope="col">{{ __('dockets.proof.after') }}</th>
                    <th scope="col">{{ __('dockets.proof.result') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($lines as $line)
                    @php($done = $line->state === App\Models\LineState::Done)
                    <tr>
                        <th scope="row"><span class="name">{{ $line->name->unicode }}</span>
                            @if ($line->name->unicode !== $line->name->ascii)
                                <span class="lesser mono">{{ $line->name->ascii }}</span>
                            @endif
                        </th>
                        <td data-label="{{ __('dockets.proof.before') }}">
                            {{ $line->before['account'] ?? collect($line->before)->first() }}@isset($line->before['account'])
                            <span class="lesser">{{ __('dockets.proof.for', ['client' => $line->before['client'] ?? '']) }}</span>
                        @endisset
                    </td>
                    <td data-label="{{ __('dockets.proof.after') }}">
                        {{ ($done ? $line->after : $line->before)['account'] ?? collect(
                            $done ? $line->after : $line->before,
                        )->first() }}@isset($line->before['account'])
                        <span
                            class="lesser">{{ __(
                                'dockets.proof.for',
                                ['client' => ($done ? $line->after : $line->before)['client'] ?? ''],
                            ) }}</span>
                    @endisset
                </td>
                <td data-label="{{ __('dockets.proof.result') }}">
                    @if ($done)
                        {{ __(
                            $receiver === null ? 'dockets.proof.done_on' : 'dockets.proof.handed_over_on',
                            ['day' => App\Support\Dates::full($line->done_on)],
                        ) }}@else{{ $words->say('words.line_state.' . $line->state->value) }}
                        @if ($line->reason !== null)
                            <span class="lesser">{{ $line->reason }}</span>
                        @endif
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
<h2>{{ __('dockets.proof.how_to_verify_it') }}</h2>
<p>{{ __('dockets.proof.the_text_below_states_the_same') }}</p>
<p class="values">{{ $proof->sha256 }}</p>
<p><x-sentence of="dockets.proof.verify"><x-slot:download><a
                href="{{ route('dockets.proof-text', $docket) }}">{{ __('dockets.proof.download') }}</a></x-slot>
                <x-slot:command><code class="mono">sha256sum docket-{{ $docket->id }}.txt</code></x-slot></x-sentence></p>
<details open>
    <summary>{{ __('dockets.proof.text') }}</summary>
    <pre tabindex="0">{{ $proof->text }}</pre>
</details>
<p class="no-paper head-deeds"><a class="button main"
        href="{{ route('dockets.proof-text', $docket) }}">{{ __('dockets.proof.download_the_text') }}</a> <button type="button"
        data-print>{{ __('common.print') }}</button></p>
</article>
</x-layout>
