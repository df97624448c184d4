package picture

import (
	_ "embed" // the fonts
)

// The fonts that are shipped.
var (
	//go:embed fonts/SourceSans3-Regular.ttf
	Regular []byte
	//go:embed fonts/SourceSans3-SemiBold.ttf
	SemiBold []byte
	//go:embed fonts/BarlowCondensed-SemiBold.ttf
	Condensed []byte
)
