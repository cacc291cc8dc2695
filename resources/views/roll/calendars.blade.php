<x-layout :title="__('roll.calendars.calendars')" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a> /
        {{ __('roll.calendars.trail') }}</nav>
    <h1>{{ __('roll.calendars.calendars') }}</h1>
    <p class="sentence">{{ __('roll.calendars.links_that_your_calendar_app') }}</p>
    @if (session('address') !== null)
        <section class="card" aria-labelledby="new">
            <h2 id="new">{{ __('roll.calendars.new_calendar_link') }}</h2>
            <p>{{ __('roll.calendars.add_it_to_your_calendar_app') }}</p>
            <p class="values" tabindex="0">{{ session('address') }}</p>
        </section>
    @endif
    @if ($calendars->isEmpty())
        <div class="empty">
            <h2>{{ __('roll.calendars.no_calendar_links_yet') }}</h2>
            <p>{{ __('roll.calendars.how') }} <a href="{{ route('roll') }}">{{ __('roll.calendars.to_roll') }}</a></p>
        </div>
    @else
        <table class="sheet">
            <caption class="hide">{{ __('roll.calendars.your_calendar_links') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.names') }}</th>
                    <th scope="col">{{ __('common.since') }}</th>
                    <th scope="col">{{ __('roll.calendars.last_read') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.action') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($calendars as $one)
                    <tr>
                        <th scope="row"><a
                                href="{{ route('roll', $one->sentence) }}">{{ $one->sentence === []
                                    ? __('roll.calendars.every_name')
                                    : collect($one->sentence)->map(fn($value, $word) => $word . ' ' . $value)->join(', ') }}</a>
                        </th>
                        <td data-label="{{ __('common.since') }}">
                            {{ App\Support\Dates::full(Acre\Core\Time\Instant::from($one->created_at)) }}</td>
                        <td data-label="{{ __('roll.calendars.last_read') }}">
                            {{ $one->asked_at === null ? 'never' : App\Support\Dates::exact(Acre\Core\Time\Instant::from($one->asked_at)) }}
                        </td>
                        <td class="sum">
                            <form method="post" action="{{ route('calendars.destroy', $one) }}">@csrf @method('delete')<button
                                    class="grave">{{ __('roll.calendars.revoke') }}</button></form>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
