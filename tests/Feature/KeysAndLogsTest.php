<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Secret;
use App\Support\WithoutValues;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\QueryException;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Monolog\Level;
use Monolog\LogRecord;
use RuntimeException;
use Tests\TestCase;

/** The key that secrets are encrypted with is renewed; what is written of faults holds no values, and is nobody else's to read. */
final class KeysAndLogsTest extends TestCase
{
    /** @param  list<string>  $before */
    private function key(string $key, array $before = []): void
    {
        Crypt::swap((new Encrypter($key, 'aes-256-cbc'))->previousKeys($before));
    }

    public function test_secrets_are_read_with_the_old_key_and_written_with_the_new(): void
    {
        [$old, $older, $new] = [str_repeat('o', 32), str_repeat('O', 32), str_repeat('n', 32)];
        $house = new House();
        $this->key($older);
        $first = Secret::query()->create(['kind' => 'auth_code', 'about' => 1, 'value' => 'first code']);
        $this->key($old, [$older]);
        $second = Secret::query()->create(['kind' => 'auth_code', 'about' => 2, 'value' => 'second code']);
        $house->owner->forceFill(['otp_secret' => 'bytes of it'])->save();
        // One renewal died before anything was written again, and this is the next.
        $this->key($new, [$old, $older]);
        self::assertSame(0, Artisan::call('acre:reencrypt'));
        self::assertSame(0, Artisan::call('acre:reencrypt'), 'twice does no harm');
        $this->key($new);
        self::assertSame(
            ['first code', 'second code', 'bytes of it'],
            [$first->refresh()->value, $second->refresh()->value, $house->owner->refresh()->otp_secret],
        );
        $this->key($old, [$older]);
        $this->expectException(DecryptException::class);
        self::assertNull($first->refresh()->value);
    }

    public function test_what_a_statement_was_given_is_never_logged(): void
    {
        try {
            DB::transaction(
                fn () => DB::table('users')->insert([
                    'name' => 'Gudrun Kettle',
                    'email' => 'gudrun@kettle.example',
                    'role' => 'no such role',
                ]),
            );
            self::fail();
        } catch (QueryException $fault) {
            $record = new LogRecord(now()->toImmutable(), 'house', Level::Error, $fault->getMessage(), [
                'exception' => new RuntimeException('It could not be done.', previous: $fault),
            ]);
        }
        $written = json_encode(WithoutValues::clean($record)->toArray(), JSON_THROW_ON_ERROR);
        self::assertStringContainsString('insert into', $written);
        self::assertStringContainsString('KeysAndLogsTest.php', $written);
        self::assertDoesNotMatchRegularExpression('/gudrun|kettle|no such role/i', $written);
    }

    public function test_the_file_of_a_day_is_for_the_house_alone(): void
    {
        $folder = sys_get_temp_dir().'/acre-log-'.bin2hex(random_bytes(6));
        mkdir($folder);
        config(['logging.channels.daily.path' => "{$folder}/acre.log"]);
        Log::forgetChannel('daily');
        Log::channel('daily')->error('Something could not be done.');
        $file = "{$folder}/acre-".date('Y-m-d').'.log';
        self::assertSame('600', decoct(0777 & (int) fileperms($file)));
        unlink($file);
        rmdir($folder);
    }
}
