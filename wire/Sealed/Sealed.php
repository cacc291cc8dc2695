<?php

declare(strict_types=1);

namespace Acre\Wire\Sealed;

use SensitiveParameter;

/**
 * A stream under a passphrase: Argon2id for the key, XChaCha20-Poly1305 in chunks (libsodium's secretstream), so that
 * one changed, missing or added byte is found. Nothing holds the whole of it.
 */
final class Sealed
{
    private const MAGIC = "ACRE KEPT 1\n";

    private const CHUNK = 65_536;

    /**
     * @param  resource  $from
     * @param  resource  $to
     */
    public static function seal($from, $to, #[SensitiveParameter] string $passphrase): void
    {
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        /** @var array{string, string} $started */
        $started = sodium_crypto_secretstream_xchacha20poly1305_init_push(self::key($passphrase, $salt));
        [$state, $header] = $started;
        fwrite($to, self::MAGIC.$salt.$header);
        $chunk = self::read($from, self::CHUNK);
        do {
            $next = self::read($from, self::CHUNK);
            $tag =
                $next === ''
                    ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                    : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE;
            fwrite($to, sodium_crypto_secretstream_xchacha20poly1305_push($state, $chunk, self::MAGIC, $tag));
            $chunk = $next;
        } while ($next !== '');
    }

    /**
     * What was written before a fault was found is not to be used.
     *
     * @param  resource  $from
     * @param  resource  $to
     *
     * @throws SealedError when it is no such file, the passphrase is another one, or a byte was changed
     */
    public static function open($from, $to, #[SensitiveParameter] string $passphrase): void
    {
        $salts = SODIUM_CRYPTO_PWHASH_SALTBYTES;
        $headers = SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES;
        $start = self::read($from, strlen(self::MAGIC) + $salts + $headers);
        if (! str_starts_with($start, self::MAGIC) || strlen($start) !== strlen(self::MAGIC) + $salts + $headers) {
            throw SealedError::notKept();
        }
        $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull(
            substr($start, -$headers),
            self::key($passphrase, substr($start, strlen(self::MAGIC), $salts)),
        );
        $tag = null;
        $first = true;
        while (($chunk = self::read($from, self::CHUNK + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES)) !== '') {
            $opened =
                $tag === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                    ? false
                    : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $chunk, self::MAGIC);
            if (! is_array($opened) || ! is_string($opened[0])) {
                throw $first ? SealedError::passphrase() : SealedError::changed();
            }
            $first = false;
            $tag = $opened[1];
            fwrite($to, $opened[0]);
        }
        if ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
            throw SealedError::changed();
        }
    }

    private static function key(#[SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }

    /**
     * A pipe gives less than is asked for.
     *
     * @param  resource  $from
     */
    private static function read($from, int $length): string
    {
        $read = '';
        while (strlen($read) < $length && ! feof($from)) {
            $read .= (string) fread($from, max(1, $length - strlen($read)));
        }

        return $read;
    }
}
