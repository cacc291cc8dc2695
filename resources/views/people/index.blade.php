<x-layout :title="__('settings.section')['people.index']">
    <x-settings current="people.index" />
    <div class="head">
        <div>
            <h1>{{ __('settings.section')['people.index'] }}</h1>
            <p class="sentence">{{ __('people.index.what') }} <a href="{{ route('people.roles') }}">{{ __('people.index.roles') }}</a></p>
        </div>
        <p class="head-deeds"><a class="button" href="{{ route('people.create') }}">{{ __('people.index.add_a_user') }}</a></p>
    </div>
    <table class="sheet">
        <thead>
            <tr>
                <th scope="col">{{ __('people.index.user') }}</th>
                <th scope="col">{{ __('common.mailbox') }}</th>
                <th scope="col">{{ __('people.index.role') }}</th>
                <th scope="col">{{ __('people.index.can_sign_in') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($people as $person)
                <tr>
                    <th scope="row"><a href="{{ route('people.edit', $person) }}">{{ $person->name }}</a></th>
                    <td data-label="{{ __('common.mailbox') }}">{{ $person->email }}</td>
                    <td data-label="{{ __('people.index.role') }}">{{ __('words.role.' . $person->role->value) }}</td>
                    <td data-label="{{ __('people.index.can_sign_in') }}">
                        @if ($person->may_sign_in)
                            {{ __('people.index.yes') }}
                        @else
                            <span class="is-bad">{{ __('people.index.no') }}</span>
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
