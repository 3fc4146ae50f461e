<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/** What to mind when the new chain is laid beside the old one. */
enum MatchNote: string
{
    case LikeTheOld = 'like_the_old';
    /** The old one has a pin, the new one a quick link: it replaces one outer link, so count it in. */
    case LinkReplacesOuter = 'link_replaces_outer';
    /** The old one has a quick link, the new one a pin: its outer link has to stay on the new chain. */
    case PinNeedsTheOuter = 'pin_needs_the_outer';
}
