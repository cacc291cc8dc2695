<?php

declare(strict_types=1);

use App\Http\Session\BeginController;
use App\Http\Session\SessionController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('begin', [BeginController::class, 'create'])->name('begin');
    Route::post('begin', [BeginController::class, 'store']);
    Route::get('sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy'])->name('sign-out')->middleware('can:look');
    Route::redirect('/', '/roll')->middleware('can:look');
    Route::view('bring-in', 'roll.index')->name('bring-in.create')->middleware('can:look');
    Route::view('roll', 'roll.index')->name('roll')->middleware('can:look');
});
