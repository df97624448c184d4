package picture_test

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"image/png"
	"io"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
	"hodometer/picture"
)

// Over the whole library: each court is drawn to scale, the same every time, with all of its balls and targets.
func TestEveryCourtIsDrawn(t *testing.T) {
	for _, d := range library.All() {
		t.Run(d.Document.Name, func(t *testing.T) {
			r, err := report.Of(d.Document, 1, coach.Default())
			require.NoError(t, err)
			svg := picture.SVG(d.Document.Name, r)
			require.Equal(t, svg, picture.SVG(d.Document.Name, r))
			decoder, elements, words := xml.NewDecoder(bytes.NewReader(svg)), map[string]int{}, ""
			for {
				token, err := decoder.Token()
				if errors.Is(err, io.EOF) {
					break
				}
				require.NoError(t, err)
				switch token := token.(type) {
				case xml.StartElement:
					elements[token.Name.Local]++
				case xml.CharData:
					words += " " + string(token)
				}
			}
			require.Equal(t, 1, elements["title"])
			require.GreaterOrEqual(t, elements["path"], len(r.Court.Lines))
			for _, f := range r.Feeds {
				require.Contains(t, strings.ReplaceAll(words, ",", " ")+" ", fmt.Sprintf(" %d ", f.Number), "ball %d", f.Number)
			}
			if r.Measures[0].Target != nil && r.Measures[0].Target.Radius > 0 {
				require.Positive(t, elements["circle"])
			}

			data, err := picture.PNG(r, 400)
			require.NoError(t, err)
			drawn, err := png.Decode(bytes.NewReader(data))
			require.NoError(t, err)
			require.Equal(t, 400, drawn.Bounds().Dx())
			dark := 0
			for y := range drawn.Bounds().Dy() {
				for x := range 400 {
					if shade, _, _, _ := drawn.At(x, y).RGBA(); shade < 0x8000 {
						dark++
					}
				}
			}
			share := float64(dark) / float64(400*drawn.Bounds().Dy())
			require.Greater(t, share, 0.005)
			require.Less(t, share, 0.4)
		})
	}
}
