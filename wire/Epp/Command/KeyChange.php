<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** Which delegation signers a name is to have (RFC 5910 §5.2.5): what goes, then what comes. */
final readonly class KeyChange
{
    /**
     * @param  list<SigningKey>  $add
     * @param  list<SigningKey>  $remove
     * @param  bool  $removeAll  whatever there is; `$remove` is then not looked at
     */
    public function __construct(private array $add = [], private array $remove = [], private bool $removeAll = false)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->object(EppNamespace::SecDns, 'update', function (EppWriter $to): void {
            if ($this->removeAll) {
                $to->open('secDNS:rem', [], fn (EppWriter $to) => $to->text('secDNS:all', 'true'));
            } else {
                self::keys($to, 'rem', $this->remove);
            }
            self::keys($to, 'add', $this->add);
        });
    }

    /** @param  list<SigningKey>  $keys */
    private static function keys(EppWriter $to, string $part, array $keys): void
    {
        if ($keys !== []) {
            $to->open("secDNS:{$part}", [], function (EppWriter $to) use ($keys): void {
                foreach ($keys as $key) {
                    $key->write($to);
                }
            });
        }
    }
}
