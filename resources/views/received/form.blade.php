<x-layout :title="__('received.form.add_incoming_mail')" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('received.index') }}">{{ __('received.form.incoming_mail') }}</a></nav>
    <h1>{{ __('received.form.add_incoming_mail') }}</h1>
    <form method="post" action="{{ route('received.store') }}" enctype="multipart/form-data" class="card fields" data-once>
        @csrf
        <div class="columns">
            <x-choice name="kind" :label="__('received.form.kind')" words="contacts.received.kind" />
            <x-field name="sender" :label="__('common.from')" required maxlength="300"
                :note="__('received.form.a_registry_a_registrar_a')"/>
            <x-field name="received_on" type="date" :label="__('received.form.received_on')" :value="$today->date()" required />
            <x-field name="answer_by" type="date" :label="__('common.answer_by')" :note="__('received.form.empty_no_answer_needed')" />
        </div>
        <x-field name="about" type="area" :label="__('common.contents')" rows="3" maxlength="4000" required />
        <x-field name="names" type="area" :label="__('received.form.names_concerned')" rows="3"
            :note="__('received.form.names_on_the_roll_one_per_line')"/>
        <div class="field"><label for="f-file">{{ __('received.form.file') }}</label><input id="f-file" type="file" name="file">
            @error('file')
                <p class="wrong">{{ $message }}</p>
            @enderror
        </div>
        <p><button class="main">{{ __('common.save') }}</button> <a class="button"
                href="{{ route('received.index') }}">{{ __('common.cancel') }}</a></p>
    </form>
</x-layout>
