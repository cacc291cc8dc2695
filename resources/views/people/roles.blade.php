<x-layout title="What each role may do">
    <nav class="trail" aria-label="Where you are"><a href="{{ route('people.index') }}">{{ __('settings.section')['people.index'] }}</a> / what each role may do</nav>
    <h1>What each role may do</h1>
    <table class="sheet"><caption class="hide">Rights by role</caption>
        <thead><tr><th scope="col">What</th>@foreach (App\Models\Role::cases() as $role)<th scope="col">{{ __('words.role.'.$role->value) }}</th>@endforeach</tr></thead>
        <tbody>@foreach (App\Models\Right::cases() as $right)<tr><th scope="row">{{ __('people.right.'.$right->value) }}</th>@foreach (App\Models\Role::cases() as $role)<td data-label="{{ __('words.role.'.$role->value) }}">@if ($role->may($right))<span class="is-good">may</span>@else<span class="lesser">may not</span>@endif</td>@endforeach</tr>@endforeach</tbody>
    </table>
</x-layout>
