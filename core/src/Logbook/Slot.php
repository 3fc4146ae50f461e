<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A place on a bike that holds one part at a time. */
enum Slot: string
{
    case Chain = 'chain';
    case Cassette = 'cassette';
    case Ring = 'ring';
    case JockeyWheels = 'jockey_wheels';
    /** The cassette of the home trainer that the bike is put on: what is ridden indoors goes to it. */
    case Trainer = 'trainer';
}
