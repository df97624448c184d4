package score

// AfterMiss is what a miss does to a streak. All that depends on it is asked of it here.
type AfterMiss string

// The schools. The zero value is back to zero.
const (
	BackToZero  AfterMiss = "back to zero"
	BackToStage AfterMiss = "back to the start of the stage"
	CarriesOn   AfterMiss = "carries on where it was"
)

// breaks says whether a miss takes back what was made in a row.
func (m AfterMiss) breaks() bool { return m != CarriesOn }

// fromTheStart says whether it takes back the stages before, too.
func (m AfterMiss) fromTheStart() bool { return m.breaks() && m != BackToStage }

// String puts it into words.
func (m AfterMiss) String() string {
	if m == "" {
		return string(BackToZero)
	}
	return string(m)
}
