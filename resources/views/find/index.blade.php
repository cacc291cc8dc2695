<x-layout title="Find" area="">
    <h1>Find</h1>
    <p class="sentence">{{ $text === '' ? 'Type any part of a name, an account’s number or login, a '.__(':served').', a mailbox, a registrar’s reference, or a docket’s number.' : 'What answers to “'.$text.'”.' }}</p>
    <form class="ask" action="{{ route('find') }}" role="search" aria-label="Find again">
        <input type="text" name="q" value="{{ $text }}" aria-label="What to find" maxlength="200" size="40"><button class="main">Find</button>
    </form>
    @if ($text !== '')<div class="card found-card">@include('find.found')</div>@endif
</x-layout>
