"""Instances of plan.pot_days with the least minutes found by GLPK, for PotDaysTest.

The rides go to the chains by the rule, simulated here independently of the core: from today and from each allowed day on, what a
stretch until each later day costs, or that it cannot be ridden. Which stretches follow one another is then a mixed-integer program:
one unit of flow from today to the end over binary stretches, solved by glpsol (Debian's glpk-utils).

Run in this folder:  python3 pot_days.py > pot_days.json
"""
import json, random, re, subprocess, sys, tempfile
from math import ceil

def ride(bike, state, km, topup):
    """One day of one bike. state: used, tops, on. Returns (swaps, topups) or None."""
    used, tops, interval = state["used"], state["tops"], bike["interval_km"]
    if km == 0:
        return 0, 0
    ok = lambda u: u + km <= interval + 1e-9 if km <= interval else u <= 0
    on = state["on"]
    def take(c, swaps, drips):
        used[c] = min(interval, used[c] + km)
        state["on"] = c
        return swaps, drips
    if ok(used[on]):
        return take(on, 0, 0)
    fit = [c for c in range(len(used)) if c != on and ok(used[c])]
    if fit:
        return take(min(fit, key=lambda c: (used[c], tops[c], c)), 1, 0)
    if topup is None:
        return None
    def needs(c):
        for n in range(1, topup["max_per_cycle"] - tops[c] + 1):
            if ok(max(0, used[c] - n * topup["km"])):
                return n
    c, swaps = on, 0
    if needs(on) is None:
        fit = [c for c in range(len(used)) if c != on and needs(c) is not None]
        if not fit:
            return None
        c, swaps = min(fit, key=lambda c: (used[c], tops[c], c)), 1
    n = needs(c)
    used[c] = max(0, used[c] - n * topup["km"])
    tops[c] += n
    return take(c, swaps, n)

def stretches(case):
    """cost[(d, e)]: from pot day d (-1: today) to pot day e (H: the end), the pot of e included."""
    H, cost = case["days"], {}
    for d in [-1] + [d for d in range(H) if case["allowed_days"][d]]:
        states = [{"used": [0 if d >= 0 else c["used_km"] for c in b["chains"]], "tops": [0] * len(b["chains"]),
                   "on": [c["id"] for c in b["chains"]].index(b["on_bike"])} for b in case["bikes"]]
        minutes = 0
        for day in range(max(d, 0), H + 1):
            if day > d and (day == H or case["allowed_days"][day]):
                dips = sum(1 for s in states for u in s["used"] if u > 0)
                cap = case["pot_capacity"]
                batches = 0 if dips == 0 else (1 if cap is None else ceil(dips / cap))
                pot = 0 if day == H else case["fixed_minutes"] + dips * case["per_dip_minutes"] + batches * case["batch_minutes"]
                cost[(d, day)] = minutes + pot
            if day == H:
                break
            done = [ride(b, s, b["daily_km"][day], case["topup"]) for b, s in zip(case["bikes"], states)]
            if None in done:
                break
            minutes += sum(s * case["swap_minutes"] + t * (case["topup"]["minutes"] if case["topup"] else 0) for s, t in done)
    return cost

def solve(case):
    cost, H = stretches(case), case["days"]
    name = lambda e: f"y_{e[0] + 1}_{e[1]}"
    lines = ["Minimize", " total: " + "\n + ".join(f"{c} {name(e)}" for e, c in cost.items()), "Subject To",
             " start: " + "\n + ".join(name(e) for e in cost if e[0] == -1) + " = 1"]
    for d in range(H):
        into, out = [name(e) for e in cost if e[1] == d], [name(e) for e in cost if e[0] == d]
        if into or out:
            lines.append(f" n{d}: " + "\n + ".join(into + [f"-1 {o}" for o in out]).replace("+ -1", "-") + " = 0")
    ends = [name(e) for e in cost if e[1] == H]
    if not ends or not any(e[0] == -1 for e in cost):
        return None
    lines += [" finish: " + "\n + ".join(ends) + " = 1", "Binary", "\n".join(" " + name(e) for e in cost), "End"]
    with tempfile.NamedTemporaryFile("w", suffix=".lp") as lp, tempfile.NamedTemporaryFile("r", suffix=".sol", delete=False) as sol:
        lp.write("\n".join(lines)); lp.flush()
        subprocess.run(["glpsol", "--lp", lp.name, "-o", sol.name], check=True, stdout=subprocess.DEVNULL)
        text = open(sol.name).read()
    if "INTEGER OPTIMAL" not in text:
        return None
    return float(re.search(r"Objective:\s+\S+ = (\S+)", text).group(1))

def case(rnd):
    H = rnd.randint(14, 35)
    bikes = []
    for b in range(rnd.randint(1, 3)):
        interval = rnd.choice([200, 250, 300, 400])
        chains = [{"id": f"{b}{'ABCD'[i]}", "used_km": rnd.choice([0, 0, 60, 120, interval])} for i in range(rnd.randint(1, 4))]
        week = [rnd.choice([0, 0, 20, 35, 60, 90]) for _ in range(7)]
        daily = [week[d % 7] for d in range(H)]
        if rnd.random() < 0.3:
            daily[rnd.randrange(H)] = interval + 50
        bikes.append({"id": f"bike {b}", "interval_km": interval, "daily_km": daily, "chains": chains, "on_bike": rnd.choice(chains)["id"]})
    weekdays = rnd.sample(range(7), rnd.randint(1, 3))
    return {"days": H, "allowed_days": [d % 7 in weekdays for d in range(H)], "fixed_minutes": rnd.choice([30, 45, 60]), "per_dip_minutes": rnd.choice([5, 8]),
            "batch_minutes": rnd.choice([0, 20]), "pot_capacity": rnd.choice([None, 2, 3]), "swap_minutes": rnd.choice([0, 3]),
            "topup": rnd.choice([None, {"km": 200, "minutes": 25, "max_per_cycle": 2}, {"km": 150, "minutes": 15, "max_per_cycle": 1}]), "bikes": bikes}

rnd = random.Random(20261125)
cases, feasible = [], 0
while len(cases) < 40:
    one = case(rnd)
    total = solve(one)
    # A few that cannot be ridden, most that can.
    if total is None and sum(c["total_minutes"] is None for c in cases) >= 6:
        continue
    cases.append({"input": one, "total_minutes": total})
print(json.dumps(cases))
