package flight

import "math"

// Air is what the ball flies through.
type Air struct {
	Density float64 // kg/m³
	Wind    Vec     // m/s, as it blows
}

// Density is that of the International Standard Atmosphere at an altitude, in metres, with the air as
// warm as it is, in °C: ρ = p/(R·T), p = 101 325·(1 − 2.25577e−5·h)^5.25588, R = 287.05 (ISO 2533).
func Density(celsius, altitude float64) float64 {
	const zero, gas, seaLevel = 273.15, 287.05, 101325
	pressure := seaLevel * math.Pow(1-2.25577e-5*altitude, 5.25588)
	return pressure / (gas * (zero + celsius))
}

// StillAir is 20 °C at sea level without wind.
func StillAir() Air { return Air{Density: Density(20, 0)} }
