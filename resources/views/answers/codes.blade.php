{{-- $names: whose codes are waiting; $codes: they themselves, by name, shown this once; null: not yet --}}
<x-layout plain :title="__('answers.codes.title')">
    <div class="answer">
        <h1>{{ trans_choice('answers.codes.heading', count($names), ['house' => $house, 'count' => number_format(count($names))]) }}</h1>
        @if ($codes === null)
            <p class="sentence">{{ __('answers.codes.said') }}</p>
            <section class="card" aria-labelledby="names">
                <h2 id="names">{{ count($names) === 1 ? __('common.the_name') : __('common.the_names') }}</h2>
                <ul class="answer-names">
                    @foreach ($names as $name)
                        <li class="name">{{ $name }}</li>
                    @endforeach
                </ul>
            </section>
            <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
                <p>{{ __('answers.codes.once') }}</p>
                <p><button name="answer" value="yes" class="main">{{ __('answers.codes.show') }}</button></p>
            </form>
        @else
            <p class="sentence">{{ __('answers.codes.copy') }}</p>
            <table class="sheet">
                <caption class="hide">{{ __('answers.codes.title') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('answers.codes.code') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($codes as $name => $code)
                        <tr>
                            <th scope="row" class="name">{{ $name }}</th>
                            <td data-label="{{ __('answers.codes.code') }}"><code class="values" tabindex="0">{{ $code }}</code></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    </div>
</x-layout>
