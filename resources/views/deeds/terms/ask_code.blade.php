{{-- Nothing is to be chosen. --}}
