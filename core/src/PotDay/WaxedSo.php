<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** How well a chain was waxed whose soak was cut short: asked of who was there. */
enum WaxedSo: string
{
    case Fully = 'fully';
    /** Its coat counts half: house rule. */
    case Partly = 'partly';
    /** It is as it was before. */
    case No = 'no';
}
