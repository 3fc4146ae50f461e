<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** A file could not be written whole. Its message is what the file system said. */
final class NotWritten extends RuntimeException {}
