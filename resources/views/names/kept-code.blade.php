{{-- The auth code: that it is kept, and what may be done with it; never the code itself. --}}
<section class="card" aria-labelledby="code-h">
    <h2 id="code-h">Auth code</h2>
    <p>@if ($code === null)None is kept. <a href="{{ route('deeds.show', ['ask_code', 'name' => $name->ascii]) }}">Ask for it</a>, or write down what the registrar told you.@else<strong>One is kept</strong> since {{ App\Support\Dates::full($code->got_on) }}, {{ $code->got_from === 'registrar' ? 'told by the registrar' : 'typed by one of us' }}. <a href="{{ route('deeds.show', ['ask_code', 'name' => $name->ascii]) }}">Ask anew</a>@endif</p>
    @if ($code !== null)
        @can('settle')
            <form method="post" action="{{ route('names.code.show', $name) }}" class="fields">@csrf
                <div class="columns"><x-own-password name="own_password" label="Your own password, to see it"/></div>
                <p><button>Show it</button></p></form>
            <form method="post" action="{{ route('names.code.store', $name) }}" data-once>@csrf<input type="hidden" name="code" value=""><p><button>Forget it</button> <span class="lesser">Here only; at the registrar it stays as it is.</span></p></form>
        @endcan
    @endif
    @can('settle')
        <details @if ($errors->has('code')) open @endif><summary>Write one down</summary>
            <form method="post" action="{{ route('names.code.store', $name) }}" class="fields" data-once>@csrf
                <div class="columns"><x-field name="code" label="The code, as the registrar told it" type="password" autocomplete="off" required maxlength="100"/></div>
                <p><button>Keep it</button></p></form></details>
    @endcan
</section>
