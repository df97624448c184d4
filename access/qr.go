package access

import "rsc.io/qr"

// long is from how many characters on a text is long.
const long = 300

// QR is a text as a QR code: its rows, each a 1 for what is dark and a 0 for what is light, with the light edge of four
// that it needs. A long text is drawn with less that can be missing, so that its squares stay large.
func QR(text string) ([]string, error) {
	level := qr.M
	if len(text) > long {
		level = qr.L
	}
	code, err := qr.Encode(text, level)
	if err != nil {
		return nil, err
	}
	const edge = 4
	rows := make([]string, 0, code.Size+2*edge)
	for y := -edge; y < code.Size+edge; y++ {
		row := make([]byte, 0, code.Size+2*edge)
		for x := -edge; x < code.Size+edge; x++ {
			dark := byte('0')
			if code.Black(x, y) {
				dark = '1'
			}
			row = append(row, dark)
		}
		rows = append(rows, string(row))
	}
	return rows, nil
}
