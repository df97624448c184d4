package picture

import (
	"bytes"
	"compress/gzip"
	_ "embed" // the fonts
	"io"
	"sync"
)

// The fonts that are shipped, compressed.
var (
	//go:embed fonts/SourceSans3-Regular.ttf.gz
	regular []byte
	//go:embed fonts/SourceSans3-SemiBold.ttf.gz
	semiBold []byte
	//go:embed fonts/BarlowCondensed-SemiBold.ttf.gz
	condensed []byte
)

// Regular, SemiBold and Condensed are the fonts that are shipped, as TrueType.
var (
	Regular   = sync.OnceValue(func() []byte { return unpacked(regular) })
	SemiBold  = sync.OnceValue(func() []byte { return unpacked(semiBold) })
	Condensed = sync.OnceValue(func() []byte { return unpacked(condensed) })
)

// unpacked is a font as it was before it was compressed. It panics where that cannot be: then the program was built
// from something else.
func unpacked(packed []byte) []byte {
	reader, err := gzip.NewReader(bytes.NewReader(packed))
	if err != nil {
		panic(err)
	}
	font, err := io.ReadAll(reader)
	if err != nil {
		panic(err)
	}
	return font
}
