@props(['sheaf'])
@can('prepare')
<aside class="foot" id="sheaf" aria-label="The sheaf" @if ($sheaf->count() === 0) hidden @endif>
    <div class="foot-say" aria-live="polite">
        <p><a href="{{ route('sheaf.show') }}" title="{{ __('words.explained.sheaf') }}"><strong data-sheaf-count>{{ number_format($sheaf->count()) }}</strong> <strong>in the sheaf</strong></a> <span class="lesser" data-sheaf-told>{{ $sheaf->told() }}</span></p>
    </div>
    <details class="menu up"><summary class="button">In our books</summary><div class="menu-sheet">@foreach (['give_to_client', 'record_renewal', 'change_intent', 'change_words', 'let_go'] as $deed)<a href="{{ route('deeds.show', [$deed, 'of' => 'sheaf']) }}">{{ __('deeds.'.$deed.'.title') }}</a>@endforeach</div></details>
    <details class="menu up"><summary class="button">At the registrar</summary><div class="menu-sheet">@foreach (['change_lock', 'change_auto_renew', 'change_disclosure', 'change_registrant', 'ask_code', 'put_servers_back'] as $deed)<a href="{{ route('deeds.show', [$deed, 'of' => 'sheaf']) }}">{{ __('deeds.'.$deed.'.title') }}</a>@endforeach</div></details>
    <a class="button main" href="{{ route('hand-over', ['of' => 'sheaf']) }}">Hand over</a>
    <form method="post" action="{{ route('sheaf.empty') }}">@csrf @method('delete')<button class="plain">Empty</button></form>
</aside>
@endcan
