"""Times SciPy's solve_ivp on the tennis ball of BenchmarkFollow, for docs/performance.md. Needs Debian's python3-scipy."""

import statistics
import time

import numpy as np
from scipy.integrate import solve_ivp

MASS, DIAMETER, DRAG, DENSITY, GRAVITY = 0.0577, 0.067, 0.55, 1.2, 9.80665
K = DENSITY * np.pi * DIAMETER**2 / 4 / (2 * MASS)
SPIN = np.array([-52.294, 0.0, 0.0])
RATE = np.linalg.norm(SPIN)
START = [0.696, -11.9, 0.696, -6.024, 30.124, 5.937]


def slope(_, state):
    v = state[3:]
    speed = np.linalg.norm(v)
    s = DIAMETER / 2 * RATE / speed
    drag = DRAG + (22.5 + 4.2 * s**-2.5) ** -0.4
    lift = 1 / (2 + 1 / s)
    a = K * lift * speed * np.cross(SPIN / RATE, v) - K * drag * speed * v
    a[2] -= GRAVITY
    return np.concatenate([v, a])


def ground(_, state):
    return state[2] - DIAMETER / 2


ground.terminal, ground.direction = True, -1

times = []
for _ in range(50):
    began = time.perf_counter()
    end = solve_ivp(slope, (0, 12), START, events=ground, rtol=1e-6, atol=1e-9)
    times.append(time.perf_counter() - began)
print(f"solve_ivp, RK45, rtol 1e-6: {statistics.median(times) * 1e6:.0f} us, lands after {end.t_events[0][0]:.5f} s")
