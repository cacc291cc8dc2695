@props(['of', 'with' => [], 'count' => null])
@inject('sentence', App\View\Sentence::class){{ $sentence->html($of, $with, $__laravel_slots, $count) }}