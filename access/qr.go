package access

import "rsc.io/qr"

// QR is a text as a QR code: its rows, each a 1 for what is dark and a 0 for what is light, with the light edge of four that it needs.
func QR(text string) ([]string, error) {
	code, err := qr.Encode(text, qr.M)
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
