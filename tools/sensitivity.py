"""Says how far the answers of the model move when one of its constants is a fifth off, as the table of docs/figures.md. Each
constant is changed in a copy of the code, in which internal/sensitivity is run. Takes some minutes."""

import json
import math
import re
import shutil
import subprocess
import sys
import tempfile
from pathlib import Path

ROOT = Path(__file__).parent.parent
NUMBER = r"(?<![\w.])(\d+(?:\.\d+)?)"

# What it is, where it comes from, its file, and the text in which its numbers stand.
CONSTANTS = [
    ("drag of the balls Cd₀", "from memory; of a shuttle from its terminal speed, published", "flight/ball.go", r"Drag: (\d[\d.]*)"),
    ("rebound of the balls", "published: the federations' drop tests, some from memory", "flight/ball.go", r"Rebounds: (\d[\d.]*)"),
    ("friction of the surfaces", "from memory, no source", "flight/bounce.go", r'\{"[a-z ]+", [\d.]+, ([\d.]+)\}'),
    ("pace: mean speeds over the ground", "common practice, no source", "feed/sport.go", r"Speeds:? *map\[Pace\]float64\{(.*?)\}"),
    ("pace: how high over the net at most", "common practice, no source", "feed/sport.go", r"Over: *map\[Pace\]float64\{(.*?)\}"),
    ("turns a minute of topspin", "common practice, no source", "feed/sport.go", r"Topspin: (\d+)"),
    ("first speed of serves, smashes, drives", "common practice, no source", "feed/played.go", r"first: *map\[Stroke\]float64\{(.*?)\}"),
    ("height of lobs, clears and lifts", "common practice, no source", "feed/played.go", r"apex: *map\[Stroke\]float64\{(.*?)\}"),
    ("drops, dinks and net shots over the net", "common practice, no source", "feed/played.go", r"over: *map\[Stroke\]float64\{(.*?)\}"),
    ("reaction, by level", "common practice, no source", "footwork/player.go", r"student\.\w+: \{([\d.]+), [\d.]+, [\d.]+, [\d.]+\}"),
    ("acceleration, by level", "published range of adults' sprints (from memory)", "footwork/player.go", r"student\.\w+: \{[\d.]+, ([\d.]+), [\d.]+, [\d.]+\}"),
    ("top speed, by level", "published range of adults' sprints (from memory)", "footwork/player.go", r"student\.\w+: \{[\d.]+, [\d.]+, ([\d.]+), [\d.]+\}"),
    ("power, by level", "common practice, no source", "footwork/player.go", r"student\.\w+: \{[\d.]+, [\d.]+, [\d.]+, ([\d.]+)\}"),
    ("reach in comfort", "common practice, no source", "feed/sport.go", r"Reach: ([\d.]+)"),
    ("reach in a lunge", "common practice, no source", "feed/sport.go", r"Lunge: ([\d.]+)"),
    ("height of a stroke above the head", "common practice, no source: 1.35 to 1.55 of the body", "feed/sport.go", r"High: ([\d.]+)"),
    ("share of the time that is easy", "own choice", "footwork/interception.go", r"easyShare\s+= ([\d.]+)"),
    ("seconds to set the feet", "common practice, no source", "footwork/interception.go", r"settle\s+= ([\d.]+)"),
    ("seconds from the contact to the first step back", "common practice, no source", "footwork/interception.go", r"follow\s+= ([\d.]+)"),
    ("reaction to a ball that is known before", "own choice", "footwork/interception.go", r"known\s+= ([\d.]+)"),
    ("backwards, how much slower", "common practice, no source", "footwork/interception.go", r"backwards\s+= ([\d.]+)"),
    ("lowest contact", "own choice", "footwork/interception.go", r"lowest     = ([\d.]+)"),
    ("where a high bounce is met, of the reach", "own choice", "footwork/interception.go", r"comfort    = ([\d.]+)"),
    ("highest volley, of the reach", "own choice", "footwork/interception.go", r"volleyHigh = ([\d.]+)"),
    ("a stretch above the head, of the lunge", "common practice, no source", "footwork/interception.go", r"upwards    = ([\d.]+)"),
    ("how far a hand tosses a ball up", "common practice, no source", "footwork/feeds.go", r"toss = ([\d.]+)"),
    ("how fast a hand throws", "common practice, no source", "footwork/thrown.go", r"(?:underarm|overarm)\s+= ([\d.]+)"),
    ("half-way to the next ball of a rally", "own choice", "footwork/rally.go", r"share = ([\d.]+)"),
    ("looser for hurry", "own choice, tried on relations", "footwork/interception.go", r"byHurry = ([\d.]+)"),
    ("looser for too little time", "own choice, tried on relations", "footwork/interception.go", r"byShort = ([\d.]+)"),
    ("looser for being late", "own choice, tried on relations", "footwork/interception.go", r"byLate  = ([\d.]+)"),
    ("looser for a low contact", "own choice, tried on relations", "footwork/interception.go", r"byLow   = ([\d.]+)"),
    ("scatter of the launch, by level", "common practice, no source", "odds/scatter.go", r"return of\((.*?)\)"),
    ("scatter of a serve against other strokes", "common practice, no source", "playerfit/ball.go", r"return (0\.75)"),
    ("mishits, by level", "common practice, no source", "playerfit/ball.go", r"return (0\.0\d+)"),
    ("the feeder's scatter", "common practice, a setting", "coach/coach.go", r"own\(([\d., ]+)\)"),
    ("where to wait: how the own start varies", "own choice", "anticipate/stand.go", r"start\s+= ([\d.]+)"),
    ("where to wait: what the greatest hurry is worth", "own choice", "anticipate/stand.go", r"poorest\s+= ([\d.]+)"),
]


def answers(core):
    told = subprocess.run(["go", "run", "./internal/sensitivity"], cwd=core, capture_output=True, text=True)
    if told.returncode:
        raise SystemExit(told.stderr)
    return json.loads(told.stdout)


def scaled(text, pattern, share):
    def change(found):
        whole, inner = found.group(0), found.group(1)
        at = found.start(1) - found.start(0)
        return whole[:at] + re.sub(NUMBER, lambda n: f"{float(n.group(1)) * share:.6g}", inner) + whole[at + len(inner):]

    changed, count = re.subn(pattern, change, text)
    if not count:
        raise SystemExit(f"{pattern} is not there")
    return changed


def moved(base, other):
    made = 100 * sum(abs(a - b) for a, b in zip(base["made"], other["made"])) / len(base["made"])
    gaps = [100 * (b / a - 1) for a, b in zip(base["gaps"], other["gaps"]) if a and b]
    verdicts = sum(a != b for a, b in zip(base["verdicts"], other["verdicts"]))
    places = sum(math.dist((a["x"], a["y"]), (b["x"], b["y"])) for a, b in zip(base["bases"], other["bases"])) / len(base["bases"])
    return made, sum(abs(g) for g in gaps) / len(gaps), verdicts, places


base = answers(ROOT)
print(f"| constant | where it is from | made, of 100 | fastest gap | other verdicts, of {len(base['verdicts'])} | base position |")
print("|---|---|---|---|---|---|")
with tempfile.TemporaryDirectory() as folder:
    copy = Path(folder) / "copy"
    shutil.copytree(ROOT, copy, ignore=shutil.ignore_patterns("node_modules", ".git", "bin", "docs", "ui/src"))
    for name, source, file, pattern in CONSTANTS:
        path = copy / "core" / file
        text = path.read_text()
        results = []
        for share in (0.8, 1.2):
            path.write_text(scaled(text, pattern, share))
            results.append(moved(base, answers(copy)))
        path.write_text(text)
        made, gap, verdicts, places = (max(each) for each in zip(*results))
        print(f"| {name} | {source} | {made:.1f} | {gap:.0f} % | {verdicts} | {places:.2f} m |")
        sys.stdout.flush()
