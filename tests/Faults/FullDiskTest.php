<?php

declare(strict_types=1);

namespace Tests\Faults;

use App\Actions\Imports\ReadImport;
use App\Actions\Imports\WriteImport;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Note;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Group;
use Tests\Feature\House;

/** A database on a disk that is really full (PostgreSQL says 53100): told calmly, nothing half done, and back when there is room. */
#[Group('heavy')]
final class FullDiskTest extends TestCase
{
    private string $filler = '';

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $disk = getenv('ACRE_SMALL_DISK');
        if ($disk === false) {
            self::markTestSkipped('This machine lets no disk be mounted.');
        }
        $this->filler = "{$disk}/filler";
        foreach (['pgsql', 'owner'] as $connection) {
            config(["database.connections.{$connection}.database" => 'acre_small']);
            DB::purge($connection);
        }
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        $this->withoutVite();
        $this->house = new House();
        $this->house->name('bell.com');
    }

    protected function tearDown(): void
    {
        $this->free();
        parent::tearDown();
    }

    private function fill(int $leave): void
    {
        $free = (int) disk_free_space(dirname($this->filler)) - $leave;
        self::assertSame($free, file_put_contents($this->filler, str_repeat("\0", $free)));
    }

    private function free(): void
    {
        if (is_file($this->filler)) {
            unlink($this->filler);
        }
    }

    public function test_a_page_says_so_calmly_and_is_back_when_there_is_room(): void
    {
        $this->actingAs($this->house->clerk);
        $this->fill(0);
        // What still fits into the pages that the tables have is written; then the disk is full.
        $written = -1;
        do {
            $answer = $this->post('/names/bell.com/notes', ['note' => str_repeat("{$written} herring gulls. ", 200)]);
            $written++;
        } while ($answer->isRedirect() && $written < 50);
        $answer->assertStatus(503)->assertSee('Temporarily unavailable')->assertSee('What you just sent was not saved');
        self::assertSame($written, Note::query()->count());
        $this->get('/names/bell.com')->assertOk()->assertSee('bell.com');
        $this->free();
        $this->post('/names/bell.com/notes', ['note' => 'There is room again.'])->assertRedirect();
        self::assertSame($written + 1, Note::query()->count());
    }

    public function test_a_list_stops_where_the_disk_is_full_and_goes_on_when_there_is_room(): void
    {
        $rows = implode("\n", array_map(fn (int $line): string => "full-{$line}.com,2027-11-02,2020-11-02", range(1, 3000)));
        Storage::put('imports/full.csv', "name,ends,created\n{$rows}\n");
        $import = Import::query()->create([
            'user_id' => $this->house->clerk->id,
            'file' => 'full.csv',
            'path' => 'imports/full.csv',
            'registrar_id' => $this->house->skerry->id,
            'account_id' => $this->house->ours->id,
            'client_id' => $this->house->foundry->id,
            'shape' => ['headings' => ['name', 'ends', 'created'], 'samples' => []],
            'matched' => ['columns' => ['name', 'ends', 'created'], 'order' => 'ymd'],
            'state' => ImportState::Reading,
        ]);
        app(ReadImport::class)->handle($import);
        $import->update(['state' => ImportState::Writing]);
        $this->fill(1_500_000);
        try {
            app(WriteImport::class)->handle($import);
            self::fail('There was room for all of it.');
        } catch (QueryException $e) {
            self::assertSame('53100', $e->errorInfo[0] ?? '');
        }
        $written = $import->refresh()->rows_written;
        self::assertLessThan(3000, $written);
        self::assertSame([$written + 1, $written + 1], [DB::table('holdings')->count(), DB::table('standings')->count()]);
        $this->free();
        app(WriteImport::class)->handle($import);
        self::assertSame(
            [ImportState::Done, 3000, 3001, 3001],
            [$import->refresh()->state, $import->rows_written, DB::table('holdings')->count(), DB::table('standings')->count()],
        );
        Storage::delete('imports/full.csv');
    }
}
