<x-layout :title="__('rounds.dealt.title')" area="Rounds">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}">
        <a href="{{ route('rounds') }}">{{ __('rounds.dealt.rounds') }}</a></nav>
    <h1>{{ __('rounds.dealt.title') }}</h1>
    <p class="sentence">{{ __('rounds.dealt.says') }}</p>
    @if ($page->rows === [])
        <div class="empty">
            <p>{{ __('rounds.dealt.none') }}</p>
        </div>
    @else
        <table class="sheet rounds">
            <caption class="hide">{{ __('rounds.dealt.title') }}</caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('common.what') }}</th>
                    <th scope="col">{{ __('common.when') }}</th>
                    <th scope="col">{{ __('common.by') }}</th>
                    <th scope="col">{{ __('common.today') }}</th>
                    <th scope="col"><span class="hide">{{ __('common.edit') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows as $row)
                    @php([$done, $off] = [$row->instant('done_on')?->toDay(), $row->instant('off_until')?->toDay()])
                    @php($isAgain = in_array($row->text('thing'), $page->again, true))
                    <tr>
                        <th scope="row">
                            @if ($row->text('address') !== '')
                                <a class="thing"
                                    href="{{ $row->text('address') }}">{{ $row->text('title') }}</a>@else{{ $row->text('title') === ''
                                        ? $row->text('thing')
                                        : $row->text('title') }}
                            @endif <span class="rounds-says">{{ $row->text('says') }}</span>
                        </th>
                        <td><span
                                @class(['lesser' => $row->text('because') === ''])>{{ $row->text('because') === ''
                                    ? __('rounds.dealt.because')
                                    : $row->text('because') }}</span>
                        </td>
                        <td>{{ $row->text('by') }}<span class="lesser">{{ App\Support\Dates::exact($row->instant('updated_at')) }}</span>
                        </td>
                        <td @class(['is-bad' => $isAgain])>
                            {{ $done !== null ? __('rounds.dealt.done', ['day' => App\Support\Dates::near($done, $today)]) : __(
                                $off->isAfter($today) ? 'rounds.dealt.off' : 'rounds.dealt.over',
                                ['day' => App\Support\Dates::near($off, $today)],
                            ) }}
                            @if ($isAgain)
                                <span class="reason">{{ __('rounds.dealt.again') }}</span>
                            @endif
                        </td>
                        <td>
                            @can('prepare')
                                <form method="post" action="{{ route('rounds.mark') }}">@csrf<input type="hidden" name="thing"
                                        value="{{ $row->text('thing') }}"><button name="how"
                                        value="back">{{ __('rounds.dealt.back') }}</button></form>
                            @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($page->next !== null)
            <p><a href="{{ route('rounds.dealt', ['after' => $page->next]) }}">{{ __('common.earlier') }}</a></p>
        @endif
    @endif
</x-layout>
