{{-- $fault: names that have it; $to: the route that puts them into the sheaf; $of: what tells it apart --}}
@can('prepare')
    <form method="post" action="{{ route($to) }}">@csrf @foreach ($of as $key => $value)
        <input type="hidden" name="{{ $key }}" value="{{ $value }}">
    @endforeach
        <button class="low">{{ trans_choice('servers.faults.gather', $fault->names) }}</button></form>
@endcan
