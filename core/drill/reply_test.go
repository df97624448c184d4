package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// In every drill of the library the reply to every ball can be said in words, by players of either hand, and is known
// by them afterwards; a left-hander's is the mirrored one of a right-hander's.
func TestEveryReplyCanBeSaidInWords(t *testing.T) {
	settings := coach.Default()
	for _, stored := range library.All() {
		for i := range stored.Document.Pattern.Tasks {
			for _, value := range feed.ReplyPlace("").Enum() {
				place, _ := value.(feed.ReplyPlace)
				var written []drill.Document
				if stored.Document.Pattern.Answered(i) {
					_, err := stored.Document.Edited(
						drill.Edit{Reply: &drill.Reply{Task: i, Place: place}},
						student.RightHand,
						settings,
					)
					require.ErrorContains(t, err, "is the answer to it")
					continue
				}
				for _, hand := range []student.Hand{student.RightHand, student.LeftHand} {
					d, err := stored.Document.Edited(drill.Edit{Reply: &drill.Reply{Task: i, Place: place}}, hand, settings)
					require.NoError(t, err, "%s, task %d, %s", stored.Document.Name, i+1, place)
					require.Contains(
						t,
						d.Replies(settings),
						drill.Reply{Task: i, Place: place},
						"%s, task %d",
						stored.Document.Name,
						i+1,
					)
					require.NoError(t, d.Check())
					written = append(written, d)
				}
				require.Equal(t, written[0].Pattern, written[1].Pattern, "both hands have the same drill")
			}
		}
	}
}

func TestAReplyOfNoTaskIsRefused(t *testing.T) {
	d := library.All()[0].Document
	_, err := d.Edited(
		drill.Edit{Reply: &drill.Reply{Task: len(d.Pattern.Tasks), Place: feed.DeepCross}},
		student.RightHand,
		coach.Default(),
	)
	require.ErrorContains(t, err, "reply.task")
	d.Pattern.Tasks[0].Reply = nil
	require.Empty(t, d.Replies(coach.Default()), "the target is no place in words")
	mark := court.At(0.3, 2)
	d.Pattern.Tasks[0].Reply = &mark
	require.Empty(t, d.Replies(coach.Default()))
}
