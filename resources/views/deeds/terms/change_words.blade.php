<x-field name="give" :label="__('deeds.terms.change_words.words_to_add')" :value="$said['give'] ?? ''" maxlength="300" list="known-words"
    :note="__('deeds.terms.change_words.separated_by_commas_new_words')"/>
<x-field name="take" :label="__('deeds.terms.change_words.words_to_remove')" :value="$said['take'] ?? ''" maxlength="300"
    list="known-words" :note="__('deeds.terms.change_words.separated_by_commas')"/>
<datalist id="known-words">
    @foreach ($choices as $label)
        <option value="{{ $label }}">
    @endforeach
</datalist>
