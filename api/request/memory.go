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

	"github.com/hashicorp/golang-lru/v2/simplelru"
	"github.com/labstack/echo/v5"
)

// How much is remembered together.
const (
	rememberedBytes   = 16 << 20
	rememberedAnswers = 4096
)

// Memory remembers computed answers by what they depend on: the request, all that was stored, and the minute. What is
// asked for no more goes first.
type Memory struct {
	writes func() uint64
	now    func() time.Time

	mu      sync.Mutex
	answers *simplelru.LRU[dependence, *remembered]
	bytes   int
}

// dependence is what an answer depends on.
type dependence struct {
	request string
	writes  uint64
	minute  int64
}

// remembered is an answer as it is sent.
type remembered struct {
	body   []byte
	packed []byte // the same, compressed
	tag    string
}

func (r *remembered) size() int { return len(r.body) + len(r.packed) }

// NewMemory remembers answers by how much was written, and when.
func NewMemory(writes func() uint64, now func() time.Time) *Memory {
	m := &Memory{writes: writes, now: now}
	gone := func(of dependence, answer *remembered) { m.bytes -= answer.size() + len(of.request) }
	m.answers, _ = simplelru.NewLRU(rememberedAnswers, gone) // fails for a size below 1 only
	return m
}

// recall returns the answer to a request that holds now, nil where there is none, and what an answer depends on that is
// worked out from now on.
func (m *Memory) recall(request string) (*remembered, dependence) {
	m.mu.Lock()
	defer m.mu.Unlock()
	now := dependence{request, m.writes(), m.now().Unix() / 60}
	answer, _ := m.answers.Get(now)
	return answer, now
}

// keep remembers an answer.
func (m *Memory) keep(of dependence, answer *remembered) {
	m.mu.Lock()
	defer m.mu.Unlock()
	if size := answer.size() + len(of.request); size <= rememberedBytes && !m.answers.Contains(of) {
		m.answers.Add(of, answer)
		m.bytes += size
	}
	for m.bytes > rememberedBytes {
		m.answers.RemoveOldest()
	}
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
	if r.packed != nil && Accepts(c.Request().Header, "gzip") {
		h.Set("Content-Encoding", "gzip")
		return c.Blob(http.StatusOK, "application/json", r.packed)
	}
	return c.Blob(http.StatusOK, "application/json", r.body)
}
