<?php

declare(strict_types=1);

namespace Standin\Directory;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Rdap\RdapAnswer;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;
use Standin\World;

/** The directories of registries and registrars (RFC 7480, 9082), told apart by the host that is asked. */
final readonly class RdapPages
{
    private AskedOften $asked;

    public function __construct(private World $world)
    {
        $this->asked = new AskedOften();
    }

    public function answer(HttpRequest $request): HttpResponse
    {
        if ($request->method !== 'GET' && $request->method !== 'HEAD') {
            return $this->error(405, 'Only GET and HEAD are understood.');
        }
        if ($request->host() === World::BOOTSTRAP_HOST) {
            return $request->path === '/dns.json' ? HttpResponse::json($this->bootstrap()) : $this->error(404, 'There is only dns.json.');
        }
        $keeper = $this->keeper($request->host());
        if ($keeper === null) {
            return $this->error(404, 'Nobody answers under that host.');
        }
        $wait = $this->asked->more("{$request->host()} {$request->peer}", $keeper instanceof Registry ? $keeper->aMinute : 300);
        if ($wait !== null) {
            $refusal = $this->error(429, 'You have asked too often.');

            return new HttpResponse(429, $refusal->type, $refusal->body, ['Retry-After' => (string) $wait]);
        }
        if ($request->path === '/help') {
            return HttpResponse::json(
                [
                    'rdapConformance' => RdapDocument::CONFORMANCE,
                    'notices' => [['title' => 'A simulation', 'description' => ['Nothing here is real.']]],
                ],
                200,
                RdapAnswer::TYPE,
            );
        }
        if (! str_starts_with($request->path, '/domain/')) {
            return $this->error(400, 'Only /domain/ and /help are answered.');
        }
        try {
            $name = DomainName::of(substr($request->path, 8));
        } catch (NameError $e) {
            return $this->error(400, $e->getMessage());
        }
        $found = $this->world->published($name->ascii);
        if ($found === null || ! $this->keeps($keeper, $found)) {
            return $this->error(404, "{$name->ascii} is not in this directory.");
        }

        return HttpResponse::json((new RdapDocument($found, $keeper, $this->world->now()))->domain(), 200, RdapAnswer::TYPE);
    }

    private function keeper(string $host): Registry|Registrar|null
    {
        foreach ([...Registry::all(), ...Registrar::all()] as $keeper) {
            if ($keeper->rdap === $host) {
                return $keeper;
            }
        }

        return null;
    }

    private function keeps(Registry|Registrar $keeper, Registered $name): bool
    {
        return $keeper instanceof Registry ? Registry::for($name->name)?->id === $keeper->id : $name->registrar === $keeper->id;
    }

    /** @return array<string, mixed> RFC 9224 §3 */
    private function bootstrap(): array
    {
        $services = [];
        foreach (Registry::all() as $registry) {
            $tlds = array_values(array_filter($registry->suffixes, fn (string $suffix): bool => ! str_contains($suffix, '.')));
            if ($registry->rdap !== null) {
                $services[] = [$tlds, ["https://{$registry->rdap}/"]];
            }
        }

        return [
            'version' => '1.0',
            'publication' => gmdate('Y-m-d\TH:i:s\Z', $this->world->now()),
            'description' => 'The directories of a simulated world',
            'services' => $services,
        ];
    }

    private function error(int $code, string $why): HttpResponse
    {
        return HttpResponse::json(
            [
                'rdapConformance' => RdapDocument::CONFORMANCE,
                'errorCode' => $code,
                'title' => $code === 404 ? 'Not found' : 'Refused',
                'description' => [$why],
            ],
            $code,
            RdapAnswer::TYPE,
        );
    }
}
