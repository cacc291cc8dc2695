<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Name\DomainName;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Name as WireName;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\RefusedLine;
use App\Models\Name;
use App\Models\ServersKept;
use App\Outside\Dns\Dns;
use App\Outside\Dns\ZoneAsked;
use App\Outside\Dns\ZoneWanted;
use App\Queries\Servers\GivingServers;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Keeps a copy of a name's zone: as its servers have it now, or as a file says. */
final readonly class KeepZone
{
    /** Refused lines that are told one by one. */
    private const TOLD = 50;

    public function __construct(
        private Connection $database,
        private Dns $dns,
        private ZoneCopies $copies,
        private GivingServers $giving,
        private KeepMail $mail,
        private TradeClock $clock,
    ) {
    }

    /** @return 'kept'|'same'|'silent' */
    public function now(Name $name): string
    {
        $ours = $this->database->scalar('SELECT servers FROM standings WHERE name_id = ?', [$name->id]);
        $wanted = new ZoneWanted(
            DomainName::of($name->ascii),
            ServersKept::ofText(is_string($ours) ? $ours : ''),
            $this->copies->newest([$name->id])[$name->id] ?? null,
            $this->giving->hosts(),
        );
        $found = null;
        $this->dns->zones([$wanted], function (ZoneWanted $of, ?ZoneAsked $asked) use (&$found): void {
            $found = $asked;
        });
        if (! $found instanceof ZoneAsked) {
            return 'silent';
        }
        $source = $found->isWhole ? 'transferred' : 'asked';
        $isNew = $this->copies->keep($name->id, $found->copy, $source, $found->host, $this->clock->now());
        $this->mail->ofAsked([$name->id => $found->copy]);

        return $isNew ? 'kept' : 'same';
    }

    /** As editors of other systems save it. */
    private static function plain(string $text): string
    {
        $marks = ["\xEF\xBB\xBF" => 'UTF-8', "\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'];
        foreach ($marks as $mark => $encoding) {
            if (str_starts_with($text, $mark)) {
                return mb_convert_encoding(substr($text, strlen($mark)), 'UTF-8', $encoding);
            }
        }

        return $text;
    }

    /**
     * What can be read of it is kept, the rest told.
     *
     * @param  'pasted'|'uploaded'  $source
     */
    public function read(Name $name, string $text, string $source, string $toldBy): ZoneRead
    {
        $zone = WireName::ofHost($name->ascii);
        $file = MasterFile::read(self::plain($text), $zone);
        $refused = array_map(
            fn (RefusedLine $line): array => [$line->line, mb_substr(mb_scrub($line->text), 0, 200), $line->why],
            $file->refused,
        );
        $entries = [];
        foreach ($file->records as $record) {
            if ($record->name->isWithin($zone)) {
                $entries[] = new Entry($record->name->host(), RecordType::text($record->type), $record->ttl, (string) $record->data);
            } else {
                $refused[] = [0, mb_substr((string) $record, 0, 200), "it lies outside {$name->unicode}"];
            }
        }
        if ($entries !== []) {
            $copy = ZoneCopy::of($name->ascii, $entries);
            $this->copies->keep($name->id, $copy, $source, $toldBy, $this->clock->now());
            $this->mail->ofBrought($name->id, $copy);
        }

        return new ZoneRead(count($entries), array_slice($refused, 0, self::TOLD));
    }
}
