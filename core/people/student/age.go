package student

import (
	"errors"
	"time"
)

// Oldest is the age up to which somebody is taken for a player, in years.
const Oldest = 110

// AgeOn is how old somebody who was born on a day is on another one, in whole years; negative where that is before it.
// Who was born on 29 February is a year older on 1 March of other years.
func AgeOn(born, day time.Time) int {
	years := day.Year() - born.Year()
	if day.Month() < born.Month() || day.Month() == born.Month() && day.Day() < born.Day() {
		years--
	}
	return years
}

// BandOf is the age band of an age in whole years.
func BandOf(years int) AgeBand {
	switch {
	case years < 8:
		return Under8
	case years <= 10:
		return Eight
	case years <= 13:
		return Eleven
	case years <= 17:
		return Fourteen
	case years < 60:
		return Adult
	default:
		return Sixty
	}
}

// CheckBorn says what is wrong with a birthday on a day.
func CheckBorn(born, today time.Time) error {
	switch years := AgeOn(born, today); {
	case years < 0:
		return errors.New("this day is still to come")
	case years < 2 || years > Oldest:
		return errors.New("nobody who plays was born on this day; look at the year")
	}
	return nil
}

// Grown is the age band of somebody on a day by their birthday, and whether it is another one than the profile says;
// false where no birthday is kept.
func (p Profile) Grown(today time.Time) (AgeBand, bool) {
	born, err := time.Parse(time.DateOnly, p.Born)
	if err != nil {
		return p.Age, false
	}
	band := BandOf(AgeOn(born, today))
	return band, band != p.Age
}
