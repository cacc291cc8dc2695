<?php

declare(strict_types=1);

namespace Standin\Web;

use Acre\Wire\Json\JsonNode;
use JsonSerializable;

/** What a web server says when it is asked for a host, and what it shows as proof. */
final readonly class Page implements JsonSerializable
{
    /** Seconds: a certificate that nobody said otherwise of is a month old, and ends in two. */
    private const DAY = 86_400;

    /**
     * @param  string|null  $to  where it leads
     * @param  bool  $toSecure  whether whoever asks without TLS is sent to the same page with it
     * @param  bool  $isMute  whether it never says anything
     * @param  list<string>  $names  of the certificate
     * @param  int|null  $from  null: a month ago
     * @param  int|null  $until  null: in two months, ever again
     */
    private function __construct(
        public int $status,
        public ?string $to,
        public bool $keepsPath,
        public bool $toSecure,
        public bool $isMute,
        public Showing $showing,
        public array $names,
        private ?int $from,
        private ?int $until,
    ) {
    }

    /** Of a host that nobody said anything of. */
    public static function usual(string $host): self
    {
        return new self(200, null, false, false, false, Showing::Whole, self::bothOf($host), null, null);
    }

    public static function of(string $host, JsonNode $node): self
    {
        $to = $node->has('to') ? $node->text('to') : null;

        return new self(
            ($node->has('status') ? $node->intOrNull('status') : null) ?? ($to === null ? 200 : 301),
            $to,
            $node->has('keepsPath') && $node->boolOrNull('keepsPath') === true,
            $node->has('toSecure') && $node->boolOrNull('toSecure') === true,
            $node->has('isMute') && $node->boolOrNull('isMute') === true,
            Showing::from($node->has('showing') ? $node->text('showing') : Showing::Whole->value),
            $node->has('names') ? $node->texts('names') : self::bothOf($host),
            $node->has('from') ? $node->intOrNull('from') : null,
            $node->has('until') ? $node->intOrNull('until') : null,
        );
    }

    /** @return array{int, int} since when and until when its certificate is good, in whole days */
    public function span(int $now): array
    {
        $today = $now - $now % self::DAY;

        return [$this->from ?? $today - 30 * self::DAY, $this->until ?? $today + 60 * self::DAY];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return array_filter(
            [
                'status' => $this->status,
                'to' => $this->to,
                'keepsPath' => $this->keepsPath,
                'toSecure' => $this->toSecure,
                'isMute' => $this->isMute,
                'showing' => $this->showing->value,
                'names' => $this->names,
                'from' => $this->from,
                'until' => $this->until,
            ],
            fn (mixed $value): bool => $value !== null,
        );
    }

    /** @return list<string> */
    private static function bothOf(string $host): array
    {
        $bare = str_starts_with($host, 'www.') ? substr($host, 4) : $host;

        return [$bare, "www.{$bare}"];
    }
}
