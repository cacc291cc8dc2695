{{-- What was refused, first on the page and in focus; each leads to its field where it has one (errors.js). --}}
@if (isset($errors) && $errors->any())
    @php($told = collect($errors->getMessages())->map(fn(array $messages): array => array_values(array_unique($messages))))
    <section class="told told-bad" role="alert" tabindex="-1" data-errors aria-labelledby="errors">
        <h2 id="errors">{{ trans_choice('forms.refused', $told->flatten()->unique()->count()) }}</h2>
        <ul>
            @foreach ($told->flatMap(
                fn(array $messages, string $field): array => array_map(fn(string $message): array => [$field, $message], $messages),
            )->unique(1)->take(50) as [$field, $message])
                <li data-field="{{ $field }}"><bdi>{{ $message }}</bdi></li>
            @endforeach
        </ul>
    </section>
@endif
