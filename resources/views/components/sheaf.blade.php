@props(['sheaf'])
@can('prepare')
    <aside class="foot" id="sheaf" aria-label="{{ __('components.sheaf.the_sheaf') }}" @if ($sheaf->count() === 0) hidden @endif>
        <div class="foot-say" aria-live="polite">
            <p><a href="{{ route('sheaf.show') }}" title="{{ __('words.explained.sheaf') }}"><strong
                        data-sheaf-count>{{ number_format($sheaf->count()) }}</strong>
                    <strong>{{ __('components.sheaf.in_the_sheaf') }}</strong></a> <span class="lesser"
                    data-sheaf-told>{{ $sheaf->told() }}</span></p>
        </div>
        <details class="menu up">
            <summary class="button">{{ __('components.sheaf.in_our_record') }}</summary>
            <div class="menu-sheet">
                @foreach (['give_to_client', 'record_renewal', 'change_intent', 'change_words', 'remove_names'] as $deed)
                    <a href="{{ route('deeds.show', [$deed, 'of' => 'sheaf']) }}">{{ __('deeds.' . $deed . '.title') }}</a>
                @endforeach
            </div>
        </details>
        <details class="menu up">
            <summary class="button">{{ __('components.sheaf.at_the_registrar') }}</summary>
            <div class="menu-sheet">
                @foreach (
                    [
                        'renew',
                        'restore',
                        'change_lock',
                        'change_auto_renew',
                        'change_disclosure',
                        'change_registrant',
                        'request_code',
                        'transfer',
                        'transfer_away',
                        'change_servers',
                        'change_keys',
                        'change_records',
                        'redirect_names',
                        'restore_servers',
                    ] as $deed
                )
                    <a href="{{ route('deeds.show', [$deed, 'of' => 'sheaf']) }}">{{ __('deeds.' . $deed . '.title') }}</a>
                @endforeach
                <a href="{{ route('plans.create', ['of' => 'sheaf']) }}">{{ __('plans.create.title') }}</a>
            </div>
        </details>
        <a class="button main" href="{{ route('hand-over', ['of' => 'sheaf']) }}">{{ __('common.hand_over') }}</a>
        <form method="post" action="{{ route('sheaf.empty') }}">@csrf @method('delete')<button
                class="plain">{{ __('components.sheaf.empty') }}</button></form>
    </aside>
@endcan
