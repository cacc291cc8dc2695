<section class="card notes" id="notes" aria-labelledby="notes-head">
    <h2 id="notes-head">{{ __('common.notes') }}</h2>
    @forelse ($notes as $note)
        <article class="note-one">
            <p class="note-text">{{ $note->text }}</p>
            @if ($note->file !== null)
                <p><a href="{{ route('notes.file', $note) }}">{{ $note->file }}</a> <span
                        class="lesser">{{ __('components.notes.kb', ['size' => number_format(max(1, $note->size / 1024))]) }}</span></p>
            @endif
            <p class="lesser">{{ $note->user->name }}, <time
                    datetime="{{ $note->created_at->toAtomString() }}">{{ $note->created_at->format('j M Y') }}</time>
                @can('delete', $note)
                <form method="post" action="{{ route('notes.destroy', $note) }}" class="inline">@csrf @method('delete')<button class="plain"
                        aria-label="{{ __(
                            'components.notes.delete_the_note_by',
                            ['user' => $note->user->name],
                        ) }}">{{ __('components.notes.delete') }}</button>
                </form>
            @endcan
            </p>
        </article>
    @empty
        <p class="lesser">{{ __('components.notes.no_notes_yet') }}</p>
    @endforelse
    @can('prepare')
        <form method="post" action="{{ route($route, $of) }}" enctype="multipart/form-data" class="fields">
            @csrf
            <x-field name="note" type="area" :label="__('components.notes.note')" rows="2" maxlength="10000" />
            <x-field name="file" :label="__('components.notes.attach_a_file')" id="f-note-file"><input id="f-note-file"
                type="file" name="file"></x-field>
            <p><button>{{ __('components.notes.add_the_note') }}</button></p>
        </form>
    @endcan
</section>
