@php($one = count($names) === 1)
@php($what = $one ? 'this domain name' : 'these '.number_format(count($names)).' domain names')
<x-layout plain title="Please say whether you agree">
    <div class="answer">
        <h1>{{ $house }} asks whether you agree: {{ $isNew ? 'you are to become the holder of '.$what : $what.($one ? ' is' : ' are').' to get another holder' }}</h1>
        <p class="sentence">@if (! $isNew)The new holder: <strong><bdi>{{ $who }}</bdi></strong>. @endif The letter went to {{ $mailbox }}. Nothing is changed before you have agreed{{ $by === null ? '' : ', by '.App\Support\Dates::full($by) }}.</p>
        <section class="card" aria-labelledby="names"><h2 id="names">{{ $one ? 'The name' : 'The names' }}</h2>
            <ul class="answer-names">@foreach ($names as $name)<li class="name">{{ $name->text('unicode') }}</li>@endforeach</ul>
        </section>
        @if ($isNew)
            <section class="card"><h2>What will stand on record</h2>
                <dl class="facts">@foreach ($data as $field => $value)<div><dt>{{ ucfirst($words->say('contacts.field.'.$field)) }}</dt><dd><bdi>{{ $value }}</bdi></dd></div>@endforeach</dl>
            </section>
        @endif
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>I agree</h2>
            <p>{{ $isNew ? 'I am, or speak for, the new holder, and agree to this:' : 'I am, or speak for, the holder until now, and agree that '.($one ? 'it passes' : 'they pass').' to the new one, by this:' }} <bdi>{{ $agreement }}</bdi></p>
            <p><button name="answer" value="yes" class="main">I agree</button> <span class="lesser">This can’t be taken back here.</span></p>
        </form>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>I don’t agree</h2>
            <x-field name="words" label="Why, if you like to say" maxlength="900"/>
            <p><button name="answer" value="no">I don’t agree</button></p>
        </form>
    </div>
</x-layout>
