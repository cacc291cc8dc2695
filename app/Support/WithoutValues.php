<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\QueryException;
use Illuminate\Log\Logger;
use Monolog\Logger as Monolog;
use Monolog\LogRecord;
use Throwable;

/** Takes the values out of what is logged of a statement that failed: they may be anybody's data, or a secret. */
final class WithoutValues
{
    public function __invoke(Logger $logger): void
    {
        $monolog = $logger->getLogger();
        if ($monolog instanceof Monolog) {
            $monolog->pushProcessor(self::clean(...));
        }
    }

    public static function clean(LogRecord $record): LogRecord
    {
        $thrown = $record->context['exception'] ?? null;
        $query = $thrown instanceof Throwable ? self::query($thrown) : null;
        if ($query === null) {
            return $record;
        }

        return $record->with(
            message: self::said($query),
            context: [
                'statement' => mb_substr($query->getSql(), 0, 2_000),
                'at' => $thrown instanceof Throwable ? "{$thrown->getFile()}:{$thrown->getLine()}" : '',
                'trace' => self::trace($query),
            ],
        );
    }

    /** What the database said, without the values that it quotes on further lines. */
    public static function said(QueryException $e): string
    {
        return explode("\n", $e->getPrevious()?->getMessage() ?? (string) $e->getCode())[0];
    }

    private static function query(Throwable $e): ?QueryException
    {
        for ($one = $e; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof QueryException) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<string> where it came from, without arguments */
    private static function trace(Throwable $e): array
    {
        return array_map(
            fn (array $frame): string => ($frame['file'] ?? '').':'.($frame['line'] ?? 0),
            array_slice($e->getTrace(), 0, 30),
        );
    }
}
