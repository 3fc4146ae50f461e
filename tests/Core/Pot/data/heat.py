#!/usr/bin/env python3
"""Writes heat.json: pots of wax warmed and cooled by scipy's solve_ivp (Debian: python3-scipy), for PotHeatTest.

The same law as pot.heat, C(T) dT/dt = eta P - U (T - Ta), but integrated numerically, stopping at the edges of the
melting range and at the target.
"""
import json
import os
import random

from scipy.integrate import solve_ivp

WAX = {"solid_j_per_gk": 2.1, "liquid_j_per_gk": 2.2, "latent_j_per_g": 200, "melt_from_c": 52, "melt_to_c": 58}


def capacity(temp, case, wax):
    if temp < wax["melt_from_c"]:
        return case["wax_g"] * wax["solid_j_per_gk"] + case["vessel_j_per_k"]
    if temp < wax["melt_to_c"]:
        mean = (wax["solid_j_per_gk"] + wax["liquid_j_per_gk"]) / 2
        return case["wax_g"] * (mean + wax["latent_j_per_g"] / (wax["melt_to_c"] - wax["melt_from_c"])) + case["vessel_j_per_k"]
    return case["wax_g"] * wax["liquid_j_per_gk"] + case["vessel_j_per_k"]


def minutes_to(case, goal, wax):
    """Range by range, so that the solver never steps over a jump of C."""
    temp, seconds = case["start_c"], 0.0
    net = case["efficiency"] * case["power_w"] - case["loss_w_per_k"] * (temp - case["ambient_c"])
    up = net > 0
    if abs(goal - temp) < 1e-12:
        return 0.0
    if (goal > temp) != up:
        return None
    edges = sorted({wax["melt_from_c"], wax["melt_to_c"], goal}, reverse=not up)
    for edge in [e for e in edges if (e > temp if up else e < temp)]:
        inside = (temp + edge) / 2
        c = capacity(inside, case, wax)

        def slope(_, y):
            return [(case["efficiency"] * case["power_w"] - case["loss_w_per_k"] * (y[0] - case["ambient_c"])) / c]

        def reached(_, y):
            return y[0] - edge

        reached.terminal = True
        run = solve_ivp(slope, (0, 4e6), [temp], events=reached, rtol=1e-11, atol=1e-11, method="DOP853", max_step=2e4)
        if not len(run.t_events[0]):
            return None
        seconds += float(run.t_events[0][0])
        temp = edge
        if edge == goal:
            break
    return seconds / 60


random.seed(20261125)
cases = {"the slow cooker": {"wax_g": 500, "start_c": 20, "ambient_c": 20, "power_w": 120, "efficiency": 1, "loss_w_per_k": 1.3, "vessel_j_per_k": 1400, "target_c": 85},
         "cools down": {"wax_g": 500, "start_c": 90, "ambient_c": 18, "power_w": 0, "efficiency": 1, "loss_w_per_k": 1.3, "vessel_j_per_k": 1400, "target_c": 30},
         "low never melts": {"wax_g": 700, "start_c": 20, "ambient_c": 20, "power_w": 40, "efficiency": 1, "loss_w_per_k": 1.3, "vessel_j_per_k": 1400, "target_c": 85},
         "from within the range": {"wax_g": 400, "start_c": 55, "ambient_c": 10, "power_w": 200, "efficiency": 0.8, "loss_w_per_k": 1.0, "vessel_j_per_k": 0, "target_c": 95}}
for i in range(24):
    start = random.uniform(5, 95)
    cases[f"random pot {i}"] = {
        "wax_g": random.uniform(60, 1500), "start_c": start, "ambient_c": random.uniform(5, 25), "power_w": random.choice([0, random.uniform(30, 400)]),
        "efficiency": random.uniform(0.4, 1), "loss_w_per_k": random.uniform(0.2, 3), "vessel_j_per_k": random.uniform(0, 3000), "target_c": random.uniform(25, 110)}

out = {}
for name, case in cases.items():
    liquid = 0.0 if case["start_c"] >= WAX["melt_to_c"] else minutes_to(case, WAX["melt_to_c"], WAX)
    out[name] = [case, liquid, minutes_to(case, case["target_c"], WAX)]
with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "heat.json"), "w") as file:
    json.dump(out, file, indent=1)
    file.write("\n")
