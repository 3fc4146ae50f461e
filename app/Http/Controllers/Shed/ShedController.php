<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shed;

use App\Ahead\ReadPlan;
use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Http\Props\ShedProps;
use App\Logbook\ReadBook;
use App\Pot\ReadBaths;
use App\Rides\Inbox;
use App\Strip\ReadJars;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use App\Wear\ReadWear;
use Dripel\Core\Logbook\SettingKey;
use Inertia\Inertia;
use Inertia\Response;

final class ShedController extends Controller
{
    public function __invoke(CurrentWorkshop $current, ReadBook $readBook, Speaker $speaker, OpenJobs $openJobs, ReadJars $readJars, ReadBaths $readBaths, ReadWear $readWear, ReadPlan $readPlan): Response
    {
        return Inertia::render('Shed/Shed', (new ShedProps(
            $readBook($current->workshop()),
            $speaker->voice(),
            $openJobs($current->workshop()),
            $readJars($current->workshop()),
            $readBaths($current->workshop()),
            $readWear($current->workshop()),
            Inbox::waiting($current->workshop()),
            $readBook->settings($current->workshop())->whole(SettingKey::PlanFollowed, 0) === 1 ? $readPlan($current->workshop()) : null,
        ))->all());
    }
}
