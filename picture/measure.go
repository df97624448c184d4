package picture

import (
	"sync"

	"golang.org/x/image/font"
	"golang.org/x/image/font/opentype"
)

// millimetre is how many millimetres a point of type is: a seventy-second of an inch.
const millimetre = 25.4 / 72

// measure measures words by the fonts that are shipped.
type measure struct{}

// faces are the fonts at a size at which they are measured well, each once.
var faces = sync.OnceValue(func() map[Face]font.Face {
	opened := map[Face]font.Face{}
	for face, file := range map[Face][]byte{Plain: Regular(), Bold: SemiBold(), Narrow: Condensed()} {
		opened[face] = faceOf(file, measured)
	}
	return opened
})

const measured = 100 // pixels for the height of type

func faceOf(file []byte, pixels float64) font.Face {
	parsed, err := opentype.Parse(file)
	if err != nil {
		return nil // the fonts are embedded; a test draws with each of them
	}
	face, err := opentype.NewFace(parsed, &opentype.FaceOptions{Size: pixels, DPI: 72})
	if err != nil {
		return nil
	}
	return face
}

var measuring sync.Mutex // a face is used by one at a time

// Width measures words.
func (measure) Width(w Words) float64 {
	measuring.Lock()
	defer measuring.Unlock()
	return float64(font.MeasureString(faces()[w.Face], Printable(w.Text))) / 64 / measured * w.Points * millimetre
}
