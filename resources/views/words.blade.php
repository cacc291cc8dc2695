<x-layout :title="__('words.page.glossary_and_shortcuts')">
    <h1>{{ __('words.page.glossary_and_shortcuts') }}</h1>
    <p class="sentence">{{ __('words.page.words_we_use_on_these_pages') }}</p>
    <p><a class="button" href="{{ route('guide') }}">{{ __('words.page.read_guide') }}</a></p>
    <div class="cards">
        <section class="card" aria-labelledby="words-h">
            <h2 id="words-h">{{ __('words.ours_title') }}</h2>
            <dl class="facts">
                @foreach (__('words.explained') as $word => $means)
                    <div>
                        <dt>{{ __('words.spelt.' . $word) }}</dt>
                        <dd>{{ $means }}</dd>
                    </div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="trade-h">
            <h2 id="trade-h">{{ __('words.trade_title') }}</h2>
            <dl class="facts">
                @foreach (__('words.trade') as $word => $means)
                    <div>
                        <dt>{{ $word }}</dt>
                        <dd>{{ $means }}</dd>
                    </div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="keys-h">
            <h2 id="keys-h">{{ __('words.page.keys') }}</h2>
            <dl class="facts">
                @foreach (__('words.keys') as $key => $does)
                    <div>
                        <dt><kbd>{{ $key }}</kbd></dt>
                        <dd>{{ $does }}</dd>
                    </div>
                @endforeach
            </dl>
        </section>
        <section class="card" aria-labelledby="draw-h">
            <h2 id="draw-h">{{ __('words.page.drawings') }}</h2>
            <dl class="facts">
                @foreach (__('words.shapes') as $shape => $means)
                    <div>
                        <dt>{{ $shape }}</dt>
                        <dd>{{ $means }}</dd>
                    </div>
                @endforeach
            </dl>
        </section>
    </div>
</x-layout>
