package request

import (
	"bytes"
	"compress/gzip"
	"crypto/sha256"
	"encoding/base64"
	"encoding/json"
	"net/http"
	"strconv"
	"strings"
	"sync"
	"time"

	"github.com/labstack/echo/v5"
)

// rememberedBytes is how much the answers may take together.
const rememberedBytes = 16 << 20

// Memory remembers computed answers until something they depend on changes: anything that is stored, or the minute.
type Memory struct {
	writes func() uint64
	now    func() time.Time

	mu      sync.Mutex
	at      moment
	answers map[string]*remembered
	bytes   int
}

// moment is when an answer holds.
type moment struct {
	writes uint64
	minute int64
}

// remembered is an answer as it is sent.
type remembered struct {
	body   []byte
	packed []byte // the same, compressed
	tag    string
}

// NewMemory remembers answers by how much was written, and when.
func NewMemory(writes func() uint64, now func() time.Time) *Memory {
	return &Memory{writes: writes, now: now, answers: map[string]*remembered{}}
}

// recall returns the answer to a request that holds now, nil where there is none, and the moment that is now. What held before is forgotten.
func (m *Memory) recall(request string) (*remembered, moment) {
	m.mu.Lock()
	defer m.mu.Unlock()
	if now := (moment{m.writes(), m.now().Unix() / 60}); m.at != now {
		m.forget()
		m.at = now
	}
	return m.answers[request], m.at
}

// Keep remembers the answer to a request as it was worked out from a moment on, if that is not over. Where the answers take too much, all
// of them are forgotten.
func (m *Memory) keep(request string, at moment, answer *remembered) {
	m.mu.Lock()
	defer m.mu.Unlock()
	size := len(answer.body) + len(answer.packed) + len(request)
	if m.at != at || size > rememberedBytes || m.answers[request] != nil {
		return
	}
	if m.bytes+size > rememberedBytes {
		m.forget()
	}
	m.answers[request], m.bytes = answer, m.bytes+size
}

func (m *Memory) forget() {
	m.bytes = 0
	clear(m.answers)
}

// packedFrom is the size from which an answer is worth compressing.
const packedFrom = 1024

// pack writes an answer as it is sent. Its tag names its revision, where it has one, and its content.
func pack(answer any) (*remembered, error) {
	body, err := json.Marshal(answer)
	if err != nil {
		return nil, err
	}
	body = append(body, '\n')
	sum := sha256.Sum256(body)
	tag := base64.RawURLEncoding.EncodeToString(sum[:12])
	if versioned, ok := answer.(tagged); ok {
		tag = strconv.FormatInt(versioned.Tag(), 10) + "-" + tag
	}
	r := &remembered{body: body, tag: strconv.Quote(tag)}
	if len(body) < packedFrom {
		return r, nil
	}
	var packed bytes.Buffer
	w, err := gzip.NewWriterLevel(&packed, gzip.BestSpeed)
	if err != nil {
		return nil, err
	}
	if _, err := w.Write(body); err != nil {
		return nil, err
	}
	if err := w.Close(); err != nil {
		return nil, err
	}
	r.packed = packed.Bytes()
	return r, nil
}

// send answers a request, or says that what the page has is still so.
func (r *remembered) send(c *echo.Context) error {
	h := c.Response().Header()
	h.Set("Cache-Control", "private, no-cache")
	h.Set("ETag", r.tag)
	h.Add("Vary", "Accept-Encoding")
	if strings.Contains(c.Request().Header.Get("If-None-Match"), r.tag) {
		return c.NoContent(http.StatusNotModified)
	}
	if r.packed != nil && strings.Contains(c.Request().Header.Get("Accept-Encoding"), "gzip") {
		h.Set("Content-Encoding", "gzip")
		return c.Blob(http.StatusOK, "application/json", r.packed)
	}
	return c.Blob(http.StatusOK, "application/json", r.body)
}
