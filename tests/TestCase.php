<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;

/** A test of the application, on the test stack's database, as the runtime role; the owner migrates it once. */
abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    /** @return array<string, mixed> */
    protected function migrateFreshUsing(): array
    {
        return ['--database' => 'owner', '--force' => true];
    }
}
