<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;

it('has in its documentation the table of the schools as it is worked out today', function (): void {
    Artisan::call('dripel:schools');
    expect((string) file_get_contents(base_path('docs/stripping.md')))->toContain(trim(Artisan::output()));
});
