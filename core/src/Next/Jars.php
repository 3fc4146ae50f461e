<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Solvent jars that have done their cleanings, or have stood long enough to be decanted. */
final readonly class Jars implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->jars as $jar) {
            if ($jar->spent()) {
                $items[] = new NextItem(NextKind::JarSpent, null, [], null, Verb::Jar, about: $jar);
            } elseif ($jar->settledS() !== null && $jar->settledS() <= $in->today->endS()) {
                $items[] = new NextItem(NextKind::JarSettled, null, [], $in->today->date, Verb::Jar, about: $jar);
            }
        }

        return $items;
    }
}
