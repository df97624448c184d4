package keeping

import (
	"context"
	"io"
	"path/filepath"
	"time"

	"hodometer/handover"
	"hodometer/store"
)

// Import brings an export into the file.
func (k *Keeper) Import(
	ctx context.Context,
	archive io.ReaderAt,
	size int64,
	theirs bool,
	progress handover.Progress,
) (handover.Brought, string, error) {
	k.mu.Lock()
	defer k.mu.Unlock()
	return Import(ctx, k.Store, k.Data, archive, size, theirs, k.Now(), progress)
}

// Import brings an export into an open file; where anything is in that already, it is copied first. It returns where
// that copy is, if there is one.
func Import(
	ctx context.Context,
	open *store.Store,
	data string,
	archive io.ReaderAt,
	size int64,
	theirs bool,
	now time.Time,
	progress handover.Progress,
) (handover.Brought, string, error) {
	tables, err := open.Tables(ctx)
	if err != nil {
		return handover.Brought{}, "", err
	}
	rows, err := open.HowMany(ctx, tables)
	if err != nil {
		return handover.Brought{}, "", err
	}
	kept := ""
	if rows > 0 {
		copies := For(data)
		made, err := copies.Make(ctx, open.CopyTo, now, BeforeImport)
		if err != nil {
			return handover.Brought{}, "", err
		}
		kept = filepath.Join(copies.Folder, made.Name)
	}
	result, err := handover.Bring(ctx, archive, size, open, filepath.Dir(data), theirs, progress)
	return result, kept, err
}
