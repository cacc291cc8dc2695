<x-layout :title="$words->say('letters.title.' . $kind->value)" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('letter-texts.index') }}">{{ __('common.letter_templates') }}</a></nav>
    <h1>{{ $words->say('letters.title.' . $kind->value) }}</h1>
    @if ($kind->isToClient())
        <p class="zoom">{{ __('letters.form.language') }}
            @foreach (App\Support\Language::cases() as $speech)
                @if ($speech === $language)
                    <strong aria-current="true">{{ $speech->called() }}</strong>
                @else
                    <a class="in-text" href="{{ route('letter-texts.edit', [$kind, 'in' => $speech->value]) }}"
                        lang="{{ $speech->value }}">{{ $speech->called() }}</a>
                @endif
            @endforeach
        </p>
    @endif
    <div class="cards cards-deed">
        <form method="post" action="{{ route('letter-texts.update', $kind) }}" class="card fields">
            @csrf @method('put')
            <input type="hidden" name="in" value="{{ $language->value }}">
            <input type="hidden" name="version" value="{{ $errors->has('version') ? $version : old('version', $version) }}">
            <x-field name="subject" :label="__('letters.form.subject')" :value="$written->subject" maxlength="200" required />
            <x-field name="body" type="area" :label="__('common.contents')" :value="$written->body" rows="19" maxlength="10000" required />
            <p><button name="act" value="look">{{ __('common.preview') }}</button> <button class="main" name="act"
                    value="save">{{ __('common.save') }}</button> <a class="button"
                    href="{{ route('letter-texts.index') }}">{{ __('common.cancel') }}</a></p>
            <details @if ($errors->has('body')) open @endif>
                <summary>{{ __('letters.form.placeholders') }}</summary>
                <dl class="facts facts-wide">
                    @foreach ($kind->words() as $word)
                        <div>
                            <dt class="mono">:{{ $word }}</dt>
                            <dd>{{ $words->say('letters.word.' . $word) }}@if (in_array($word, $kind->needs(), true))
                                    <span class="lesser">{{ __('letters.form.required') }}</span>
                                @endif
                            </dd>
                        </div>
                    @endforeach
                    <div>
                        <dt class="mono">{{ __('letters.form.one_many') }}</dt>
                        <dd>{{ __('letters.form.one_for_a_single_name_many_for') }}</dd>
                    </div>
                </dl>
            </details>
        </form>
        <div>
            @foreach ([__('letters.form.for_one') => $one, __('letters.form.for_three') => $many] as $when => $shown)
                <section class="card">
                    <h2>{{ $when }}</h2>
                    <p><strong>{{ $shown->subject }}</strong></p>
                    <pre class="letter" tabindex="0">{{ $shown->body }}</pre>
                </section>
            @endforeach
        </div>
    </div>
    @if ($isOwn)
        <form method="post" action="{{ route('letter-texts.destroy', $kind) }}">@csrf @method('delete')<input type="hidden" name="in"
                value="{{ $language->value }}"><p>
                <button>{{ __('letters.form.restore_the_default_text') }}</button></p>
        </form>
    @endif
</x-layout>
