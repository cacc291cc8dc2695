<x-layout title="Words and shortcuts">
    <h1>Words and shortcuts</h1>
    <p class="sentence">The words of ours that stand on these pages, and the keys that save a hand’s way.</p>
    <div class="cards">
        <section class="card" aria-labelledby="words-h"><h2 id="words-h">{{ __('words.ours_title') }}</h2>
            <dl class="facts">@foreach (__('words.explained') as $word => $means)<div><dt>{{ __('words.spelt.'.$word) }}</dt><dd>{{ $means }}</dd></div>@endforeach</dl>
        </section>
        <section class="card" aria-labelledby="trade-h"><h2 id="trade-h">{{ __('words.trade_title') }}</h2>
            <dl class="facts">@foreach (__('words.trade') as $word => $means)<div><dt>{{ $word }}</dt><dd>{{ $means }}</dd></div>@endforeach</dl>
        </section>
        <section class="card" aria-labelledby="keys-h"><h2 id="keys-h">Keys</h2>
            <dl class="facts">@foreach (__('words.keys') as $key => $does)<div><dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd></div>@endforeach</dl>
        </section>
        <section class="card" aria-labelledby="draw-h"><h2 id="draw-h">Drawings</h2>
            <dl class="facts">@foreach (__('words.shapes') as $shape => $means)<div><dt>{{ $shape }}</dt><dd>{{ $means }}</dd></div>@endforeach</dl>
        </section>
    </div>
</x-layout>
