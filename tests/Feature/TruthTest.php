<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Http\Middleware\NothingKept;
use App\Http\Middleware\SecurityHeaders;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Custodian;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Handing;
use App\Models\Import;
use App\Models\Migration;
use App\Models\Movement;
use App\Models\NamedPlace;
use App\Models\NamedSet;
use App\Models\Pattern;
use App\Models\PlanState;
use App\Models\Role;
use App\Models\TopUp;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\QueryException;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Router;
use PHPUnit\Framework\Attributes\TestWith;
use ReflectionParameter;
use Tests\TestCase;

/** What must hold whatever a page does: policies, headers, queries, and a log that nobody rewrites. */
final class TruthTest extends TestCase
{
    private const QUERIES = 40;

    /** @return array<string, string|int> */
    private function parameters(House $house): array
    {
        $name = $house->name('bell.com', facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        $docket = Docket::query()->create([
            'token' => House::token(),
            'deed' => 'hand_over',
            'state' => 'prepared',
            'terms' => $house->terms()->pack(),
            'digest' => '',
            'prepared_by' => $house->clerk->id,
            'prepared_on' => Instant::of('2026-10-06'),
        ]);
        DocketLine::query()->create(['docket_id' => $docket->id, 'name_id' => $name->id, 'position' => 1, 'state' => 'prepared']);
        $import = Import::query()->create([
            'user_id' => $house->clerk->id,
            'file' => 'list.csv',
            'path' => 'none',
            'registrar_id' => $house->skerry->id,
            'shape' => ['headings' => ['name'], 'samples' => [['bell.com']]],
            'state' => 'uploaded',
            'matched' => ['columns' => ['name']],
        ]);

        return [
            'picture' => 'roll.png',
            'name' => $name->ascii,
            'docket' => $docket->id,
            'import' => $import->id,
            'client' => $house->foundry->id,
            'registrar' => $house->skerry->id,
            'account' => $house->ours->id,
            'contact' => $name->registrant->contact_id ?? 0,
            'person' => $house->clerk->id,
            'suffix' => 'co.uk',
            'mailbox' => 1,
            'received' => 1,
            'custodian' => Custodian::query()->create(['name' => 'Odile'])->id,
            'pattern' => Pattern::query()->firstOrFail()->id,
            'copy' => 1,
            'set' => NamedSet::query()->create(['name' => 'Gull', 'servers' => [['host' => 'ns1.gull.example']]])->id,
            'movement' => Movement::query()->create([
                'name_id' => $name->id,
                'docket_id' => $docket->id,
                'kind' => 'handover',
                'opened_on' => Instant::of('2026-10-06'),
                'closed_on' => Instant::of('2026-10-07'),
            ])->id,
            'plan' => Migration::query()->create([
                'token' => House::token(),
                'account_id' => $house->ours->id,
                'terms' => ['account' => $house->ours->id],
                'state' => PlanState::Running,
                'made_by' => $house->clerk->id,
                'made_on' => Instant::of('2026-10-06'),
            ])->id,
            'ask' => Ask::query()->create([
                'client_id' => $house->foundry->id,
                'mailbox' => 'ledger@wickerby-bells.com',
                'asked_by' => $house->clerk->id,
                'asked_on' => Instant::of('2026-10-06'),
                'answer_by' => '2026-10-20',
                'state' => AskState::Open,
            ])->id,
            'topUp' => TopUp::query()->create([
                'account_id' => $house->ours->id,
                'planned_for' => '2026-10-12',
                'amount' => '41.20',
                'currency' => 'GBP',
                'planned_by' => $house->clerk->id,
                'planned_on' => Instant::of('2026-10-06'),
                'state' => 'planned',
            ])->id,
            'place' => NamedPlace::query()->create(['name' => 'Gull, shared'])->id,
            'site' => 1,
            'deed' => 'change_words',
            'view' => 1,
            'note' => 1,
            'kind' => 'csv',
            'calendar' => 1,
            'observation' => 1,
            'confirmation' => 1,
            'sentence' => 1,
            'handing' => Handing::query()->create([
                'from_id' => Custodian::query()->create(['name' => 'Theo'])->id,
                'to_id' => Custodian::query()->create(['name' => 'Maud'])->id,
                'opened_on' => Instant::of('2026-10-06'),
                'opened_by' => $house->clerk->id,
            ])->id,
            'letter' => 'yearly',
            'offer' => 1,
            'credit' => 1,
            'setback' => 1,
            'uuid' => House::token(),
            'sha256' => str_repeat('0', 64),
            'token' => str_repeat('x', 48),
        ];
    }

    /** An address with a word where a row's number belongs leads nowhere, rather than to a question that the database can't read. */
    public function test_numbers_of_rows_in_addresses_are_numbers(): void
    {
        $bound = 0;
        /** @var Route $route */
        foreach (Router::getRoutes()->getRoutes() as $route) {
            foreach ($route->signatureParameters(['subClass' => Model::class]) as $parameter) {
                $name = $parameter instanceof ReflectionParameter ? $parameter->getName() : '';
                if ($name !== 'name' && in_array($name, $route->parameterNames(), true)) {
                    $bound++;
                    self::assertSame('[0-9]{1,18}', $route->wheres[$name] ?? null, "{$route->uri()}: add '{$name}' to its patterns");
                }
            }
        }
        self::assertGreaterThan(60, $bound);
    }

    public function test_every_route_has_its_policy_its_headers_and_few_queries(): void
    {
        $house = new House();
        $parameters = $this->parameters($house);
        $walked = 0;
        /** @var Route $route */
        foreach (Router::getRoutes()->getRoutes() as $route) {
            if (! in_array('web', $route->gatherMiddleware(), true)) {
                continue;
            }
            $walked++;
            $middleware = $route->gatherMiddleware();
            if ($route->getName() === 'calendar.subscribed') {
                // Its address is the right to look; TakeAwayTest tries it.
                self::assertContains('throttle:60,1', $middleware);

                continue;
            }
            if (str_starts_with((string) $route->getName(), 'answers.')) {
                // So is a letter's link; LettersTest tries it.
                self::assertContains('throttle:answers', $middleware);
                self::assertContains(NothingKept::class, $middleware);

                continue;
            }
            $guest = in_array('guest', $middleware, true);
            $can = array_filter($middleware, fn (mixed $name): bool => is_string($name) && str_starts_with($name, 'can:'));
            self::assertTrue($guest || (in_array('auth', $middleware, true) && $can !== []), "{$route->uri()} says nobody who may.");
            $path =
                '/'.
                preg_replace_callback(
                    '/\{(\w+)\}/',
                    fn (array $found): string => rawurlencode((string) $parameters[$found[1]]),
                    $route->uri(),
                );
            if (! in_array('GET', $route->methods(), true)) {
                continue;
            }
            auth()->forgetGuards();
            $asGuest = $this->get($path);
            $asGuest->isOk() && $guest ? $asGuest->assertOk() : $asGuest->assertRedirect('/sign-in');
            $asGuest
                ->assertHeader('Content-Security-Policy', SecurityHeaders::POLICY)
                ->assertHeader('X-Content-Type-Options', 'nosniff')
                ->assertHeader('X-Frame-Options', 'DENY');
            if ($guest) {
                continue;
            }
            DB::flushQueryLog();
            DB::enableQueryLog();
            $answer = $this->actingAs($house->owner)->get($path);
            self::assertContains($answer->getStatusCode(), [200, 302, 404], $path.': '.$answer->getStatusCode());
            self::assertLessThanOrEqual(self::QUERIES, count(DB::getQueryLog()), $path);
            $content = (string) $answer->getContent();
            self::assertDoesNotMatchRegularExpression('/<[^>]+\s(style|on\w+)=/i', $content, $path);
            self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\ssrc=)/i', $content, $path);
        }
        self::assertGreaterThan(35, $walked);
    }

    #[TestWith(['reader', 'get', '/imports'])]
    #[TestWith(['reader', 'get', '/clients/create'])]
    #[TestWith(['reader', 'get', '/hand-over'])]
    #[TestWith(['reader', 'get', '/names/bell.com/edit'])]
    #[TestWith(['reader', 'put', '/names/bell.com'])]
    #[TestWith(['reader', 'post', '/registrars'])]
    #[TestWith(['reader', 'post', '/accounts'])]
    #[TestWith(['reader', 'post', '/hand-over'])]
    #[TestWith(['reader', 'delete', '/sheaf'])]
    public function test_a_reader_only_looks(string $role, string $method, string $path): void
    {
        $house = new House();
        $house->name('bell.com');
        self::assertSame('reader', $role);
        $this->actingAs($house->reader)
            ->call($method, $path)
            ->assertForbidden()
            ->assertHeader('Content-Security-Policy', SecurityHeaders::POLICY);
    }

    public function test_forms_carry_a_token(): void
    {
        $house = new House();
        $content = (string) $this->actingAs($house->owner)->get('/clients/create')->getContent();
        self::assertSame(substr_count($content, 'method="post"'), substr_count($content, 'name="_token"'));
    }

    #[TestWith(["UPDATE log SET event = 'never'"])]
    #[TestWith(['DELETE FROM log'])]
    #[TestWith(['TRUNCATE log'])]
    #[TestWith(["UPDATE log_other SET event = 'never'"])]
    #[TestWith(['DELETE FROM log_MONTH'])]
    #[TestWith(["INSERT INTO log_MONTH (trade_at, event, subject) VALUES (now(), 'forged', 'name')"])]
    #[TestWith(['DROP TABLE log'])]
    #[TestWith(["UPDATE proofs SET text = 'never'"])]
    #[TestWith(['DELETE FROM proofs'])]
    #[TestWith(['ALTER TABLE names ADD COLUMN mine text'])]
    #[TestWith(['CREATE TABLE mine (id int)'])]
    public function test_the_runtime_role_cannot_rewrite_log_or_proofs_and_owns_nothing(string $statement): void
    {
        $this->expectException(QueryException::class);
        $this->expectExceptionMessageMatches('/permission denied|must be owner/');
        // Of the month in which this runs there is a part.
        DB::statement(str_replace('MONTH', gmdate('Y_m'), $statement));
    }

    public function test_the_runtime_role_can_add_to_the_log(): void
    {
        DB::insert("INSERT INTO log (trade_at, event, subject) VALUES (now(), 'tried', 'test')");
        self::assertSame(1, DB::table('log')->where('event', 'tried')->count());
        self::assertSame(
            0,
            DB::table('pg_class')->join('pg_roles', 'pg_roles.oid', '=', 'relowner')->whereRaw('rolname = current_user')->count(),
        );
    }

    public function test_passwords_are_kept_slowly_hashed(): void
    {
        $user = User::enrol('Pim', 'pim@harrow-tern.example', House::PASSWORD, Role::Reader);
        self::assertStringStartsWith('$2y$', (string) $user->password);
        // The framework's own twelve rounds hold: only the tests' settings lower them.
        self::assertStringNotContainsString(
            'BCRYPT_ROUNDS',
            (string) file_get_contents(base_path('.env.example')).file_get_contents(base_path('bin/stack.sh')),
        );
        self::assertStringContainsString(
            "env('BCRYPT_ROUNDS', 12)",
            (string) file_get_contents(base_path('vendor/laravel/framework/config/hashing.php')),
        );
    }

    public function test_an_error_page_needs_no_database(): void
    {
        $house = new House();
        $port = config('database.connections.pgsql.port');
        config(['database.connections.pgsql.port' => 1]);
        DB::purge('pgsql');
        try {
            $this->actingAs($house->reader)
                ->get('/roll')
                ->assertStatus(503)
                ->assertSee('Temporarily unavailable')
                ->assertDontSee('SQLSTATE')
                ->assertHeader('Content-Security-Policy', SecurityHeaders::POLICY);
        } finally {
            config(['database.connections.pgsql.port' => $port]);
            DB::purge('pgsql');
        }
    }
}
