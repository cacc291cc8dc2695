<?php

declare(strict_types=1);

namespace App\Actions\Links;

use App\Models\Link;
use App\Models\LinkPurpose;
use Illuminate\Database\Connection;

/**
 * Makes a link for a letter: 256 random bits, of which only the digest is kept. Earlier links for the same thing are no longer valid.
 */
final readonly class IssueLink
{
    private const BYTES = 32;

    public function __construct(private Connection $database, private string $publicAddress)
    {
    }

    /**
     * @param  int  $seconds  for which it is good, by the machine's clock
     * @return string the whole address
     */
    public function handle(LinkPurpose $purpose, string $mailbox, LinkOf $of, int $seconds): string
    {
        $this->withdraw($purpose, $of);
        $token = rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '=');
        Link::query()->create([
            'purpose' => $purpose,
            'digest' => self::digest($token),
            'mailbox' => $mailbox,
            ...$of->columns,
            'expires_at' => gmdate('c', time() + $seconds),
        ]);

        return rtrim($this->publicAddress, '/')."/answer/{$token}";
    }

    public function withdraw(LinkPurpose $purpose, LinkOf $of): void
    {
        $this->database->update(
            "UPDATE links SET withdrawn_at = clock_timestamp()
                WHERE purpose = ? AND {$of->key} = ? AND used_at IS NULL AND withdrawn_at IS NULL",
            [$purpose->value, $of->columns[$of->key]],
        );
    }

    public static function digest(string $token): string
    {
        return hash('sha256', $token);
    }
}
