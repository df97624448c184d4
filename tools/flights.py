"""Times SciPy on the two balls of BenchmarkFollow and BenchmarkAim, runs those beside it, and prints the ratios. Needs Debian's
python3-scipy; `make bench` runs it where that is there."""

import re
import statistics
import subprocess
import time

import numpy as np
from scipy.integrate import solve_ivp
from scipy.optimize import fsolve

MASS, DIAMETER, DRAG, DENSITY, GRAVITY = 0.0577, 0.067, 0.55, 1.2, 9.80665
K = DENSITY * np.pi * DIAMETER**2 / 4 / (2 * MASS)
NET = 0.914 + DIAMETER / 2  # about the middle of the court


def slope_under(spin):
    rate = np.linalg.norm(spin)

    def slope(_, state):
        v = state[3:]
        speed = np.linalg.norm(v)
        s = DIAMETER / 2 * rate / speed
        drag = DRAG + (22.5 + 4.2 * s**-2.5) ** -0.4
        lift = 1 / (2 + 1 / s)
        a = K * lift * speed * np.cross(spin / rate, v) - K * drag * speed * v
        a[2] -= GRAVITY
        return np.concatenate([v, a])

    return slope


def ground(_, state):
    return state[2] - DIAMETER / 2


def net(_, state):
    return state[1]


ground.terminal, ground.direction = True, -1


def follow(spin, start, events):
    return solve_ivp(slope_under(spin), (0, 12), start, events=events, rtol=1e-6, atol=1e-9)


def served():
    return follow(np.array([-52.294, 0.0, 0.0]), [0.696, -11.9, 0.696, -6.024, 30.124, 5.937], ground)


def aimed():
    """From 1, 9, 1 m to 2, -8 m, 0.9 m over the net, with 60 rad/s of topspin."""
    place, to, over = np.array([1.0, 9.0, 1.0]), np.array([2.0, -8.0]), 0.9
    way = to - place[:2]
    far = np.linalg.norm(way)
    spin = 60 * np.array([-way[1], way[0], 0]) / far

    def miss(v):
        flight = follow(spin, np.concatenate([place, v]), [ground, net])
        end, passed = flight.y_events[0][0], flight.y_events[1][0]
        return [end[0] - to[0], end[1] - to[1], passed[2] - NET - over]

    seconds = 1.2
    return fsolve(miss, [way[0] / seconds * 1.3, way[1] / seconds * 1.3, GRAVITY * seconds / 2], xtol=1e-4)


def median(work, times):
    spent = []
    for _ in range(times):
        began = time.perf_counter()
        work()
        spent.append(time.perf_counter() - began)
    return statistics.median(spent)


scipy = {"Follow": median(served, 50), "Aim": median(aimed, 10)}
told = subprocess.run(
    ["go", "test", "-run", "^$", "-bench", "^Benchmark(Follow|Aim)$", "-count", "5", "./core/sport/flight"],
    capture_output=True, text=True, check=True,
).stdout
for name, seconds in scipy.items():
    ours = statistics.median(float(ns) for ns in re.findall(rf"Benchmark{name}\S*\s+\d+\s+([\d.]+) ns/op", told)) / 1e9
    print(f"{name}: SciPy {seconds * 1e6:.0f} us, ours {ours * 1e6:.1f} us, ratio {seconds / ours:.0f}")
