@if (($said['correct'] ?? $request->word('correct')) !== '')<input type="hidden" name="correct" value="1">@endif
@include('deeds.terms.registrant', ['required' => true])
<x-field name="by" type="date" label="Answers wanted by" :value="$said['by'] ?? $request->word('by')" note="In two weeks, if left empty"/>
