<?php

declare(strict_types=1);

namespace App\Exceptions;

use RuntimeException;

/** A form came with the id of something else that was done already. */
final class ActionIdTaken extends RuntimeException {}
