package handover_test

import (
	"archive/zip"
	"bytes"
	"math/rand/v2"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/exchange/sharing"
	"hodometer/handover"
	"hodometer/internal/long"
)

func collection(t testing.TB) []byte {
	var files []handover.Packed
	for _, d := range library.All()[:3] {
		text, err := sharing.Write(sharing.Drill, d.ID, d.Document)
		require.NoError(t, err)
		files = append(files, handover.Packed{Name: handover.FileName(d.Document.Name) + ".json", Data: text})
	}
	files = append(files, handover.Packed{Name: "README.txt", Data: []byte("Drills")})
	data, err := handover.Pack(files)
	require.NoError(t, err)
	return data
}

func TestACollectionIsOpenedAndEveryCutOfItIsTold(t *testing.T) {
	t.Parallel()
	good := collection(t)
	require.Equal(t, good, collection(t), "the same bytes")
	opened, err := handover.Open(good)
	require.NoError(t, err)
	require.Len(t, opened, 3)
	for cut := range len(good) {
		_, err := handover.Open(good[:cut])
		require.ErrorIs(t, err, handover.ErrUnreadable, "cut at %d", cut)
	}
}

func TestWhatIsInAZipLeadsNowhereAndStaysSmall(t *testing.T) {
	t.Parallel()
	packed := func(name string, size int, text string) []byte {
		var out bytes.Buffer
		w := zip.NewWriter(&out)
		part, err := w.Create(name)
		require.NoError(t, err)
		_, err = part.Write([]byte(text + strings.Repeat(" ", size)))
		require.NoError(t, err)
		require.NoError(t, w.Close())
		return out.Bytes()
	}
	_, err := handover.Open(packed("bomb.json", 100<<20, "{}"))
	require.ErrorContains(t, err, "too large")
	text, err := sharing.Write(sharing.Drill, library.All()[0].ID, library.All()[0].Document)
	require.NoError(t, err)
	opened, err := handover.Open(packed("../../etc/cron.d/drill.json", 0, string(text)))
	require.NoError(t, err)
	require.Equal(t, "drill.json", opened[0].File)
	_, err = handover.Open(packed("drill.exe", 0, string(text)))
	require.ErrorContains(t, err, "no document in this .zip")
	require.Equal(t, "a b c", handover.FileName(" ../a b\\ c.:"))
	require.Equal(t, "document", handover.FileName("...///"))
}

func TestSpoiledCollectionsAreToldAndTakeNoTime(t *testing.T) {
	t.Parallel()
	draw := rand.New(rand.NewPCG(1, 0)) //nolint:gosec // a sample, not a secret
	text, err := sharing.Write(sharing.Drill, library.All()[0].ID, library.All()[0].Document)
	require.NoError(t, err)
	for _, good := range [][]byte{collection(t), text} {
		for range long.Rounds(1000, 10_000) {
			spoiled := bytes.Clone(good)
			for range 1 + draw.IntN(8) {
				spoiled[draw.IntN(len(spoiled))] = byte(draw.IntN(256)) //nolint:gosec // any byte
			}
			begun := time.Now()
			if _, err := handover.Open(spoiled); err != nil {
				require.ErrorIs(t, err, handover.ErrUnreadable)
			}
			require.Less(t, time.Since(begun), 5*time.Second)
		}
	}
}

func FuzzOpen(f *testing.F) {
	f.Add(collection(f))
	f.Add([]byte(`{"hodometer":"drill","id":"","document":{"version":4}}`))
	f.Fuzz(func(t *testing.T, data []byte) {
		opened, err := handover.Open(data)
		if err != nil {
			require.ErrorIs(t, err, handover.ErrUnreadable)
			return
		}
		require.NotEmpty(t, opened)
	})
}
