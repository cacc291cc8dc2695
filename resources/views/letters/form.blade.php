<x-layout :title="$words->say('letters.title.'.$kind->value)" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('letter-texts.index') }}">What our letters say</a></nav>
    <h1>{{ $words->say('letters.title.'.$kind->value) }}</h1>
    <div class="cards cards-deed">
        <form method="post" action="{{ route('letter-texts.update', $kind) }}" class="card fields">
            @csrf @method('put')
            <input type="hidden" name="version" value="{{ $errors->has('version') ? $version : old('version', $version) }}">
            <x-field name="subject" label="Subject" :value="$written->subject" maxlength="200" required/>
            <x-field name="body" type="area" label="What it says" :value="$written->body" rows="19" maxlength="10000" required/>
            <p><button name="act" value="look">Look at it</button> <button class="main" name="act" value="save">Save</button> <a class="button" href="{{ route('letter-texts.index') }}">Leave it</a></p>
            <details @if ($errors->has('body')) open @endif><summary>What can stand in it</summary>
                <dl class="facts facts-wide">@foreach ($kind->words() as $word)<div><dt class="mono">:{{ $word }}</dt><dd>{{ $words->say('letters.word.'.$word) }}@if (in_array($word, $kind->needs(), true))<span class="lesser">must be there</span>@endif</dd></div>@endforeach
                    <div><dt class="mono">{one|many}</dt><dd>the one where it is about one name, the other where about more</dd></div></dl>
            </details>
        </form>
        <div>
            @foreach (['For one name' => $one, 'For three names' => $many] as $when => $shown)
                <section class="card"><h2>{{ $when }}</h2><p><strong>{{ $shown->subject }}</strong></p><pre class="letter" tabindex="0">{{ $shown->body }}</pre></section>
            @endforeach
        </div>
    </div>
    @if ($isOwn)<form method="post" action="{{ route('letter-texts.destroy', $kind) }}">@csrf @method('delete')<p><button>As it ships again</button></p></form>@endif
</x-layout>
