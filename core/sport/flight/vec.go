package flight

import (
	"math"

	"hodometer/core/sport/court"
)

// Vec is a place, a velocity or a spin in the court's axes.
type Vec struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
	Z float64 `json:"z"`
}

// Add returns v + w.
func (v Vec) Add(w Vec) Vec { return Vec{v.X + w.X, v.Y + w.Y, v.Z + w.Z} }

// Sub returns v − w.
func (v Vec) Sub(w Vec) Vec { return Vec{v.X - w.X, v.Y - w.Y, v.Z - w.Z} }

// Times returns s·v.
func (v Vec) Times(s float64) Vec { return Vec{s * v.X, s * v.Y, s * v.Z} }

// Dot is the scalar product.
func (v Vec) Dot(w Vec) float64 { return v.X*w.X + v.Y*w.Y + v.Z*w.Z }

// Cross is the vector product.
func (v Vec) Cross(w Vec) Vec {
	return Vec{v.Y*w.Z - v.Z*w.Y, v.Z*w.X - v.X*w.Z, v.X*w.Y - v.Y*w.X}
}

// Norm is the length.
func (v Vec) Norm() float64 { return math.Sqrt(v.Dot(v)) }

// Floor is the place straight below.
func (v Vec) Floor() court.Point { return court.Point{X: v.X, Y: v.Y} }

// Above is the place so far above a place on the court.
func Above(p court.Point, height float64) Vec { return Vec{p.X, p.Y, height} }
