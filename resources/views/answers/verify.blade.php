<x-layout plain title="Please confirm what is on record">
    <div class="answer">
        <h1>{{ $house }} asks you to confirm what is on record</h1>
        <p class="sentence">You stand as the holder of {{ count($names) === 1 ? 'this domain name' : number_format(count($names)).' domain names' }}. The letter went to {{ $mailbox }}{{ match (true) {
            $by === null => '',
            $isOver => '; an answer was wanted by '.App\Support\Dates::full($by).': '.(count($names) === 1 ? 'it' : 'they').' may be switched off until there is one',
            default => '; please answer by '.App\Support\Dates::full($by).', or '.(count($names) === 1 ? 'it is' : 'they are').' switched off',
        } }}.</p>
        <section class="card" aria-labelledby="names"><h2 id="names">{{ count($names) === 1 ? 'The name' : 'The names' }}</h2>
            <ul class="answer-names">@foreach ($names as $name)<li class="name">{{ $name->text('unicode') }}</li>@endforeach</ul>
        </section>
        @foreach ($contacts as $contact)
            <section class="card"><h2>On record</h2>
                <dl class="facts">@foreach ($contact as $field => $value)<div><dt>{{ ucfirst($words->say('contacts.field.'.$field)) }}</dt><dd><bdi>{{ $value }}</bdi></dd></div>@endforeach</dl>
            </section>
        @endforeach
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>It is right</h2>
            <p>I am, or speak for, the holder, and letters to this mailbox reach us.</p>
            <p><button name="answer" value="yes" class="main">It is right</button></p>
        </form>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>Something is wrong</h2>
            <x-field name="words" label="What is wrong" maxlength="900" required/>
            <p><button name="answer" value="no">It is wrong</button></p>
        </form>
    </div>
</x-layout>
