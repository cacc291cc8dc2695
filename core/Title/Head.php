<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Instant;

/**
 * How far the records of a house had come at an instant: its last proof, the last day of its log that is closed, and how many rows
 * there were since. Whoever has kept one can tell later whether what it counts still stands. Signed, it is a receipt.
 */
final readonly class Head
{
    private const FORM = <<<'RE'
    /^Acre Roll, head of its records, form 1
    kept: (\S+)
    proofs: (\d{1,15})
    last proof: ([0-9a-f]{64}|none)
    log closed to: (\d{4}-\d\d-\d\d|none)
    last day: ([0-9a-f]{64}|none)
    rows since: (\d{1,15}) to row (\d{1,18})
    key: (\S{44})
    signature: (\S{88})
    $/D
    RE;

    /**
     * @param  int  $proofs  the place of the last proof in the chain; 0: there is none
     * @param  string|null  $lastProof  its SHA-256
     * @param  string|null  $closedTo  the last closed day of the log, as `2026-11-29`
     * @param  string|null  $lastDay  its SHA-256
     * @param  int  $rows  of the log, after that day
     * @param  int  $toRow  the number of the last of them
     */
    public function __construct(
        public Instant $kept,
        public int $proofs,
        public ?string $lastProof,
        public ?string $closedTo,
        public ?string $lastDay,
        public int $rows,
        public int $toRow,
    ) {
    }

    /** Whether both say the same but when. */
    public function saysTheSameAs(self $other): bool
    {
        return $this->facts() === $other->facts();
    }

    /** @param  string  $secret  an Ed25519 secret key as libsodium has it (RFC 8032), 64 bytes */
    public function signed(string $secret): string
    {
        $text =
            "Acre Roll, head of its records, form 1\nkept: {$this->kept->isoSecond()}\n{$this->facts()}key: ".
            base64_encode(sodium_crypto_sign_publickey_from_secretkey(self::key($secret))).
            "\n";

        return $text.'signature: '.base64_encode(sodium_crypto_sign_detached($text, self::key($secret)))."\n";
    }

    /**
     * @param  string  $text  as it was signed, to the byte
     * @param  string  $secret  the house's own key: another's is no proof
     *
     * @throws TitleError when it isn't one, was changed, or is another house's
     */
    public static function read(string $text, string $secret): self
    {
        if (preg_match((string) preg_replace('/^ +/m', '', self::FORM), $text, $found) !== 1) {
            throw TitleError::noHead();
        }
        [, $kept, $proofs, $lastProof, $closedTo, $lastDay, $rows, $toRow, , $signature] = $found;
        $signed = substr($text, 0, (int) strrpos($text, 'signature: '));
        $bytes = (string) base64_decode($signature, true);
        if (
            strlen($bytes) !== SODIUM_CRYPTO_SIGN_BYTES ||
            ! sodium_crypto_sign_verify_detached($bytes, $signed, sodium_crypto_sign_publickey_from_secretkey(self::key($secret)))
        ) {
            throw TitleError::notSignedByUs();
        }
        $orNone = fn (string $value): ?string => $value === 'none' ? null : $value;

        return new self(
            Instant::of($kept),
            (int) $proofs,
            $orNone($lastProof),
            $orNone($closedTo),
            $orNone($lastDay),
            (int) $rows,
            (int) $toRow,
        );
    }

    private function facts(): string
    {
        return "proofs: {$this->proofs}\nlast proof: ".
            ($this->lastProof ?? 'none').
            "\nlog closed to: ".
            ($this->closedTo ?? 'none').
            "\nlast day: ".
            ($this->lastDay ?? 'none').
            "\nrows since: {$this->rows} to row {$this->toRow}\n";
    }

    /** @return non-empty-string */
    private static function key(string $secret): string
    {
        return strlen($secret) === SODIUM_CRYPTO_SIGN_SECRETKEYBYTES ? $secret : throw TitleError::noKey();
    }
}
