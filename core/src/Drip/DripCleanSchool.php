<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

/** Whether a chain that lives on drip wax alone sees solvent again. Common practice, disputed. */
enum DripCleanSchool: string
{
    /** The default: brush and water, never solvent again, which takes the wax out. */
    case Water = 'water';
    /** After two applications, or a muddy ride, a full clean with solvent. */
    case Solvent = 'solvent';

    /** Common practice: so many applications between two full cleans. */
    public const APPLICATIONS = 2;
}
