package main

import (
	"context"
	"crypto/rand"
	"encoding/json"
	"errors"
	"fmt"
	"html/template"
	"net"
	"net/http"
	"path/filepath"
	"time"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/keeping"
)

// rescue shows a page on which the newest good copy of a damaged file is put in its place, at the coach's word. It
// returns nil once that is done: then the listener is closed.
func (s service) rescue(ctx context.Context, listener net.Listener, d *keeping.Damaged) error {
	if d.Newest.Name == "" {
		return fmt.Errorf(
			"%w Put a copy in its place with hodometer restore COPY.db, or begin with an empty file: --data NEW.db",
			d,
		)
	}
	_, _ = fmt.Fprintf(
		s.out,
		"Hodometer is at http://%s\n%s\nRestore it on the page, or with hodometer restore COPY.db\n",
		listener.Addr(),
		d,
	)
	token, restored := rand.Text(), make(chan error, 1)
	copied := filepath.Join(keeping.For(d.File).Folder, d.Newest.Name)
	mux := http.NewServeMux()
	mux.HandleFunc("POST /restore", func(w http.ResponseWriter, r *http.Request) {
		if r.PostFormValue("token") != token {
			http.Error(w, "Open the page anew.", http.StatusForbidden)
			return
		}
		_, err := keeping.RestoreFile(ctx, d.File, copied, s.now())
		if err != nil {
			http.Error(w, "It could not be restored: "+err.Error(), http.StatusInternalServerError)
			return
		}
		rescuePage(w, map[string]any{"Done": true})
		select {
		case restored <- nil:
		default: // pressed twice
		}
	})
	// A page that the browser kept asks for what there is not now: it is led to this one.
	mux.HandleFunc("/api/", func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/problem+json")
		w.Header().Set(rescueHeader, "/restore")
		w.WriteHeader(http.StatusServiceUnavailable)
		// whoever asked has gone
		_ = json.NewEncoder(w).
			Encode(request.Problem{Type: "about:blank", Title: "Your file is damaged", Status: http.StatusServiceUnavailable,
				Detail: d.Error(), Fields: invalid.Fields{}})
	})
	mux.HandleFunc("/", func(w http.ResponseWriter, _ *http.Request) {
		rescuePage(
			w,
			map[string]any{
				"Damaged": d,
				"Made":    d.Newest.At.Format("Monday, 2 January 2006, 15:04"),
				"Copy":    copied,
				"Token":   token,
			},
		)
	})
	server := s.server(request.Guard(mux, s.hosts), 0)
	go func() {
		if err := server.Serve(listener); !errors.Is(err, http.ErrServerClosed) {
			restored <- err
		}
	}()
	select {
	case err := <-restored:
		closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), closingTime)
		defer cancel()
		return errors.Join(err, server.Shutdown(closing))
	case <-ctx.Done():
		return errors.Join(d, server.Close())
	}
}

// rescueHeader says where a damaged file is restored.
const rescueHeader = "Hodometer-Rescue"

func rescuePage(w http.ResponseWriter, content map[string]any) {
	w.Header().Set("Content-Type", "text/html; charset=utf-8")
	w.Header().Set("Cache-Control", "no-store")
	w.Header().
		Set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; "+
			"frame-ancestors 'none'")
	_ = rescueText.Execute(w, content) // whoever asked has gone
}

var rescueText = template.Must(template.New("").Parse(`<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
{{if .Done}}<meta http-equiv="refresh" content="2; url=/">{{end}}
<title>Hodometer: the file is damaged</title>
<style>
  body { font: 1.1rem/1.5 sans-serif; max-width: 44rem; margin: 3rem auto; padding: 0 1rem; background: #fcf8f1; color:
  #1f1b16; }
  code { overflow-wrap: anywhere; }
  button { font: inherit; padding: 0.6rem 1.2rem; border: 0; border-radius: 0.4rem; background: #8a3a1e; color: #fff; }
</style>
<main>
{{if .Done}}
<h1>It is restored</h1>
<p role="status">Hodometer starts with it now. <a href="/">Go on</a></p>
{{else}}
<h1>Your file is damaged</h1>
<p>It cannot be read whole: <code>{{.Damaged.File}}</code></p>
<p>Not a byte of it was changed. As it is, it was copied to <code>{{.Damaged.Aside}}</code>, for somebody who can
perhaps read more of it.</p>
<h2>The newest good copy is of {{.Made}}</h2>
<p>It was looked at just now, and is whole: <code>{{.Copy}}</code>. What was done after that time is not in it.</p>
<form method="post" action="/restore"><input type="hidden" name="token" value="{{.Token}}"><button>Restore this
copy</button></form>
<p>Another copy is restored with <code>hodometer restore COPY.db</code>.</p>
{{end}}
</main>
</html>
`))

// again listens once more where a listener was that is closed.
func (s service) again(ctx context.Context, listener net.Listener) (net.Listener, error) {
	s.addr = listener.Addr().String()
	const most = 20
	for range most {
		next, err := s.listen(ctx)
		if err == nil {
			return next, nil
		}
		time.Sleep(50 * time.Millisecond)
	}
	return s.listen(ctx)
}
