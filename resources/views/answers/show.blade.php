<x-layout plain :title="$count === 1 ? 'A name is to be handed to you' : $count.' names are to be handed to you'">
    <div class="answer">
        <h1>{{ $house }} is about to hand you {{ $count === 1 ? 'a domain name' : number_format($count).' domain names' }}</h1>
        <p class="sentence">To your account {{ $account }} at {{ $registrar }}. This letter went to {{ $mailbox }}. Nothing moves before you have agreed{{ $by === null ? '' : ', by '.App\Support\Dates::full($by) }}.</p>
        <section class="card" aria-labelledby="names"><h2 id="names">{{ $count === 1 ? 'The name' : 'The names' }}</h2>
            <ul class="answer-names">@foreach ($lines as $line)<li class="name">{{ $line->name->unicode }}</li>@endforeach</ul>
            @if ($count > $lines->count())<p class="lesser">and {{ number_format($count - $lines->count()) }} more</p>@endif
        </section>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>Yes, hand {{ $count === 1 ? 'it' : 'them' }} to me</h2>
            <p>Type what names your account, so that {{ $count === 1 ? 'it' : 'they' }} can’t come to a stranger.</p>
            <div class="columns">@foreach ($identifiers as $identifier)<x-field :name="$identifier->value" :label="$words->say('letters.identifier.'.$identifier->value)" required maxlength="200" autocomplete="off"/>@endforeach</div>
            <p><button name="answer" value="yes" class="main">I take {{ $count === 1 ? 'it' : 'them' }}</button> <span class="lesser">This can’t be taken back here.</span></p>
        </form>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>No</h2>
            <x-field name="words" label="Why, if you like to say" maxlength="900"/>
            <p><button name="answer" value="no">I don’t want {{ $count === 1 ? 'it' : 'them' }}</button></p>
        </form>
    </div>
</x-layout>
