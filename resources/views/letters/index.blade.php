<x-layout :title="__('common.letter_templates')" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('verification.index') }}">{{ __('common.verification') }}</a></nav>
    <h1>{{ __('common.letter_templates') }}</h1>
    <p class="sentence">{{ __('letters.index.letters_to_people_outside_a') }}</p>
    <table class="sheet">
        <thead>
            <tr>
                <th scope="col">{{ __('letters.index.letter') }}</th>
                <th scope="col">{{ __('letters.index.subject_for_three_names') }}</th>
                <th scope="col">{{ __('letters.index.text') }}</th>
                <th scope="col"><span class="hide">{{ __('common.change') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($kinds as $kind)
                @php($shown = $sample($kind, $texts->of($kind), 3))
                <tr>
                    <th scope="row">{{ $words->say('letters.title.' . $kind->value) }}</th>
                    <td data-label="{{ __('letters.form.subject') }}">{{ $shown->subject }}<details>
                            <summary>{{ __('common.contents') }}</summary>
                            <pre class="letter" tabindex="0">{{ $shown->body }}</pre>
                        </details>
                    </td>
                    <td data-label="{{ __('letters.index.text') }}">
                        {{ isset($own[$kind->value]) ? __(
                            'letters.index.our_own_since',
                            ['updated_at' => App\Support\Dates::full(Acre\Core\Time\Instant::from($own[$kind->value]->updated_at))],
                        ) : __('letters.index.default_text') }}
                    </td>
                    <td>
                        @can('settle')
                            <a href="{{ route('letter-texts.edit', $kind) }}">{{ __('common.change') }}</a>
                        @endcan
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
