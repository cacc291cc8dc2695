@php($correct = ($said['correct'] ?? $request->word('correct')) !== '')
@if ($correct)
    <input type="hidden" name="correct" value="1">
    <details @if (($said['agreement'] ?? '') !== '') open @endif><summary>What is agreed to, and who says yes</summary>
@endif
@include('deeds.terms.registrant', ['required' => true])
<x-field name="by" type="date" label="Answers wanted by" :value="$said['by'] ?? $request->word('by')" note="In two weeks, if left empty"/>
@if ($correct)</details>@endif
