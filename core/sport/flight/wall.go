package flight

import "math"

// aimOffWall finds the launch of a squash ball that meets the front wall at a height and then lands.
func (w World) aimOffWall(want Want) (Launch, error) {
	if !w.Court.HasFrontWall() {
		return Launch{}, impossible("there is no wall in front on this court")
	}
	board, out := w.wallHeights()
	if want.Value < board || want.Value > out {
		return Launch{}, impossible(
			"at %s it would meet the front wall below the board or over the line: %s to %s is good",
			metres(want.Value),
			metres(board),
			metres(out),
		)
	}
	spin := want.Spin.Along(0, 1)
	miss := func(v Vec) (Vec, bool) {
		path := w.Follow(Launch{From: want.From, Velocity: v, Spin: spin}, 1)
		if len(path.Events) < 2 || path.Events[0].Kind != Walled || path.Events[0].At.P.Y < 0 ||
			path.Events[1].Kind != Bounced {
			return Vec{}, false
		}
		end, ok := path.Bounce(0)
		if !ok {
			return Vec{}, false
		}
		return Vec{end.P.X - want.Landing.X, end.P.Y - want.Landing.Y, path.Events[0].At.P.Z - want.Value}, true
	}
	// The speed is found first, roughly; off the wall a ball keeps about half of it.
	toWall, back := w.Court.Length/2-want.From.Y, w.Court.Length/2-want.Landing.Y
	best, least := Vec{}, math.Inf(1)
	for speed := 5.0; speed < 60; speed *= 1.15 {
		t := toWall / speed
		v := Vec{(want.Landing.X - want.From.X) / (t + 1.7*back/speed), speed, (want.Value-want.From.Z)/t + Gravity*t/2}
		if r, ok := miss(v); ok && r.Norm() < least {
			best, least = v, r.Norm()
		}
	}
	if !math.IsInf(least, 1) {
		if v, ok := solve(best, miss, nil); ok {
			return Launch{From: want.From, Velocity: v, Spin: spin}, nil
		}
	}
	return Launch{}, impossible("off the front wall at %s it does not come down there", metres(want.Value))
}

// wallHeights is between which heights a ball on the front wall is good, for its centre.
func (w World) wallHeights() (board, out float64) {
	out = math.Inf(1)
	for _, line := range w.Court.Walls {
		switch line.Name {
		case "board":
			board = line.To + w.Ball.Radius()
		case "front wall line":
			out = line.To - w.Ball.Radius()
		}
	}
	return board, out
}
