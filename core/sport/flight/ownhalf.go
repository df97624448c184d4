package flight

import "math"

// aimOverOwnHalf finds the launch of a ball that bounces on its own side of the net first, so far from it, then passes
// the net and lands: the serve at a table.
func (w World) aimOverOwnHalf(want Want) (Launch, error) {
	own := math.Copysign(1, want.From.Y)
	if !w.Court.HasNet() || want.From.Y*want.Landing.Y >= 0 {
		return Launch{}, impossible("it does not cross the net")
	}
	if want.First <= 0 || want.First >= math.Min(math.Abs(want.From.Y), w.Court.Length/2) {
		return Launch{}, impossible("it cannot bounce first %s from the net on its own side", metres(want.First))
	}
	spin := want.Spin.Along(want.Landing.X-want.From.X, want.Landing.Y-want.From.Y)
	free := w
	free.Court = w.Court.WithoutNet()
	miss := func(v Vec) (Vec, bool) {
		path := free.Follow(Launch{From: want.From, Velocity: v, Spin: spin}, 2)
		first, ok := path.Bounce(0)
		second, again := path.Bounce(1)
		if !ok || !again || first.P.Z < 0 {
			return Vec{}, false
		}
		return Vec{second.P.X - want.Landing.X, second.P.Y - want.Landing.Y, own*first.P.Y - want.First}, true
	}
	// In a vacuum, keeping four fifths of its way and nine tenths of its fall at the bounce, a ball that leaves so high
	// comes up from the first bounce and down at the second one if it goes so fast over the ground.
	const goes, rises = 0.8, 0.9
	far := Vec{X: want.Landing.X - want.From.X, Y: want.Landing.Y - want.From.Y}
	along := far.Times(1 / far.Norm())
	before := (math.Abs(want.From.Y) - want.First) / math.Abs(along.Y)
	after := far.Norm() - before
	square := Gravity * before * (after/(goes*rises) - before) / (2 * math.Max(want.From.Z-w.Ball.Radius(), 0.01))
	if square <= 0 {
		return Launch{}, impossible("with its first bounce %s from the net it does not come so far", metres(want.First))
	}
	level := math.Sqrt(square)
	start := Vec{X: level * along.X, Y: level * along.Y, Z: Gravity*before/level - Gravity*after/(2*goes*rises*level)}
	v, ok := solve(start, miss, nil)
	if !ok {
		return Launch{}, impossible("with its first bounce %s from the net it does not come down there", metres(want.First))
	}
	l := Launch{From: want.From, Velocity: v, Spin: spin, OwnFirst: true}
	if caught, ok := w.Follow(l, 2).First(InNet); ok {
		return Launch{}, impossible("it would clip the net by %s", metres(-w.Clearance(caught)))
	}
	return l, nil
}
