<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\DiskTrouble;
use Illuminate\Support\Facades\Auth;

/** The display or script that asks: whose workshop it reads, and that it was seen. */
final readonly class DisplayDevice
{
    /** That it was seen is written down so often, however often it asks. */
    private const SEEN_S = 600;

    public function __construct(private AppClock $clock) {}

    /** 403 where its token is for something else. */
    public function workshop(): Workshop
    {
        $device = Auth::guard('sanctum')->user();
        ($device instanceof Device && $device->tokenCan(Device::READS_WORKSHOP)) || abort(403, (string) __('errors.display.ability'));
        if (($device->seen_at ?? 0) + self::SEEN_S <= $this->clock->unixS()) {
            DiskTrouble::mayFail(fn() => $device->update(['seen_at' => $this->clock->unixS()]));
        }

        return Workshop::query()->findOrFail($device->workshop_id);
    }
}
