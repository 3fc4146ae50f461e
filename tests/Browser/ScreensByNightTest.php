<?php

declare(strict_types=1);

use Tests\Browser\Support\ScreensWalk;

// In a file of its own, so that both walks can run beside one another.
it('has no screen, dialog or menu in which axe finds anything, by night on the phone', function (): void {
    ScreensWalk::walk('dark', 360, followed: true);
});
