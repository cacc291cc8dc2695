<?php

declare(strict_types=1);

namespace App\Outside\Directory;

use Acre\Core\Name\DomainName;
use Acre\Core\Record\Source;
use Acre\Wire\Json\JsonError;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapBootstrap;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapError;
use Acre\Wire\Whois\WhoisError;
use Acre\Wire\Whois\WhoisText;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Fetched;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\RateLimit;
use GuzzleHttp\Psr7\Exception\MalformedUriException;
use GuzzleHttp\Psr7\Uri;
use GuzzleHttp\Psr7\UriResolver;
use Illuminate\Contracts\Cache\Repository;

/** Bootstrap, then the registry, then the registrar's own (RFC 9224, 9082); or the text of a registry that has no other. */
final class PublicDirectories implements Directory
{
    /** Seconds that the list of directories is kept (RFC 9224 §8 leaves it to the server's own word). */
    private const KEEP = 86_400;

    /** Times that one question is sent on. */
    private const HOPS = 3;

    /** @var array{string, RdapBootstrap}|null the list as it was read, and itself */
    private ?array $bootstrap = null;

    /** @param  array<string, string>  $textServers  by suffix */
    public function __construct(
        private readonly Fetch $fetch,
        private readonly Hosts $hosts,
        private readonly RateLimit $patience,
        private readonly Repository $cache,
        private readonly ?string $bootstrapAt,
        private readonly array $textServers,
        private readonly int $seconds,
    ) {
    }

    public function ask(DomainName $name, bool $isDeep = true): array
    {
        $suffix = $name->suffix();
        $tld = substr((string) strrchr(".{$suffix}", '.'), 1);
        try {
            $base = $this->bootstrap()?->for($name->ascii)[0] ?? null;
        } catch (NotReached $e) {
            return [DirectoryAnswer::not(Source::Registry, (string) $this->bootstrapAt, $e)];
        }
        if ($base === null) {
            $server = $this->textServers[$suffix] ?? ($this->textServers[$tld] ?? null);

            return [$server === null ? DirectoryAnswer::nobody($suffix) : $this->text($name, $server)];
        }
        $registrys = $this->rdap($name, Source::Registry, rtrim($base, '/')."/domain/{$name->ascii}");
        $own = $isDeep ? $registrys[1]?->registrarsOwn() : null;

        return $own === null ? [$registrys[0]] : [$registrys[0], $this->rdap($name, Source::Registrar, $own)[0]];
    }

    /** @return array{DirectoryAnswer, RdapDomain|null} */
    private function rdap(DomainName $name, Source $source, string $url): array
    {
        $raw = null;
        try {
            [$url, $fetched] = $this->fetched($url);
            $host = (string) parse_url($url, PHP_URL_HOST);
            $raw = $fetched->body;
            if ($fetched->status === 429) {
                throw $this->patience->rest($host, $fetched->retryAfter);
            }
            if ($fetched->status === 404) {
                // RFC 7480 §5.3: a negative answer may have a body; one that is no JSON can be anybody's who stands between.
                return [DirectoryAnswer::noSuchName($source, $url, $raw, trim($raw) === '' || str_starts_with(ltrim($raw), '{')), null];
            }
            if ($fetched->status !== 200) {
                throw NotReached::refused($host, $fetched->status, '');
            }
            $answer = RdapAnswer::read($raw, $name->ascii);

            return $answer instanceof RdapDomain
                ? [DirectoryAnswer::record($url, RecordOfRdap::read($answer, $source), $raw), $answer]
                : throw NotReached::refused($host, $answer->code, trim("{$answer->title} {$answer->description}"));
        } catch (JsonError|RdapError $e) {
            return [
                DirectoryAnswer::not($source, $url, NotReached::garbled((string) parse_url($url, PHP_URL_HOST), $e->getMessage()), $raw),
                null,
            ];
        } catch (NotReached $e) {
            return [DirectoryAnswer::not($source, $url, $e, $raw), null];
        }
    }

    /**
     * A directory may send on (RFC 7480 §5.2); to a listed host that is followed, a few times.
     *
     * @return array{string, Fetched} the address that answered, and what
     *
     * @throws NotReached
     */
    private function fetched(string $url): array
    {
        for ($hop = 0; ; $hop++) {
            $host = (string) parse_url($url, PHP_URL_HOST);
            $this->patience->ask($host);
            try {
                $fetched = $this->fetch->get($url, RdapAnswer::TYPE);
            } catch (NotReached $e) {
                throw $this->patience->failed($host, $e);
            }
            $this->patience->answered($host);
            if ($fetched->status < 300 || $fetched->status >= 400) {
                return [$url, $fetched];
            }
            $url = $this->sentOn($url, $fetched->location);
            if ($url === null || $hop === self::HOPS) {
                throw NotReached::elsewhere($host, $fetched->location ?? 'somewhere else');
            }
        }
    }

    /** Where to, if that is a listed host behind TLS. */
    private function sentOn(string $from, ?string $location): ?string
    {
        try {
            $to = $location === null || $location === '' ? null : UriResolver::resolve(new Uri($from), new Uri($location));
        } catch (MalformedUriException) {
            return null;
        }

        return $to !== null && $to->getScheme() === 'https' && $to->getUserInfo() === '' && $this->hosts->isListed($to->getHost())
            ? (string) $to
            : null;
    }

    private function text(DomainName $name, string $server): DirectoryAnswer
    {
        $from = "{$server}, port 43";
        try {
            $this->patience->ask($server);
            try {
                $text = WhoisText::read($this->asked($server, $name->ascii));
            } catch (NotReached $e) {
                throw $this->patience->failed($server, $e);
            }
            $this->patience->answered($server);
            $record = RecordOfText::read($text, $name->ascii);
            // Whatever stands in a remark: a text that says since when and with whom a name is registered has it.
            if ($record?->registrar === null && $record?->created === null && $record?->ends === null && $text->saysNothing()) {
                return DirectoryAnswer::noSuchName(Source::Text, $from, $text->text);
            }

            return $record === null
                ? DirectoryAnswer::not(Source::Text, $from, NotReached::garbled($server, 'it names no domain.'), $text->text)
                : DirectoryAnswer::record($from, $record, $text->text);
        } catch (WhoisError $e) {
            return DirectoryAnswer::not(Source::Text, $from, NotReached::garbled($server, $e->getMessage()));
        } catch (NotReached $e) {
            return DirectoryAnswer::not(Source::Text, $from, $e);
        }
    }

    /** RFC 3912 §2: the name and CRLF, then everything until the connection closes. */
    private function asked(string $server, string $name): string
    {
        [$address, $port] = $this->hosts->dial($server, 43);
        $socket = @stream_socket_client("tcp://{$address}:{$port}", $code, $why, $this->seconds);
        if ($socket === false) {
            throw NotReached::silent($server, is_string($why) && $why !== '' ? $why : 'no connection');
        }
        fwrite($socket, "{$name}\r\n");
        $until = hrtime(true) / 1e9 + $this->seconds;
        $text = '';
        while (! feof($socket) && strlen($text) <= WhoisText::LIMIT) {
            $left = $until - hrtime(true) / 1e9;
            if ($left <= 0) {
                throw NotReached::silent($server, 'it took too long');
            }
            stream_set_timeout($socket, (int) $left, (int) (($left - (int) $left) * 1_000_000));
            $text .= (string) fread($socket, 65_536);
        }
        fclose($socket);

        return $text;
    }

    /** @throws NotReached */
    private function bootstrap(): ?RdapBootstrap
    {
        if ($this->bootstrapAt === null) {
            return null;
        }
        $text = $this->cache->get('outside.bootstrap');
        if (! is_string($text)) {
            $fetched = $this->fetch->get($this->bootstrapAt, 'application/json');
            $text =
                $fetched->status === 200
                    ? $fetched->body
                    : throw NotReached::refused((string) parse_url($this->bootstrapAt, PHP_URL_HOST), $fetched->status, '');
        }
        if (($this->bootstrap[0] ?? null) !== $text) {
            try {
                $this->bootstrap = [$text, RdapBootstrap::read($text)];
            } catch (JsonError|RdapError $e) {
                throw NotReached::garbled((string) parse_url($this->bootstrapAt, PHP_URL_HOST), $e->getMessage());
            }
            $this->cache->put('outside.bootstrap', $text, self::KEEP);
        }

        return $this->bootstrap[1];
    }
}
