package store

import (
	"context"
	"database/sql"
	"errors"
	"time"
)

// Passphrase is what is stored of the coach's passphrase, and which one it is.
type Passphrase struct {
	Hash   string // empty where none is set
	Number int64  // one more each time it is set, changed or taken away
}

// Passphrase reads what is stored of the coach's passphrase.
func (s *Store) Passphrase(ctx context.Context) (p Passphrase, err error) {
	err = s.read.QueryRowContext(ctx, "SELECT hash, number FROM passphrase").Scan(&p.Hash, &p.Number)
	if errors.Is(err, sql.ErrNoRows) {
		err = nil
	}
	return p, err
}

// SetPassphrase stores what is to be known of a passphrase; empty: there is none any more.
func (s *Store) SetPassphrase(ctx context.Context, hash string) error {
	_, err := s.exec(
		ctx,
		"INSERT INTO passphrase (one, hash, since, number) VALUES (1, ?, '', 1) ON CONFLICT (one) DO UPDATE SET hash = "+
			"excluded.hash, number = number + 1",
		hash,
	)
	return err
}

// Device is a device that was paired.
type Device struct {
	ID     string
	Name   string
	Paired time.Time
	Seen   time.Time // not to the minute
}

// Devices are those that are paired, the newest first.
func (s *Store) Devices(ctx context.Context) ([]Device, error) {
	return collect(ctx, s.read, device, "SELECT id, name, paired, seen FROM device ORDER BY paired DESC, id")
}

// Device is one that is paired. The error wraps ErrNotFound.
func (s *Store) Device(ctx context.Context, id string) (Device, error) {
	found, err := collect(ctx, s.read, device, "SELECT id, name, paired, seen FROM device WHERE id = ?", id)
	if err != nil || len(found) == 0 {
		return Device{}, errors.Join(err, ErrNotFound)
	}
	return found[0], nil
}

func device(rows *sql.Rows) (d Device, err error) {
	var paired, seen string
	if err := rows.Scan(&d.ID, &d.Name, &paired, &seen); err != nil {
		return d, err
	}
	d.Paired, err = readTime(paired)
	if err == nil {
		d.Seen, err = readTime(seen)
	}
	return d, err
}

// AddDevice keeps a device that was paired.
func (s *Store) AddDevice(ctx context.Context, d Device) error {
	_, err := s.exec(
		ctx,
		"INSERT INTO device (id, name, paired, seen) VALUES (?, ?, ?, ?)",
		d.ID,
		d.Name,
		writeTime(d.Paired),
		writeTime(d.Seen),
	)
	return err
}

// RemoveDevice forgets a device. The error wraps ErrNotFound.
func (s *Store) RemoveDevice(ctx context.Context, id string) error {
	result, err := s.exec(ctx, "DELETE FROM device WHERE id = ?", id)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n > 0 {
		return err
	}
	return ErrNotFound
}

// RemoveDevices forgets all devices.
func (s *Store) RemoveDevices(ctx context.Context) error {
	_, err := s.exec(ctx, "DELETE FROM device")
	return err
}

// SeeDevice notes when a device was seen. It counts as no write: nothing that is worked out rests on it.
func (s *Store) SeeDevice(ctx context.Context, id string, at time.Time) error {
	_, err := s.write.ExecContext(ctx, "UPDATE device SET seen = ? WHERE id = ?", writeTime(at), id)
	return err
}

// Sessions keeps sessions of a kind by the hash of their token: one kind is never taken for the other. Like SeeDevice,
// they count as no writes.
type Sessions struct {
	*Store
	Kind string
}

func (s Sessions) key(hash string) string { return s.Kind + ":" + hash }

// FindCtx is what is kept of a session that has not expired.
func (s Sessions) FindCtx(ctx context.Context, hash string) (data []byte, found bool, err error) {
	err = s.read.QueryRowContext(ctx, "SELECT data FROM session WHERE hash = ? AND expires > ?", s.key(hash),
		writeTime(time.Now())).
		Scan(&data)
	if errors.Is(err, sql.ErrNoRows) {
		return nil, false, nil
	}
	return data, err == nil, err
}

// CommitCtx keeps a session, and forgets those that have expired.
func (s Sessions) CommitCtx(ctx context.Context, hash string, data []byte, expires time.Time) error {
	_, err := s.write.ExecContext(ctx, "DELETE FROM session WHERE expires <= ?", writeTime(time.Now()))
	if err != nil {
		return err
	}
	_, err = s.write.ExecContext(
		ctx,
		"INSERT INTO session (hash, data, expires) VALUES (?, ?, ?) ON CONFLICT (hash) DO UPDATE SET data = "+
			"excluded.data, expires = excluded.expires",
		s.key(hash),
		data,
		writeTime(expires),
	)
	return err
}

// DeleteCtx forgets a session.
func (s Sessions) DeleteCtx(ctx context.Context, hash string) error {
	_, err := s.write.ExecContext(ctx, "DELETE FROM session WHERE hash = ?", s.key(hash))
	return err
}

// Find is FindCtx without a context, as the interface of the sessions asks; so are Commit and Delete.
func (s Sessions) Find(hash string) ([]byte, bool, error) {
	return s.FindCtx(context.Background(), hash)
}

// Commit keeps a session.
func (s Sessions) Commit(hash string, data []byte, expires time.Time) error {
	return s.CommitCtx(context.Background(), hash, data, expires)
}

// Delete forgets a session.
func (s Sessions) Delete(hash string) error { return s.DeleteCtx(context.Background(), hash) }
