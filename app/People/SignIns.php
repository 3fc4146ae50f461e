<?php

declare(strict_types=1);

namespace App\People;

use App\Models\SignIn;
use App\Models\User;
use App\Support\AppClock;
use App\Support\DiskTrouble;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Who is signed in where. Each browser is remembered on its own, for thirty days, and can be signed out on its own. */
final readonly class SignIns
{
    private const DAYS = 30;

    /** Seconds after which it is written down anew when a browser was seen. */
    private const SEEN_S = 600;

    private const IN_SESSION = 'sign_in';

    private const CONFIRMED = 'confirmed_at';

    /** For so long a password that was typed counts for what asks for it once more. */
    private const CONFIRMED_S = 600;

    public function __construct(private AppClock $clock) {}

    public function open(User $user, Request $request, bool $remember = true): void
    {
        $token = Str::random(60);
        $signIn = SignIn::query()->create([
            'user_id' => $user->id,
            'token_hash' => SignIn::hash($token),
            'phone' => str_contains((string) $request->userAgent(), 'Mobile'),
            'address' => (string) $request->ip(),
            'expires_at' => $this->clock->unixS() + self::DAYS * 86400,
            'seen_at' => $this->clock->unixS(),
        ]);
        SignIn::query()->where('expires_at', '<=', $this->clock->unixS())->delete();
        $user->setRememberToken($token);
        Auth::login($user, $remember);
        $request->session()->regenerate();
        $request->session()->put(self::IN_SESSION, $signIn->id);
        $this->confirm($request);
    }

    public function confirm(Request $request): void
    {
        $request->session()->put(self::CONFIRMED, $this->clock->unixS());
        // Also by what asks beside a page, whose session is left alone else.
        $request->session()->save();
    }

    /** Whether their password was typed lately. Nobody has one in the demo, nor without a session. */
    public function isConfirmed(Request $request): bool
    {
        return config()->boolean('dripel.demo') ||
            !$request->session()->has(Auth::guard('web')->getName()) ||
            $this->clock->unixS() - self::confirmedS($request) < self::CONFIRMED_S;
    }

    /** The one of this request; null: nobody is signed in, or this browser has been signed out elsewhere. */
    public function here(Request $request): ?SignIn
    {
        $user = Auth::user();
        if (!($user instanceof User)) {
            return null;
        }
        // Recognised by its cookie, with a session that has only begun.
        $user->signIn === null || $request->session()->put(self::IN_SESSION, $user->signIn->id);
        $signIn = SignIn::query()
            ->whereKey($request->session()->get(self::IN_SESSION))
            ->where('user_id', $user->id)
            ->where('expires_at', '>', $this->clock->unixS())
            ->first();
        if ($signIn !== null && $signIn->seen_at + self::SEEN_S <= $this->clock->unixS()) {
            DiskTrouble::mayFail(fn() => $signIn->update(['seen_at' => $this->clock->unixS(), 'address' => (string) $request->ip()]));
        }

        return $signIn;
    }

    private static function confirmedS(Request $request): int
    {
        $atS = $request->session()->get(self::CONFIRMED);

        return is_int($atS) ? $atS : 0;
    }

    public function close(Request $request): void
    {
        $this->here($request)?->delete();
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    /** Everywhere, but for the one that stays. */
    public static function closeAll(User $user, ?SignIn $except = null): void
    {
        SignIn::query()
            ->where('user_id', $user->id)
            ->when($except !== null, fn($query) => $query->whereKeyNot($except))
            ->delete();
        $except === null && DB::table('sessions')->where('user_id', $user->id)->delete();
    }
}
