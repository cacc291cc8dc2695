<x-layout title="A letter that came" area="People">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('received.index') }}">Letters that came</a></nav>
    <h1>A letter that came</h1>
    <form method="post" action="{{ route('received.store') }}" enctype="multipart/form-data" class="card fields" data-once>
        @csrf
        <div class="columns">
            <x-choice name="kind" label="It is" words="contacts.received.kind"/>
            <x-field name="sender" label="From" required maxlength="300" note="A registry, a registrar, a lawyer, a person"/>
            <x-field name="received_on" type="date" label="It came on" :value="$today->date()" required/>
            <x-field name="answer_by" type="date" label="To be answered by" note="Empty: it need not be"/>
        </div>
        <x-field name="about" type="area" label="What it says" rows="3" maxlength="4000" required/>
        <x-field name="names" type="area" label="The names that it is about" rows="3" note="One a line, or with commas between; names of the Roll"/>
        <div class="field"><label for="f-file">The letter itself</label><input id="f-file" type="file" name="file">@error('file')<p class="wrong">{{ $message }}</p>@enderror</div>
        <p><button class="main">Keep it</button> <a class="button" href="{{ route('received.index') }}">Leave it</a></p>
    </form>
</x-layout>
