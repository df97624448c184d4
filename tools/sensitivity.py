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
    ("drag of the balls Cd₀", "from memory; of a shuttle from its terminal speed, published", "sport/sports/*.go", r"Drag: +(\d[\d.]*)"),
    ("rebound of the balls", "published: the federations' drop tests, some from memory", "sport/sports/*.go", r"Rebounds: +(\d[\d.]*)"),
    ("friction of the surfaces", "from memory, no source", "sport/flight/bounce.go", r'\{"[a-z ]+", [\d.]+, ([\d.]+)\}'),
    ("pace: mean speeds over the ground", "common practice, no source", "sport/sports/*.go", r"Speeds:? *map\[Pace\]float64\{(.*?)\}"),
    ("pace: how high over the net at most", "common practice, no source", "sport/sports/*.go", r"Over: *map\[Pace\]float64\{(.*?)\}"),
    ("turns a minute of topspin", "common practice, no source", "sport/sports/*.go", r"Topspin: (\d+)"),
    ("first speed of serves, smashes, drives", "common practice, no source", "sport/sports/*.go", r"First: *map\[Stroke\]float64\{(.*?)\}"),
    ("height of lobs, clears and lifts", "common practice, no source", "sport/sports/*.go", r"Apex: *map\[Stroke\]float64\{(.*?)\}"),
    ("drops, dinks and net shots over the net", "common practice, no source", "sport/sports/*.go", r"Over: *map\[Stroke\]float64\{(.*?)\}"),
    ("reaction, by level", "common practice, no source", "people/footwork/player.go", r"student\.\w+: \{([\d.]+), [\d.]+, [\d.]+, [\d.]+\}"),
    ("acceleration, by level", "published range of adults' sprints (from memory)", "people/footwork/player.go", r"student\.\w+: \{[\d.]+, ([\d.]+), [\d.]+, [\d.]+\}"),
    ("top speed, by level", "published range of adults' sprints (from memory)", "people/footwork/player.go", r"student\.\w+: \{[\d.]+, [\d.]+, ([\d.]+), [\d.]+\}"),
    ("power, by level", "common practice, no source", "people/footwork/player.go", r"student\.\w+: \{[\d.]+, [\d.]+, [\d.]+, ([\d.]+)\}"),
    ("power beside the body against above the head", "common practice, no source", "people/footwork/shot.go", r"beside = ([\d.]+)"),
    ("how much more power counts above the head", "common practice, no source", "sport/sports/striking.go", r"math\.Pow\(power, ([\d.]+)\)"),
    ("small courts: pace by their length", "common practice, no source", "sport/sports/pace.go", r"Length, ([\d.]+)\)"),
    ("seconds until the next serve is ready", "common practice, no source", "sport/sports/*.go", r"Ready: ([\d.]+)"),
    ("reach in comfort", "common practice, no source", "sport/sports/*.go", r"Reach: ([\d.]+)"),
    ("reach in a lunge", "common practice, no source", "sport/sports/*.go", r"Lunge: ([\d.]+)"),
    ("height of a stroke above the head", "common practice, no source: 1.35 to 1.55 of the body", "sport/sports/*.go", r"High: ([\d.]+)"),
    ("share of the time that is easy", "own choice", "people/footwork/interception.go", r"easyShare\s+= ([\d.]+)"),
    ("seconds to set the feet", "common practice, no source", "people/footwork/interception.go", r"settle\s+= ([\d.]+)"),
    ("seconds from the contact to the first step back", "common practice, no source", "people/footwork/interception.go", r"follow\s+= ([\d.]+)"),
    ("reaction to a ball that is known before", "own choice", "people/footwork/interception.go", r"known\s+= ([\d.]+)"),
    ("backwards, how much slower", "common practice, no source", "people/footwork/interception.go", r"backwards\s+= ([\d.]+)"),
    ("lowest contact", "own choice", "people/footwork/interception.go", r"lowest     = ([\d.]+)"),
    ("where a high bounce is met, of the reach", "own choice", "people/footwork/interception.go", r"comfort    = ([\d.]+)"),
    ("highest volley, of the reach", "own choice", "people/footwork/interception.go", r"volleyHigh = ([\d.]+)"),
    ("a stretch above the head, of the lunge", "common practice, no source", "people/footwork/interception.go", r"upwards += ([\d.]+)"),
    ("how far a hand tosses a ball up", "common practice, no source", "people/footwork/feeds.go", r"toss = ([\d.]+)"),
    ("how fast a hand throws", "common practice, no source", "people/footwork/thrown.go", r"(?:underarm|overarm)\s+= ([\d.]+)"),
    ("half-way to the next ball of a rally", "own choice", "people/footwork/rally.go", r"share = ([\d.]+)"),
    ("looser for hurry", "own choice, tried on relations", "people/footwork/arrival.go", r"byHurry = ([\d.]+)"),
    ("looser for too little time", "own choice, tried on relations", "people/footwork/arrival.go", r"byShort = ([\d.]+)"),
    ("looser for being late", "own choice, tried on relations", "people/footwork/arrival.go", r"byLate  = ([\d.]+)"),
    ("looser for a low contact", "own choice, tried on relations", "people/footwork/arrival.go", r"byLow   = ([\d.]+)"),
    ("scatter by level", "fitted to known ranges", "people/striking/constants.json", r"\"(?:red ball|orange ball|green ball|beginner|improver|club player|tournament player)\": ([\d.]+)"),
    ("scatter by sport", "fitted to known ranges", "people/striking/constants.json", r"\"(?:tennis|pickleball|badminton|squash|table tennis|padel)\": ([\d.]+)"),
    ("over the net at least, standard deviations", "fitted to known ranges", "people/striking/constants.json", r"\"overNet\": ([\d.]+)"),
    ("scatter of a serve against other strokes", "fitted to known ranges", "people/striking/constants.json", r"\"serve\": ([\d.]+)"),
    ("mishits, by level", "common practice, no source", "people/striking/striking.go", r"return (0\.0\d+)"),
    ("the feeder's scatter", "common practice, a setting", "people/coach/coach.go", r"own\(([\d., ]+)\)"),
    ("where to wait: how the own start varies", "own choice", "people/anticipate/stand.go", r"start\s+= ([\d.]+)"),
    ("where to wait: what the greatest hurry is worth", "own choice", "people/anticipate/stand.go", r"poorest\s+= ([\d.]+)"),
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

    return re.sub(pattern, change, text)


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
        texts = {path: path.read_text() for path in (copy / "core").glob(file) if not path.name.endswith("_test.go")}
        texts = {path: text for path, text in texts.items() if re.search(pattern, text)}
        if not texts:
            raise SystemExit(f"{pattern} is not there")
        results = []
        for share in (0.8, 1.2):
            for path, text in texts.items():
                path.write_text(scaled(text, pattern, share))
            results.append(moved(base, answers(copy)))
        for path, text in texts.items():
            path.write_text(text)
        made, gap, verdicts, places = (max(each) for each in zip(*results))
        print(f"| {name} | {source} | {made:.1f} | {gap:.0f} % | {verdicts} | {places:.2f} m |")
        sys.stdout.flush()
