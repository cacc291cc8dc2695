<x-layout :title="__('rounds.letter.rounds_by_e_mail')" area="Rounds">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('rounds') }}">{{ __('rounds.letter_page.rounds') }}</a>
        / {{ __('rounds.letter_page.trail') }}</nav>
    <h1>{{ __('rounds.letter.rounds_by_e_mail') }}</h1>
    <p class="sentence">
        {{ $wanted ? __('rounds.letter.sent_to_every_morning', ['mailbox' => $mailbox]) : __(
            'rounds.letter.what_it_would_say_to_today',
            ['mailbox' => $mailbox],
        ) }}
        {{ $byMail ? '' : __('rounds.letter.no_mail_server_is_set_up_so') }}</p>
    <form method="post" action="{{ route('rounds.letter.update') }}" class="card">@csrf<input type="hidden" name="morning"
            value="{{ $wanted ? 0 : 1 }}">
        <p><button
                @class(['main' => !$wanted])>{{ $wanted
                    ? __('rounds.letter.stop_the_daily_e_mail')
                    : __('rounds.letter.e_mail_it_to_me_every_morning') }}</button>
        </p>
    </form>
    <section class="card" aria-labelledby="today">
        <h2 id="today">{{ $subject }}</h2>
        <pre class="letter" tabindex="0">{{ $letter }}</pre>
    </section>
    @if ($before !== [])
        <section class="card" aria-labelledby="before">
            <h2 id="before">{{ __('rounds.letter.earlier_letters') }}</h2>
            @foreach ($before as $one)
                <details>
                    <summary>{{ App\Support\Dates::full(Acre\Core\Time\Instant::of($one->text('day'))) }}:
                        {{ $one->text('subject') }}<span class="lesser"> {{
                            __('letters.state.' . $one->text('state'))
                        }}@if ($one->textOrNull('answer') !== null): <bdi>{{ $one->text('answer') }}</bdi>
                            @endif
                        </span></summary>
                    <pre class="letter" tabindex="0">{{ $one->text('body') }}</pre>
                </details>
            @endforeach
        </section>
    @endif
</x-layout>
