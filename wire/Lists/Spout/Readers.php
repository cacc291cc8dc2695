<?php

declare(strict_types=1);

namespace Acre\Wire\Lists\Spout;

use OpenSpout\Reader\ODS;
use OpenSpout\Reader\ReaderInterface;
use OpenSpout\Reader\XLSX;
use OpenSpout\Reader\XLSX\Manager\SharedStringsCaching\CachingStrategyFactory;

/** The library's readers, put together as its own factory does, with cells that tell more. */
final class Readers
{
    public static function xlsx(): ReaderInterface
    {
        $helpers = new class extends XLSX\Creator\HelperFactory
        {
            public function createCellValueFormatter(
                $sharedStringsManager,
                $styleManager,
                $shouldFormatDates,
                $shouldUse1904Dates,
            ): XlsxCells {
                return new XlsxCells(
                    $sharedStringsManager,
                    $styleManager,
                    $shouldFormatDates,
                    $shouldUse1904Dates,
                    $this->createStringsEscaper(),
                );
            }
        };
        $managers = new class($helpers, new CachingStrategyFactory()) extends XLSX\Creator\ManagerFactory
        {
            public function createStyleManager($filePath, $entityFactory): XlsxStyles
            {
                return new XlsxStyles($filePath, new XLSX\Manager\WorkbookRelationshipsManager($filePath, $entityFactory), $entityFactory);
            }
        };
        $reader = new XLSX\Reader(
            new XLSX\Manager\OptionsManager(),
            $helpers->createGlobalFunctionsHelper(),
            new XLSX\Creator\InternalEntityFactory($managers, $helpers),
            $managers,
        );
        $reader->setShouldFormatDates(false);
        $reader->setShouldPreserveEmptyRows(true);

        return $reader;
    }

    public static function ods(): ReaderInterface
    {
        $helpers = new class extends ODS\Creator\HelperFactory
        {
            public function createCellValueFormatter($shouldFormatDates): OdsCells
            {
                return new OdsCells($shouldFormatDates, $this->createStringsEscaper());
            }
        };
        $reader = new ODS\Reader(
            new ODS\Manager\OptionsManager(),
            $helpers->createGlobalFunctionsHelper(),
            new ODS\Creator\InternalEntityFactory($helpers, new ODS\Creator\ManagerFactory()),
        );
        $reader->setShouldFormatDates(false);
        $reader->setShouldPreserveEmptyRows(true);

        return $reader;
    }
}
