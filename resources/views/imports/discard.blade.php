@can('discard', $import)
    <form method="post" action="{{ route('imports.discard', $import) }}" class="turn" data-once>@csrf @method('delete') <button
            class="plain">{{ __('imports.discard') }}</button></form>
@endcan
