<x-layout :title="'The auth code of '.$name->unicode" area="Roll">
    <div class="door">
        <nav class="trail" aria-label="Where you are"><a href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a> / its auth code</nav>
        <h1>The auth code of {{ $name->unicode }}</h1>
        <p><code class="values" tabindex="0">{{ $code }}</code></p>
        <p>Whoever has it can take the name to another registrar while the lock is off. It is not shown again before your password is asked again, and the log says that you saw it.</p>
        <p><a class="button" href="{{ route('names.show', $name) }}">Back to the folio</a></p>
    </div>
</x-layout>
