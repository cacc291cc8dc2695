<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\ShortestCure;
use Acre\Core\Hosting\SiteSeen;
use App\Models\NameSite;

/** A host of a name: what visitors should find there, what was found, and what of it is wrong. */
final readonly class SiteRead
{
    /**
     * @param  SiteSeen|null  $seen  null: nobody has asked yet
     * @param  list<Finding>  $findings  dearest first
     * @param  ShortestCure|null  $cure  null: it is where it belongs
     */
    public function __construct(
        public NameSite $site,
        public ?SiteSeen $seen,
        public array $findings,
        public ?ShortestCure $cure,
    ) {
    }
}
