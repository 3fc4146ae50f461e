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
use Illuminate\Http\JsonResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The Shed: the rails, what to do next, the pot. */
final class ShedController extends Controller
{
    public function __construct(
        private readonly CurrentWorkshop $current,
        private readonly ReadBook $readBook,
        private readonly Speaker $speaker,
        private readonly OpenJobs $openJobs,
        private readonly ReadJars $readJars,
        private readonly ReadBaths $readBaths,
        private readonly ReadWear $readWear,
        private readonly ReadPlan $readPlan,
    ) {}

    public function index(): Response
    {
        return Inertia::render('Shed/Shed', $this->props()->all());
    }

    /** What this browser may remind of, if it was allowed to. */
    public function reminders(): JsonResponse
    {
        return response()->json($this->props()->reminders());
    }

    private function props(): ShedProps
    {
        $workshop = $this->current->workshop();

        return new ShedProps(
            ($this->readBook)($workshop),
            $this->speaker->voice(),
            ($this->openJobs)($workshop),
            ($this->readJars)($workshop),
            ($this->readBaths)($workshop),
            ($this->readWear)($workshop),
            Inbox::waiting($workshop),
            $this->readBook->settings($workshop)->whole(SettingKey::PlanFollowed, 0) === 1 ? ($this->readPlan)($workshop) : null,
        );
    }
}
