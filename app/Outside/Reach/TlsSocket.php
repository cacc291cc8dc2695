<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use OpenSSLCertificate;

/** A connection behind TLS to a listed host, dialled where it was judged, its certificate held against whom we trust. */
final readonly class TlsSocket
{
    /**
     * @param  string|null  $authority  a file of certificates to trust instead of the machine's own
     * @param  float  $seconds  that connecting may take
     * @param  string|null  $key  SHA-256 of the public key that it must show, in base64; null: any that its certificate proves
     * @return resource
     *
     * @throws NotReached
     */
    public static function open(Hosts $hosts, string $host, int $port, ?string $authority, float $seconds, ?string $key = null)
    {
        [$address, $dialled] = $hosts->dial($host, $port);
        $context = stream_context_create([
            'socket' => ['tcp_nodelay' => true],
            'ssl' => [
                'peer_name' => $host,
                'verify_peer' => true,
                'verify_peer_name' => true,
                'SNI_enabled' => true,
                'disable_compression' => true,
                'capture_peer_cert' => $key !== null,
            ] + ($authority === null ? [] : ['cafile' => $authority]),
        ]);
        // PHP says first what is wrong with a certificate, and last only that it could not connect.
        $said = '';
        set_error_handler(function (int $level, string $message) use (&$said): bool {
            $said .= $message;

            return true;
        });
        try {
            $socket = stream_socket_client("tls://{$address}:{$dialled}", $code, $why, $seconds, STREAM_CLIENT_CONNECT, $context);
        } finally {
            restore_error_handler();
        }
        if ($socket === false) {
            throw str_contains($said, 'certificate')
                ? NotReached::certificate($host, 'its certificate is not signed by whom we trust')
                : NotReached::silent($host, is_string($why) && $why !== '' ? $why : 'no connection');
        }

        if ($key !== null && ! hash_equals($key, self::key($socket))) {
            fclose($socket);
            throw NotReached::certificate($host, 'its key is not the one that is written down for it');
        }

        return $socket;
    }

    /** @param  resource  $socket */
    private static function key($socket): string
    {
        $options = stream_context_get_options($socket);
        $certificate = is_array($options['ssl'] ?? null) ? $options['ssl']['peer_certificate'] ?? null : null;
        $public = $certificate instanceof OpenSSLCertificate ? openssl_pkey_get_public($certificate) : false;
        $details = $public === false ? false : openssl_pkey_get_details($public);
        $pem = is_array($details) && is_string($details['key'] ?? null) ? $details['key'] : '';

        return base64_encode(hash('sha256', (string) base64_decode((string) preg_replace('/-----[^-]+-----|\s/', '', $pem), true), true));
    }
}
