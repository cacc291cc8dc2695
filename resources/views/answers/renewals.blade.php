{{-- $ask: what a client is asked; $lines: the names that are still to be answered --}}
@php($typed = request()->input('name'))
@php($typed = is_array($typed) ? $typed : [])
<x-layout plain :title="__('answers.renewals.title')">
    <div class="answer">
        <h1>{{ trans_choice('answers.renewals.heading', count($lines), [
            'house' => $house,
            'count' => number_format(count($lines)),
        ]) }}</h1>
        <p class="sentence">{{ __('answers.renewals.said', ['by' => App\Support\Dates::full($ask->by())]) }}</p>
        <form method="post" action="{{ route('answers.store', $token) }}" data-once>
            <table class="sheet">
                <caption class="hide">{{ __('answers.renewals.title') }}</caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('answers.renewals.ends') }}</th>
                        <th scope="col" class="sum">{{ __('answers.renewals.price') }}</th>
                        <th scope="col">{{ __('answers.renewals.answer') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($lines as $line)
                        <tr>
                            <th scope="row" class="name">{{ $line->name->unicode }}</th>
                            <td data-label="{{ __('answers.renewals.ends') }}">{{ App\Support\Dates::full($line->ends()) }}</td>
                            <td class="sum" data-label="{{ __('answers.renewals.price') }}">{{ $line->sum()?->text() ??
                                __('answers.renewals.on_request') }}</td>
                            <td data-label="{{ __('answers.renewals.answer') }}">
                                <select name="name[{{ $line->name_id }}]" aria-label="{{ __('answers.renewals.answer_for', [
                                    'name' => $line->name->unicode,
                                ]) }}">
                                    @foreach (__('answers.renewals.answers') as $years => $said)
                                        <option value="{{ $years }}"
                                            @selected((string) ($typed[$line->name_id] ?? '') === (string) $years)>{{
                                            $said
                                        }}</option>
                                    @endforeach
                                </select>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="lesser">{{ __('answers.renewals.lapse_said') }}</p>
            <p class="head-deeds"><button class="main">{{ __('answers.renewals.send') }}</button>
                @if (count($lines) > 1)
                    <button name="all" value="1">{{ __('answers.renewals.all') }}</button>
                @endif
            </p>
        </form>
    </div>
</x-layout>
