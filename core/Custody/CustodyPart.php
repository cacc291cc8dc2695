<?php

declare(strict_types=1);

namespace Acre\Core\Custody;

/** What a person has of an account. */
enum CustodyPart: string
{
    case SignsIn = 'signs_in';
    case SecondFactor = 'second_factor';
    case Card = 'card';
    /** Can get in again once nobody else can. */
    case WayBack = 'way_back';
}
