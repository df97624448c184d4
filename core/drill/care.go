package drill

import (
	"slices"
	"strings"

	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// mentions says whether any line has one of the words in it.
func mentions(lines, words []string) bool {
	return slices.ContainsFunc(lines, func(line string) bool {
		line = strings.ToLower(line)
		return slices.ContainsFunc(words, func(word string) bool { return strings.Contains(line, word) })
	})
}

// Care lists the usual cautions that apply to a drill, each once: its own, and those that follow from what is carried,
// who waits where, and what is played. Common practice, no source; no medical advice.
func (d Document) Care() []string {
	all := []string{}
	add := func(text string) {
		if text = strings.TrimSpace(text); text != "" && !slices.Contains(all, text) {
			all = append(all, text)
		}
	}
	for _, caution := range d.Cautions {
		add(caution)
	}
	if slices.ContainsFunc(d.Measures, func(m Measure) bool { return m.Counts.Forfeit != "" }) {
		add("Forfeits are optional and not for everybody: nobody has to, and nobody who hurts does.")
	}
	for _, caution := range sports.Of(d.Sport).Cautions {
		add(caution)
	}
	if mentions(append(d.names(), d.Equipment...), []string{"medicine ball", "elastic", " band", "bands"}) {
		add("Elastic resistance and medicine balls only under supervision, and light for juniors.")
	}
	if d.facesVolleyers() {
		add("Whoever waits facing a volleyer stands to the side of the line of play, with eyes on the ball.")
	}
	for _, caution := range d.dangers() {
		add(caution)
	}
	if d.nearWalls() {
		add("Slow down before a wall, and no racket swings against it with somebody beside.")
	}
	if _, ok := d.Place(Obstacle); ok {
		add("Obstacles give way when they are run into, and nobody backs up round them.")
	}
	return all
}

// names are what the coach calls the places.
func (d Document) names() []string {
	list := []string{}
	for _, place := range d.Places {
		list = append(list, place.Name)
	}
	return list
}

// facesVolleyers says whether people wait, or stand by, beyond the net while somebody volleys or smashes.
func (d Document) facesVolleyers() bool {
	c, err := sports.Court(d.Court)
	if err != nil || !c.HasNet() || c.AtTable() {
		return false
	}
	if !slices.ContainsFunc(
		d.Pattern.Tasks,
		func(t feed.Task) bool { return t.Stroke.Volleyed() || sports.Of(c.Sport).Overhead(t.Stroke) },
	) {
		return false
	}
	return slices.ContainsFunc(d.Places, func(p Place) bool {
		at, err := c.Resolve(p.Mark)
		return err == nil && (p.Kind == Queue || p.Kind == OnDeck) && at.Y > 0
	})
}
