<x-layout :title="__('people.roles.roles_and_rights')">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('people.index') }}">{{ __('settings.section')['people.index'] }}</a> / {{ __('people.roles.trail') }}</nav>
    <h1>{{ __('people.roles.roles_and_rights') }}</h1>
    <table class="sheet">
        <caption class="hide">{{ __('people.roles.rights_by_role') }}</caption>
        <thead>
            <tr>
                <th scope="col">{{ __('common.what') }}</th>
                @foreach (App\Models\Role::cases() as $role)
                    <th scope="col">{{ __('words.role.' . $role->value) }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach (App\Models\Right::cases() as $right)
                <tr>
                    <th scope="row">{{ __('people.right.' . $right->value) }}</th>
                    @foreach (App\Models\Role::cases() as $role)
                        <td data-label="{{ __('words.role.' . $role->value) }}">
                            @if ($role->may($right))
                            <span class="is-good">{{ __('people.roles.may') }}</span>@else<span
                                    class="lesser">{{ __('people.roles.may_not') }}</span>
                            @endif
                        </td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
</x-layout>
