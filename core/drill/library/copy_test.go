package library_test

import (
	"fmt"
	"reflect"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
)

// shared are the paths at which two values of a type have the same lists or pointers.
func shared(path string, a, b reflect.Value) (list []string) {
	switch a.Kind() {
	case reflect.Pointer:
		if a.IsNil() || b.IsNil() {
			return nil
		}
		if a.Pointer() == b.Pointer() {
			return []string{path}
		}
		return shared(path, a.Elem(), b.Elem())
	case reflect.Slice:
		if a.Len() > 0 && a.Pointer() == b.Pointer() {
			return []string{path}
		}
		for i := range min(a.Len(), b.Len()) {
			list = append(list, shared(fmt.Sprintf("%s.%d", path, i), a.Index(i), b.Index(i))...)
		}
	case reflect.Struct:
		for i := range a.NumField() {
			if a.Type().Field(i).IsExported() {
				list = append(list, shared(path+"."+a.Type().Field(i).Name, a.Field(i), b.Field(i))...)
			}
		}
	}
	return list
}

// Drills and games of the library can be changed as one likes: two that were asked for share nothing.
func TestACopySharesNothing(t *testing.T) {
	t.Parallel()
	one, two := library.All(), library.All()
	for i := range one {
		require.Empty(t, shared(one[i].Document.Name, reflect.ValueOf(one[i]), reflect.ValueOf(two[i])))
		again, _ := library.Find(one[i].ID)
		require.Empty(t, shared(again.Name, reflect.ValueOf(one[i].Document), reflect.ValueOf(again)))
	}
	games, others := library.Games(), library.Games()
	for i := range games {
		require.Empty(t, shared(games[i].Document.Name, reflect.ValueOf(games[i]), reflect.ValueOf(others[i])))
	}
}
