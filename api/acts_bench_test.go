package api_test

import (
	"testing"
	"time"

	"hodometer/core/drill/library"
)

// Five thousand counts of six, as a device sends them after a lesson without the network: ten requests.
func BenchmarkFiveThousandActs(b *testing.B) {
	for b.Loop() {
		b.StopTimer()
		c := newClub(b)
		var students []string
		for range 6 {
			students = append(students, c.student(ada()))
		}
		lesson, block, _ := lessonWith(b, c, library.All()[0].Document.Name, students...)
		runs := make([]string, len(students))
		for i := range runs {
			runs[i] = newID()
		}
		batches := make([]map[string]any, 10)
		for n := range batches {
			acts := make([]any, 500)
			for i := range acts {
				of, at := (500*n+i)%6, c.now.Add(time.Duration(500*n+i)*300*time.Millisecond)
				entry := map[string]any{"seq": (500*n + i) / 6, "kind": []string{"made", "missed"}[i%2], "at": at}
				acts[i] = map[string]any{
					"id":  newID(),
					"at":  at,
					"tap": map[string]any{"run": runs[of], "block": block, "student": students[of], "entry": entry},
				}
			}
			batches[n] = map[string]any{"sent": c.now, "acts": acts}
		}
		b.StartTimer()
		for _, batch := range batches {
			c.ok("POST", "/api/lessons/"+lesson+"/acts", batch)
		}
	}
}
