{{-- `plain`: for somebody outside the house, whoever else is signed in on the same machine. --}}
@props(['title', 'area' => '', 'plain' => false])
@inject('clock', App\Support\TradeClock::class)
<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}">

<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>
        {{ __(
            'components.layout.title',
            ['title' => isset($errors) && $errors->any() ? __('forms.refused_title', ['title' => $title]) : $title],
        ) }}
    </title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>

<body>
    <a class="skip" href="#main">{{ __('components.layout.skip_to_the_content') }}</a>
    <header class="mast">
        @if ($plain)<span
            class="mast-mark"><x-mark />{{ __('common.acre_roll') }}</span>@else<a class="mast-mark"
                href="{{ route('rounds') }}"><x-mark />{{ __('common.acre_roll') }}</a>@endif
        @if (!$plain && auth()->check())
            <nav class="mast-areas" aria-label="{{ __('components.layout.areas') }}">
                @foreach ([
                    'rounds' => 'Rounds',
                    'roll' => 'Roll',
                    'movements.index' => 'Movements',
                    'contacts.index' => 'People',
                    'almanac' => 'Almanac',
                    'drift.index' => 'Outside',
                ] as $route => $word)
                    @if (Route::has($route))
                        <a href="{{ route($route) }}" @if ($area === $word) aria-current="page" @endif>{{ $word }}</a>
                    @endif
                @endforeach
            </nav>
            <form class="mast-find" action="{{ route('find') }}" role="search">
                <input type="search" name="q" aria-label="{{ __('components.layout.find') }}"
                    placeholder="{{ __('components.layout.find') }}" maxlength="200">
                <kbd aria-hidden="true">/</kbd>
                <div class="menu-sheet mast-found" data-found hidden></div>
            </form>
            <time class="mast-day" datetime="{{ $clock->today()->date() }}">{{ App\Support\Dates::full($clock->today()) }}</time>
            <a class="mast-help" href="{{ route('words') }}" aria-label="{{ __('components.layout.glossary_and_shortcuts') }}"
                title="{{ __('components.layout.glossary_and_shortcuts') }}">?</a>
            <details class="menu mast-who">
                <summary>{{ Str::before(auth()->user()->name, ' ') }}</summary>
                <div class="menu-sheet">
                    <p class="lesser">{{ auth()->user()->name }}<br>{{ __('words.role.' . auth()->user()->role->value) }}</p>
                    <p><a href="{{ route('me') }}">{{ __('settings.yours') }}</a></p>
                    @can('run')<p><a href="{{ route('house') }}">{{ __('settings.title') }}</a></p>
                        @foreach (__('settings.section') as $route => $said)
                            @continue($route === 'house')
                            <p class="inner"><a href="{{ route($route) }}">{{ $said }}</a></p>
                        @endforeach @endcan
                        <form method="post" action="{{ route('sign-out') }}">@csrf<button
                                class="plain">{{ __('components.layout.sign_out') }}</button></form>
                    </div>
                </details>
            @endif
        </header>
        <main id="main" tabindex="-1">
            @if (session('told'))
                <p class="told" role="status">{{ session('told') }}</p>
            @endif
            <x-errors />
            {{ $slot }}
        </main>
        @isset($foot)
            {{ $foot }}
        @elseif (!$plain && auth()->check())
            @inject('current', App\View\CurrentSheaf::class)
            <x-sheaf :sheaf="$current->get()" />
            @endif
        </body>

        </html>
