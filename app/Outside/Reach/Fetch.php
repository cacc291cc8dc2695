<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use CurlHandle;
use RuntimeException;
use SensitiveParameter;

/** HTTP over TLS to a listed host: dialled where it was judged, nothing followed, bytes and seconds capped. */
final class Fetch
{
    private ?CurlHandle $curl = null;

    /**
     * @param  string|null  $authority  a file of certificates to trust instead of the machine's own
     * @param  int  $connect  seconds
     * @param  int  $answer  seconds
     * @param  int  $limit  bytes of an answer
     */
    public function __construct(
        private readonly Hosts $hosts,
        private readonly ?string $authority,
        private readonly int $connect,
        private readonly int $answer,
        private readonly int $limit,
    ) {
    }

    /** @throws NotReached */
    public function get(string $url, string $accept): Fetched
    {
        return $this->send('GET', $url, ["Accept: {$accept}"]);
    }

    /**
     * @param  non-empty-string  $method
     * @param  list<string>  $headers  lines
     * @param  string|null  $key  SHA-256 of the public key that the host must show, in base64; null: any that its certificate proves
     *
     * @throws NotReached
     */
    public function send(
        string $method,
        string $url,
        #[SensitiveParameter] array $headers,
        ?string $body = null,
        ?string $key = null,
    ): Fetched {
        $parts = parse_url($url);
        $host = strtolower($parts['host'] ?? '');
        if ($url === '' || ($parts['scheme'] ?? '') !== 'https' || $host === '' || isset($parts['user'])) {
            throw NotReached::address($url);
        }
        $port = $parts['port'] ?? 443;
        [$address, $dialled] = $this->hosts->dial($host, $port);
        $answer = '';
        $told = [];
        $curl = $this->curl ??= curl_init();
        // Set anew each time; the connection is kept.
        curl_reset($curl);
        $isSet = curl_setopt_array(
            $curl,
            [
                CURLOPT_URL => $url,
                CURLOPT_CONNECT_TO => ["{$host}:{$port}:{$address}:{$dialled}"],
                CURLOPT_PROTOCOLS => CURLPROTO_HTTPS,
                CURLOPT_PROXY => '',
                CURLOPT_FOLLOWLOCATION => false,
                CURLOPT_CONNECTTIMEOUT => $this->connect,
                CURLOPT_TIMEOUT => $this->answer,
                CURLOPT_CUSTOMREQUEST => $method,
                CURLOPT_HTTPHEADER => [...$headers, 'User-Agent: Acre Roll', 'Expect:'],
                CURLOPT_HEADERFUNCTION => function (CurlHandle $curl, string $line) use (&$told): int {
                    [$name, $value] = [...explode(':', $line, 2), ''];
                    $told[strtolower(trim($name))] = trim($value);

                    return strlen($line);
                },
                CURLOPT_WRITEFUNCTION => function (CurlHandle $curl, string $bytes) use (&$answer): int {
                    $answer .= $bytes;

                    // Fewer than were given: curl stops there.
                    return strlen($answer) > $this->limit ? 0 : strlen($bytes);
                },
            ] +
                ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]) +
                ($key === null ? [] : [CURLOPT_PINNEDPUBLICKEY => "sha256//{$key}"]) +
                ($this->authority === null || $this->authority === ''
                    ? []
                    : [CURLOPT_CAINFO => $this->authority, CURLOPT_CAPATH => '/nonexistent']),
        );
        if (! $isSet) {
            throw new RuntimeException('curl takes an option no more: '.curl_error($curl));
        }
        curl_exec($curl);
        match (curl_errno($curl)) {
            CURLE_OK => null,
            CURLE_WRITE_ERROR => throw NotReached::tooLong($host, $this->limit),
            CURLE_SSL_CONNECT_ERROR,
            CURLE_SSL_CERTPROBLEM,
            CURLE_SSL_CACERT,
            CURLE_SSL_PINNEDPUBKEYNOTMATCH,
            60,
            CURLE_SSL_CACERT_BADFILE => throw NotReached::certificate($host, curl_error($curl)),
            CURLE_UNSUPPORTED_PROTOCOL, CURLE_FTP_WEIRD_SERVER_REPLY => throw NotReached::garbled($host, 'it is no HTTP.'),
            CURLE_OPERATION_TIMEDOUT => throw NotReached::silent($host, "it took longer than {$this->answer} s"),
            CURLE_COULDNT_CONNECT => throw NotReached::silent($host, 'no connection')->ofHost(),
            CURLE_GOT_NOTHING, CURLE_RECV_ERROR, CURLE_PARTIAL_FILE => throw NotReached::silent($host, 'the connection was closed'),
            default => throw NotReached::silent($host, curl_error($curl)),
        };
        $retry = $told['retry-after'] ?? null;
        $at = $retry === null || ctype_digit($retry) ? null : strtotime($retry);

        return new Fetched(
            curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
            $answer,
            $retry === null ? null : ($at === null ? (int) $retry : max(0, (int) $at - time())),
            $told['location'] ?? null,
        );
    }
}
