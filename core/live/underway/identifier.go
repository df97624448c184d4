package underway

import (
	"encoding/hex"
	"fmt"
	"strings"
)

// derivedID makes the identifier that belongs to a name under another identifier: the same on every device. It is a
// UUID of version 5 (RFC 9562, section 5.5). It fails where the other one is no UUID.
func derivedID(space, name string) (string, error) {
	under, err := hex.DecodeString(strings.ReplaceAll(space, "-", ""))
	if err != nil || len(under) != 16 {
		return "", fmt.Errorf("%q is no identifier", space)
	}
	sum := digest(append(under, name...))
	id := sum[:16]
	id[6], id[8] = id[6]&0x0f|0x50, id[8]&0x3f|0x80
	text := hex.EncodeToString(id)
	return text[:8] + "-" + text[8:12] + "-" + text[12:16] + "-" + text[16:20] + "-" + text[20:], nil
}
