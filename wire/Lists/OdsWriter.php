<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use XMLWriter;
use ZipArchive;

/**
 * A spreadsheet of one sheet as OpenDocument 1.3 (part 3, §3 and §9; part 2, §2.2). The library that reads them writes a date without
 * a format of its own, which office programs then show as a number of days.
 */
final readonly class OdsWriter
{
    private const SPACES = [
        'office' => 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
        'table' => 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
        'text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
        'style' => 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
        'number' => 'urn:oasis:names:tc:opendocument:xmlns:datastyle:1.0',
    ];

    private const STYLES =
        '<office:automatic-styles><number:date-style style:name="day"><number:year '
            .'number:style="long"/><number:text>-</number:text><number:month number:style="long"/>'.
        '<number:text>-</number:text><number:day number:style="long"/></number:date-style><style:style style:name="date" '
            .'style:family="table-cell" style:data-style-name="day"/></office:automatic-styles>';

    private const MIME = 'application/vnd.oasis.opendocument.spreadsheet';

    private const FLUSH = 500;

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string>>  $rows
     * @param  list<ColumnKind>  $kinds
     */
    public static function write(string $path, array $headings, iterable $rows, array $kinds): void
    {
        $content = (string) tempnam(dirname($path), 'ods-');
        try {
            $xml = new XMLWriter();
            $xml->openUri($content);
            $xml->startDocument('1.0', 'UTF-8');
            $xml->startElement('office:document-content');
            foreach (self::SPACES as $prefix => $space) {
                $xml->writeAttribute("xmlns:{$prefix}", $space);
            }
            $xml->writeAttribute('office:version', '1.3');
            $xml->writeRaw(self::STYLES);
            $xml->startElement('office:body');
            $xml->startElement('office:spreadsheet');
            $xml->startElement('table:table');
            $xml->writeAttribute('table:name', 'Names');
            self::row($xml, $headings, []);
            $written = 0;
            foreach ($rows as $row) {
                self::row($xml, $row, $kinds);
                if (++$written % self::FLUSH === 0) {
                    $xml->flush();
                }
            }
            $xml->endDocument();
            $xml->flush();
            self::pack($path, $content);
        } finally {
            unlink($content);
        }
    }

    /**
     * @param  list<string>  $cells
     * @param  list<ColumnKind>  $kinds
     */
    private static function row(XMLWriter $xml, array $cells, array $kinds): void
    {
        $xml->startElement('table:table-row');
        foreach ($cells as $column => $cell) {
            $kind = $kinds[$column] ?? ColumnKind::Text;
            $kind = $kind->fits($cell) ? $kind : ColumnKind::Text;
            $xml->startElement('table:table-cell');
            if ($cell !== '') {
                [$type, $attribute] = match ($kind) {
                    ColumnKind::Text => ['string', null],
                    ColumnKind::Date => ['date', 'office:date-value'],
                    ColumnKind::Number => ['float', 'office:value'],
                };
                $xml->writeAttribute('office:value-type', $type);
                if ($attribute !== null) {
                    $xml->writeAttribute($attribute, $cell);
                }
                if ($kind === ColumnKind::Date) {
                    $xml->writeAttribute('table:style-name', 'date');
                }
                $xml->writeElement('text:p', $kind === ColumnKind::Text ? Cell::guard($cell) : $cell);
            }
            $xml->endElement();
        }
        $xml->endElement();
    }

    private static function pack(string $path, string $content): void
    {
        $archive = new ZipArchive();
        if ($archive->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw ListError::unreadable(basename($path));
        }
        // First and as it is, so that the kind of file shows at a fixed place (part 2, §3.3).
        $archive->addFromString('mimetype', self::MIME);
        $archive->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $archive->addFromString(
            'META-INF/manifest.xml',
            '<?xml version="1.0" encoding="UTF-8"?><manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" '
                .'manifest:version="1.3">'.
                '<manifest:file-entry manifest:full-path="/" manifest:version="1.3" manifest:media-type="'.
                self::MIME.
                '"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>',
        );
        $archive->addFile($content, 'content.xml');
        $archive->close();
    }
}
