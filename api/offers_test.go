package api_test

import (
	"net/http"
	"net/url"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson/offer"
)

func (c *club) offers(query url.Values) []offer.Offer {
	return read[[]offer.Offer](c.t, c.ask("GET", "/api/lessons/offers?"+query.Encode(), nil))
}

func TestOneFieldFindsAllThatGoesIntoALesson(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Sport, p.Hand, p.Level, p.Age = "badminton", "right", "improver", "adult"
	student := c.student(p)
	all := c.offers(url.Values{"students": {student}})
	kinds := map[offer.Kind]int{}
	ids := []string{}
	for i, o := range all {
		kinds[o.Kind]++
		if o.Block != nil {
			require.False(t, slices.Contains(ids, o.Block.ID), "each has an identifier of its own")
			ids = append(ids, o.Block.ID)
		}
		if o.Kind == offer.Drill {
			sport := func(o offer.Offer) bool { return strings.Contains(o.Detail, "badminton") }
			require.True(
				t,
				sport(o) || !slices.ContainsFunc(all[i:], func(o offer.Offer) bool { return o.Kind == offer.Drill && sport(o) }),
				"drills of the sport come first",
			)
		}
	}
	require.NotZero(t, kinds[offer.Block])
	require.NotZero(t, kinds[offer.Drill])
	require.NotZero(t, kinds[offer.Shape])

	found := c.offers(url.Values{"students": {student}, "text": {"wat"}})
	require.Equal(t, []any{offer.Block, "Water"}, []any{found[0].Kind, found[0].Title})
	found = c.offers(url.Values{"students": {student}, "text": {"coin corner"}})
	require.Equal(t, "Coin in the Corner", found[0].Title)
	require.Equal(t, offer.Version, found[1].Kind, "what is found for certain is offered with its versions")
	require.NotEmpty(t, found[1].Block.Version)
	require.Empty(t, c.offers(url.Values{"text": {"xylophone"}}))

	// To swap a drill, its own versions come first, and nothing but drills is offered.
	drill := found[0].Block.Drill
	stored, _ := library.Find(drill)
	swap := c.offers(url.Values{"students": {student}, "swap": {drill}})
	for i := range stored.Variations {
		require.Equal(t, []any{offer.Version, drill}, []any{swap[i].Kind, swap[i].Block.Drill})
	}
	require.False(
		t,
		slices.ContainsFunc(swap, func(o offer.Offer) bool { return o.Kind == offer.Block || o.Kind == offer.Shape }),
	)
	readProblem(t, c.ask("GET", "/api/lessons/offers?text="+strings.Repeat("x", 200), nil), http.StatusUnprocessableEntity)
}

func TestTheNextStepsOfTheStudentsComeOnTop(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Sport, p.Hand = "tennis", "right"
	student := c.student(p)
	id, block, _ := lessonWith(t, c, "Last Stretch", student)
	c.count(id, block, student, 1, 3, 7)
	top := c.offers(url.Values{"students": {student}})[0]
	require.Equal(t, offer.Drill, top.Kind)
	require.Contains(t, top.Detail, "the next step of "+p.Name)
}
