<x-layout :title="__('clients.merge.title', ['kept' => $client->name])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('clients.index') }}">{{ __('common.clients') }}</a> /
        <a href="{{ route('clients.show', $client) }}">{{ $client->name }}</a></nav>
    <h1>{{ __('clients.merge.title', ['kept' => $client->name]) }}</h1>
    <p class="sentence">{{ __('clients.merge.what') }}</p>
    @if ($alike !== [])
        <p>{{ __('clients.merge.alike') }} @foreach ($alike as $id => $name)
                <a class="in-text"
                    href="{{ route('clients.merge', [$client, 'other' => $id]) }}">{{ $name }}</a>{{ $loop->last ? '' : ', ' }}
            @endforeach
        </p>
    @endif
    <form action="{{ route('clients.merge', $client) }}" class="card fields">
        <div class="columns">
        <x-field name="other" type="choice" :label="__('clients.merge.other')" :options="$choices" :value="$other?->id" />
            <div class="field turn"><button>{{ __('clients.merge.look') }}</button></div>
        </div>
    </form>
    @if ($other !== null)
        <section class="card apart" aria-labelledby="moves">
            <h2 id="moves">{{ __('clients.merge.moves', ['other' => $other->name, 'kept' => $client->name]) }}</h2>
            <ul>
                @foreach (array_filter($moves) as $what => $count)
                    <li>{{ trans_choice('clients.merge.count.' . $what, $count, ['told' => number_format($count)]) }}</li>
                    @endforeach @if (array_filter($moves) === [])
                        <li>{{ __('clients.merge.nothing') }}</li>
                    @endif
            </ul>
            <p>{{ __('clients.merge.spelling', ['other' => $other->name]) }}</p>
            <form method="post" action="{{ route('clients.merge', $client) }}" data-once>@csrf<input type="hidden" name="other"
                    value="{{ $other->id }}"><button
                    class="main">{{ __('clients.merge.do', ['other' => $other->name, 'kept' => $client->name]) }}</button> <a
                    class="button" href="{{ route('clients.show', $client) }}">{{ __('common.cancel') }}</a></form>
        </section>
    @endif
</x-layout>
