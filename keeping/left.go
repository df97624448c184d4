package keeping

import (
	"errors"
	"fmt"
	"os"
)

// leftNote is the file beside a data file that says how that was left when the program ended well.
func leftNote(data string) string { return data + "-left.txt" }

// Left notes how a data file is left, now that it is closed: one that is found as it was left need not be looked at
// whole when it is opened again.
func Left(data string) error {
	text, err := asFound(data)
	if err != nil {
		return err
	}
	return writeWhole(leftNote(data), []byte(text))
}

// asLeft says whether a data file is as it was left. What the disk itself spoils meanwhile is found by the copy of the
// day, which reads all of it.
func asLeft(data string) bool {
	left, err := os.ReadFile(leftNote(data))
	if err != nil {
		return false
	}
	found, err := asFound(data)
	return err == nil && string(left) == found
}

// asFound is what is compared: how large a file is and when it was written last. Where SQLite keeps something beside
// it, it was not closed.
func asFound(data string) (string, error) {
	if info, err := os.Stat(data + "-wal"); err == nil && info.Size() > 0 {
		return "", errors.New("the file is not closed")
	}
	info, err := os.Stat(data)
	if err != nil {
		return "", err
	}
	return fmt.Sprintf("%d bytes, written at %d\n", info.Size(), info.ModTime().UnixNano()), nil
}
