package game

import (
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
)

// refuse says why an event makes no sense in a state, by field.
func (r *Rules) refuse(s State, e Event) error {
	var wrong invalid.Fields
	sided := e.Kind == Won || e.Kind == Awarded || e.Kind == Broke || e.Kind == Counted
	switch {
	case s.Over:
		wrong.Add("kind", "the game is over; take its end back first")
	case e.Kind == Undo || e.Kind == Redo:
		wrong.Add("kind", "taking back needs all the events of the game")
	case e.Rally < s.Rally:
		wrong.Add("rally", "rally %d has a winner already", e.Rally)
	case e.Rally > s.Rally:
		wrong.Add("rally", "rally %d is not over yet", s.Rally)
	case sided && e.Side != Near && e.Side != Far:
		wrong.Add("side", "say which side it was")
	case e.Player != "" && !slices.Contains(s.players, e.Player):
		wrong.Add("player", "this player is not in the game")
	case e.Player != "" && sided && !s.on(r, e.Player, e.Side):
		wrong.Add("player", "this player is not on that side now")
	case e.Kind == Broke && (e.Restriction < 0 || e.Restriction >= len(r.Restrictions)):
		wrong.Add("restriction", "the game has no such restriction")
	case e.Kind == Broke && !r.Restrictions[e.Restriction].Who.is(e.Side.index(), s.at):
		wrong.Add("side", "it does not hold for that side now")
	case e.Kind == Fault && r.Feed.Kind != "":
		wrong.Add("kind", "this game begins without a serve; feed again")
	}
	if wrong.Err() == nil {
		switch e.Kind {
		case Awarded:
			wrong.Under("award", r.refuseAward(s, e))
		case Counted:
			wrong.Under("measure", r.refuseCount(s, e))
		}
	}
	return wrong.Err()
}

// refuseAward says why something cannot be awarded in a state.
func (r *Rules) refuseAward(s State, e Event) error {
	i := r.awarded(e.Award)
	if i < 0 {
		return fmt.Errorf("the game has nothing of that name")
	}
	a := r.Awards[i]
	switch {
	case !a.By.is(e.Side.index(), s.at):
		return fmt.Errorf("“%s” is only for %s", a.Name, a.By)
	case a.NotOnSecond && s.Second:
		return fmt.Errorf("“%s” does not count after a second serve", a.Name)
	case a.Shot > 0 && a.Ends == "" && slices.ContainsFunc(s.pending,
		func(m mark) bool { return m.award == i && m.side == e.Side.index() }):
		return fmt.Errorf("“%s” counts once in a rally", a.Name)
	case a.NoBonus && len(s.pending) > 0:
		return fmt.Errorf("nothing else counts in a rally that ends so; take it back first")
	}
	return nil
}

// on says whether a player is on a side now.
func (s State) on(r *Rules, player string, side Side) bool {
	i := slices.Index(s.Spots, player)
	return i >= 0 && r.Spots[i].Side == side
}
