package main

import (
	"os"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestTheNoticesAreFresh(t *testing.T) {
	made, err := notices(t.Context(), "../..")
	require.NoError(t, err)
	there, err := os.ReadFile("../../cmd/hodometer/modules.txt")
	require.NoError(t, err)
	require.Equal(t, string(made), string(there), "run make generate")
}
