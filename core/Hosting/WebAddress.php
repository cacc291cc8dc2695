<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use JsonSerializable;

/** The address of a page (RFC 3986, RFC 9110 §4.2): scheme, host in A-labels, port where it is not the usual one, path and query. */
final readonly class WebAddress implements JsonSerializable
{
    /** RFC 9110 §4.1 wants 8,000 octets taken; a redirect to more than this is a mistake. */
    public const LONGEST = 2_000;

    /** @param  string  $path  with its query; at least `/` */
    private function __construct(public bool $isSecure, public string $host, public ?int $port, public string $path)
    {
    }

    /**
     * A fragment is left out, as no server sees it (RFC 9110 §7.1).
     *
     * @throws HostingError
     */
    public static function of(string $text): self
    {
        $text = trim($text);
        if (strlen($text) > self::LONGEST) {
            throw HostingError::tooLong(strlen($text), self::LONGEST);
        }
        $isWeb = preg_match('{\A(https?)://([^/?\#\\\\\s\x00-\x1F]+)([/?][^\s\x00-\x1F\#]*)?(?:\#\S*)?\z}i', $text, $part) === 1;
        if (! $isWeb) {
            throw HostingError::notWeb(mb_scrub(mb_substr($text, 0, 200)));
        }
        [$scheme, $authority, $path] = [strtolower($part[1]), $part[2], $part[3] ?? ''];
        if (str_contains($authority, '@')) {
            throw HostingError::credentials($text);
        }
        [$host, $port] = [...explode(':', $authority, 2), null];
        if ($port !== null && (preg_match('/\A\d{1,5}\z/', $port) !== 1 || (int) $port < 1 || (int) $port > 65_535)) {
            throw HostingError::notWeb($text);
        }
        try {
            $ascii = DomainName::of((string) $host)->ascii;
        } catch (NameError $e) {
            throw HostingError::hostless($text, $e->getMessage());
        }
        $usual = $scheme === 'https' ? 443 : 80;
        $path = str_starts_with($path, '?') ? "/{$path}" : $path;

        return new self($scheme === 'https', $ascii, $port === null || (int) $port === $usual ? null : (int) $port, self::encoded($path));
    }

    public static function ofHost(string $host, bool $isSecure, string $path = '/'): self
    {
        return new self($isSecure, $host, null, $path);
    }

    /**
     * Where a server's Location leads, read from here (RFC 9110 §10.2.2).
     *
     * @throws HostingError
     */
    public function to(string $location): self
    {
        $location = trim($location);
        $here = ($this->isSecure ? 'https' : 'http')."://{$this->host}".($this->port === null ? '' : ":{$this->port}");

        return self::of(match (true) {
            preg_match('{\A[a-z][a-z0-9+.-]*:}i', $location) === 1 => $location,
            str_starts_with($location, '//') => ($this->isSecure ? 'https:' : 'http:').$location,
            str_starts_with($location, '/') => $here.$location,
            $location === '' => (string) $this,
            str_starts_with($location, '?') => $here.strtok($this->path, '?').$location,
            // Beside the page that said it (RFC 3986 §5.2.3); dots in it are left to the server.
            default => $here.substr($this->path, 0, (int) strrpos((string) strtok($this->path, '?'), '/') + 1).$location,
        });
    }

    public function port(): int
    {
        return $this->port ?? ($this->isSecure ? 443 : 80);
    }

    /** The same page, whether over TLS or not. */
    public function isSamePageAs(self $other): bool
    {
        return $this->host === $other->host && rtrim($this->path, '/') === rtrim($other->path, '/');
    }

    /** The same path under this page: `https://a.example/new` and `/x?y` make `https://a.example/new/x?y`. */
    public function with(string $path): self
    {
        return new self($this->isSecure, $this->host, $this->port, rtrim($this->path, '/').$path);
    }

    public function __toString(): string
    {
        return ($this->isSecure ? 'https' : 'http')."://{$this->host}".($this->port === null ? '' : ":{$this->port}").$this->path;
    }

    public function jsonSerialize(): string
    {
        return (string) $this;
    }

    /** Other alphabets and odd characters as an address carries them (RFC 3987 §3.1). */
    private static function encoded(string $path): string
    {
        $encoded = preg_replace_callback(
            '/[^\x21\x23-\x3B\x3D\x3F-\x5B\x5D\x5F\x61-\x7A\x7E]/',
            fn (array $one): string => rawurlencode($one[0]),
            $path,
        );

        return $encoded === null || $encoded === '' ? '/' : $encoded;
    }
}
