<x-field name="then" type="choice" :label="__('deeds.terms.remove_names.afterwards')" :options="$choices"
    :value="$said['then'] ?? ($request->word('then') === '' ? 'watch' : $request->word('then'))"/>
<x-field name="because" :label="__('deeds.terms.remove_names.what_happened_to_them')" :value="$said['because'] ?? ''"
    maxlength="300" required :note="__('deeds.terms.remove_names.for_example_transferred_to')"/>
