// Command calibrate fits the constants of core/people/striking to what is known of players, by least squares, and
// prints what each row came to. It begins where the constants stand, and is the same each time.
//
//	go run ./internal/calibrate [-write]
package main

import (
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"maps"
	"math"
	"os"

	"gonum.org/v1/gonum/optimize"

	"hodometer/core/people/striking"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/ranges"
)

const kept = "core/people/striking/constants.json"

func main() {
	write := flag.Bool("write", false, "keep what was found in "+kept)
	tries := flag.Int("tries", 400, "how often the rows are worked out")
	flag.Parse()
	if err := run(context.Background(), *tries, *write); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// free are the constants that rows say something of. A level between two is between them: an improver and a green-ball
// child half-way from a beginner to a club player, an orange-ball child half-way from there to a red-ball child.
var free = []constant{
	level("red", student.Red), level("beginner", student.Beginner), level("club", student.Club),
	level("tournament", student.Tournament),
	sport("badminton", court.Badminton), sport("squash", court.Squash), sport("table", court.TableTennis),
	sport("padel", court.Padel),
	{"serve", func(c *striking.Constants) (float64, func(float64)) { return c.Serve, func(v float64) { c.Serve = v } }},
	{"over the net", func(c *striking.Constants) (float64, func(float64)) {
		return c.OverNet, func(v float64) { c.OverNet = v }
	}},
}

// constant is one of them: how it is read, and set.
type constant struct {
	name string
	of   func(c *striking.Constants) (get float64, set func(float64))
}

func level(name string, l student.Level) constant {
	return constant{name, func(c *striking.Constants) (float64, func(float64)) {
		return c.Level[l], func(v float64) { c.Level[l] = v }
	}}
}

func sport(name string, s court.Sport) constant {
	return constant{name, func(c *striking.Constants) (float64, func(float64)) {
		return c.Sport[s], func(v float64) { c.Sport[s] = v }
	}}
}

// with are constants with others for the free ones, each as the logarithm of how much more it is.
func with(c striking.Constants, x []float64) striking.Constants {
	next := c
	next.Level, next.Sport = maps.Clone(c.Level), maps.Clone(c.Sport)
	for i, f := range free {
		before, set := f.of(&next)
		set(round(before * math.Exp(x[i])))
	}
	between := func(a, b float64) float64 { return round(math.Sqrt(a * b)) }
	next.Level[student.Improver] = between(next.Level[student.Beginner], next.Level[student.Club])
	next.Level[student.Green] = next.Level[student.Improver]
	next.Level[student.Orange] = between(next.Level[student.Red], next.Level[student.Green])
	return next
}

func round(v float64) float64 { return math.Round(v*1000) / 1000 }

// off is by how much a row is off the middle of its range, as a share of half of it.
func off(r ranges.Row, value float64) float64 {
	return (value - (r.Low+r.High)/2) / ((r.High - r.Low) / 2)
}

// worse is what a row counts: the square of how far it is off, and fifty times what it is nearly outside.
func worse(by float64) float64 {
	outside := math.Max(0, math.Abs(by)-0.9)
	return by*by + 50*outside*outside
}

func run(ctx context.Context, tries int, write bool) error {
	begun := striking.Fitted()
	rows := ranges.All()
	sum := func(x []float64) float64 {
		striking.Try(with(begun, x))
		total := 0.0
		for _, r := range rows {
			if !r.Fits {
				continue
			}
			value, err := r.Value(ctx)
			if err != nil {
				return math.Inf(1)
			}
			total += worse(off(r, value))
		}
		return total
	}
	start := make([]float64, len(free))
	fmt.Printf("to begin with %.2f\n", sum(start))
	result, err := optimize.Minimize(optimize.Problem{Func: sum}, start,
		&optimize.Settings{FuncEvaluations: tries}, &optimize.NelderMead{SimplexSize: 0.15})
	if err != nil {
		return err
	}
	best := with(begun, result.X)
	striking.Try(best)
	fmt.Printf("fitted %.2f\n\n%s", sum(result.X), report(ctx, rows))
	text, err := json.MarshalIndent(best, "", "  ")
	if err != nil || !write {
		fmt.Println(string(text))
		return err
	}
	return os.WriteFile(kept, append(text, '\n'), 0o600)
}

// report is what each row comes to.
func report(ctx context.Context, rows []ranges.Row) string {
	text := ""
	for _, r := range rows {
		value, err := r.Value(ctx)
		sign := " "
		if err != nil || value < r.Low || value > r.High {
			sign = "*"
		}
		text += fmt.Sprintf("%s %-52s %7.3f  %g to %g\n", sign, r, value, r.Low, r.High)
	}
	return text
}
