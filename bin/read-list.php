<?php

declare(strict_types=1);

// Reads one list of names and writes it to its output, a JSON value a line: the headings, then each row with its line.
// A process of its own, with limits, because the file is whatever somebody sent. Called as: read-list.php FILE [ROWS [OPTIONS]].

use Acre\Wire\Lists\Encoding;
use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;
use Acre\Wire\Lists\Lists;

require __DIR__.'/../vendor/autoload.php';

$arguments = $_SERVER['argv'] ?? [];
$path = is_array($arguments) && is_string($arguments[1] ?? null) ? $arguments[1] : '';
$rows = is_array($arguments) && is_numeric($arguments[2] ?? null) ? (int) $arguments[2] : PHP_INT_MAX;
$said = json_decode(is_array($arguments) && is_string($arguments[3] ?? null) ? $arguments[3] : '{}', true);
$said = is_array($said) ? $said : [];
$options = new ListOptions(
    is_string($said['sheet'] ?? null) ? $said['sheet'] : null,
    is_bool($said['hasHeadings'] ?? null) ? $said['hasHeadings'] : null,
    is_string($said['encoding'] ?? null) ? Encoding::tryFrom($said['encoding']) : null,
);
$say = function (mixed $value): void {
    echo json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), "\n";
};

set_error_handler(fn (int $kind, string $said) => throw new ErrorException($said, 0, $kind));
try {
    $list = Lists::open($path, $options);
    $say([
        'headings' => $list->headings,
        'has_headings' => $list->hasHeadings,
        'names_columns' => $list->namesColumns(),
        'sheets' => $list->sheets(),
        'sheet' => $list->sheet(),
    ]);
    foreach ($list->rows() as $row) {
        if ($rows-- <= 0) {
            break;
        }
        $say([$row->line, $row->cells, $row->numbers]);
    }
    $say(['end' => true]);
} catch (ListError $e) {
    $say(['error' => $e->getMessage()]);
}
