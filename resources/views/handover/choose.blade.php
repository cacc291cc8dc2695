<x-layout title="Hand over names" area="Movements">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('dockets.index') }}">Movements</a> / hand over</nav>
    <h1>Hand over names</h1>
    <p class="sentence">@if ($emptied) Your sheaf is empty. @endif A <span class="term" title="{{ __('words.explained.handover') }}">handover</span> takes names from one account to another at the same registrar. Tick them on <a href="{{ route('roll') }}">the Roll</a>, or paste them here.</p>
    <form method="post" action="{{ route('hand-over.paste') }}" class="card fields">
        @csrf
        <x-field name="names" label="Names, in any form, one a line or between commas" type="area" rows="8" required/>
        <p><button class="main">Judge these names</button></p>
    </form>
</x-layout>
