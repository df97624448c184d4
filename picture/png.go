package picture

import (
	"bytes"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"math"

	"golang.org/x/image/font"
	"golang.org/x/image/math/fixed"
	"golang.org/x/image/vector"

	"hodometer/core/drill/report"
)

// pngPen draws pixels.
type pngPen struct {
	picture *image.Gray
	scale   float64 // pixels for a millimetre
	measure
}

// PNG is the court of a drill as a picture that is so many pixels wide.
func PNG(r report.Report, pixels int) ([]byte, error) {
	scale := float64(pixels) / width
	high := heightOf(r)
	p := &pngPen{picture: image.NewGray(image.Rect(0, 0, pixels, int(math.Ceil(high*scale)))), scale: scale}
	draw.Draw(p.picture, p.picture.Bounds(), image.White, image.Point{}, draw.Src)
	Court(p, r, Point{edge, edge}, width-2*edge, high-2*edge)
	var out bytes.Buffer
	err := png.Encode(&out, p.picture)
	return out.Bytes(), err
}

// fill fills the area within corners.
func (p *pngPen) fill(corners []Point, shade color.Color) {
	if len(corners) < 3 {
		return
	}
	// Only where the shape is: a picture has hundreds of them.
	low, high := corners[0], corners[0]
	for _, c := range corners {
		low, high = Point{math.Min(low.X, c.X), math.Min(low.Y, c.Y)}, Point{math.Max(high.X, c.X), math.Max(high.Y, c.Y)}
	}
	pixel := func(x float64) int { return int(math.Floor(x * p.scale)) }
	bounds := image.Rect(pixel(low.X), pixel(low.Y), pixel(high.X)+2, pixel(high.Y)+2).Intersect(p.picture.Bounds())
	if bounds.Empty() {
		return
	}
	raster := vector.NewRasterizer(bounds.Dx(), bounds.Dy())
	at := func(c Point) (x, y float32) {
		return float32(c.X*p.scale - float64(bounds.Min.X)), float32(c.Y*p.scale - float64(bounds.Min.Y))
	}
	raster.MoveTo(at(corners[0]))
	for _, c := range corners[1:] {
		raster.LineTo(at(c))
	}
	raster.ClosePath()
	raster.Draw(p.picture, bounds, image.NewUniform(shade), image.Point{})
}

// Line draws a line.
func (p *pngPen) Line(from, to Point, s Stroke) { p.path([]Point{from, to}, s) }

// path draws a line from point to point.
func (p *pngPen) path(points []Point, s Stroke) {
	if s.Width == 0 {
		return
	}
	drawn, left, part := true, math.Inf(1), 0
	if len(s.Dash) > 0 {
		left = s.Dash[0]
	}
	for i := 1; i < len(points); i++ {
		a, b := points[i-1], points[i]
		length := math.Hypot(b.X-a.X, b.Y-a.Y)
		for done := 0.0; done < length; {
			step := math.Min(left, length-done)
			along := func(at float64) Point {
				return Point{a.X + (b.X-a.X)*at/length, a.Y + (b.Y-a.Y)*at/length}
			}
			if drawn {
				p.thick(along(done), along(done+step), s.Width)
			}
			done, left = done+step, left-step
			if left <= 1e-9 {
				part = (part + 1) % len(s.Dash)
				drawn, left = !drawn, s.Dash[part]
			}
		}
	}
}

// thick fills a line of a width.
func (p *pngPen) thick(a, b Point, width float64) {
	length := math.Hypot(b.X-a.X, b.Y-a.Y)
	if length == 0 {
		return
	}
	x, y := (b.Y-a.Y)/length*width/2, (a.X-b.X)/length*width/2
	p.fill([]Point{{a.X + x, a.Y + y}, {b.X + x, b.Y + y}, {b.X - x, b.Y - y}, {a.X - x, a.Y - y}}, color.Black)
}

// Circle draws a circle.
func (p *pngPen) Circle(centre Point, radius float64, s Stroke) {
	const parts = 72
	points := make([]Point, parts+1)
	for i := range points {
		sin, cos := math.Sincos(2 * math.Pi * float64(i) / parts)
		points[i] = Point{centre.X + radius*cos, centre.Y + radius*sin}
	}
	p.path(points, s)
}

// Polygon draws a polygon.
func (p *pngPen) Polygon(corners []Point, s Stroke, f Fill) {
	if shade, filled := map[Fill]color.Color{White: color.White, Black: color.Black}[f]; filled {
		p.fill(corners, shade)
	}
	if len(corners) > 0 {
		p.path(append(append([]Point{}, corners...), corners[0]), s)
	}
}

// Write writes words.
func (p *pngPen) Write(at Point, w Words) {
	file := map[Face]func() []byte{Plain: Regular, Bold: SemiBold, Narrow: Condensed}[w.Face]()
	face := faceOf(file, w.Points*millimetre*p.scale)
	drawer := font.Drawer{
		Dst: p.picture, Src: image.Black, Face: face,
		Dot: fixed.Point26_6{X: fixed.Int26_6(at.X * p.scale * 64), Y: fixed.Int26_6(at.Y * p.scale * 64)},
	}
	drawer.DrawString(Printable(w.Text))
}
