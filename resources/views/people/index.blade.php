<x-layout :title="__('settings.section')['people.index']">
    <x-settings current="people.index"/>
    <div class="head">
        <div><h1>{{ __('settings.section')['people.index'] }}</h1><p class="sentence">An Owner runs the place; a Steward may spend and move names; a Clerk prepares, and may not settle; a Reader may look. <a href="{{ route('people.roles') }}">What each may do</a></p></div>
        <p class="head-deeds"><a class="button" href="{{ route('people.create') }}">Add a user</a></p>
    </div>
    <table class="sheet">
        <thead><tr><th scope="col">User</th><th scope="col">Mailbox</th><th scope="col">Role</th><th scope="col">Signs in</th></tr></thead>
        <tbody>
        @foreach ($people as $person)
            <tr><th scope="row"><a href="{{ route('people.edit', $person) }}">{{ $person->name }}</a></th><td data-label="Mailbox">{{ $person->email }}</td><td data-label="Role">{{ __('words.role.'.$person->role->value) }}</td><td data-label="Signs in">@if ($person->may_sign_in) yes @else<span class="is-bad">no more</span>@endif</td></tr>
        @endforeach
        </tbody>
    </table>
</x-layout>
