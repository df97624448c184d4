// Package say holds sentences as what they say: a key of the catalogue and what goes into it. They are put into words
// when somebody reads them, so that a sentence that was stored years ago is told in the words of today, and can be told
// in another language. english.json is the catalogue, with the forms for one and for several.
package say

import (
	"encoding/json"
	"math"
	"strconv"

	"golang.org/x/text/language"
	"golang.org/x/text/message"
	"golang.org/x/text/number"
)

// Sentence is something that is said. The zero value says nothing.
type Sentence struct {
	// Key names the sentence in the catalogue; it is empty where there are only words.
	Key string `json:"say,omitempty" description:"Its key in the catalogue"`
	// With goes into it, in the order of its places: whole numbers, numbers, words and other sentences.
	With []any `json:"with,omitempty" description:"What goes into it"`
	// Written is how it was told when it was written down: it is told so again only where there is no such key any more.
	Written string `json:"words" description:"In words"`
}

// decimals are how many of a number are told; what is finer belongs into a figure, not into a sentence.
const decimals = 1

// Of is the sentence with a key of the catalogue.
func Of(key string, with ...any) Sentence { return Sentence{Key: key, With: with} }

// Words is what is said in words that are not in the catalogue.
func Words(text string) Sentence { return Sentence{Written: text} }

// String tells the sentence in English.
func (s Sentence) String() string { return s.In(language.English) }

// In tells the sentence in a language of the catalogue.
func (s Sentence) In(tongue language.Tag) string {
	if !keys[s.Key] {
		return s.Written
	}
	with := make([]any, len(s.With))
	for i, each := range s.With {
		switch each := each.(type) {
		case Sentence:
			with[i] = each.In(tongue)
		case int:
			with[i] = number.Decimal(each, number.NoSeparator())
		case float64:
			with[i] = number.Decimal(rounded(each), number.NoSeparator())
		default:
			with[i] = each
		}
	}
	return message.NewPrinter(tongue, message.Catalog(english)).Sprintf(s.Key, with...)
}

// rounded is a number as it is told everywhere.
func rounded(of float64) float64 {
	near, _ := strconv.ParseFloat(strconv.FormatFloat(of, 'f', decimals, 64), 64)
	return near
}

// Empty says whether nothing is said.
func (s Sentence) Empty() bool { return s.Key == "" && s.Written == "" }

// plain is a sentence as it is written down, without the methods that write and read it.
type plain Sentence

// MarshalJSON writes down what is said, and how it is told now.
func (s Sentence) MarshalJSON() ([]byte, error) {
	s.Written = s.String()
	return json.Marshal(plain(s))
}

// UnmarshalJSON reads what was written down. Before there was a catalogue it was the words alone.
func (s *Sentence) UnmarshalJSON(text []byte) error {
	var words string
	if json.Unmarshal(text, &words) == nil {
		*s = Words(words)
		return nil
	}
	var read plain
	if err := json.Unmarshal(text, &read); err != nil {
		return err
	}
	for i, each := range read.With {
		read.With[i] = value(each, 1)
	}
	*s = Sentence(read).now()
	return nil
}

// now is the sentence without how it was told, where it can be told anew.
func (s Sentence) now() Sentence {
	if keys[s.Key] {
		s.Written = ""
	}
	return s
}

// deepest is how deep sentences stand in one another; what comes from outside and is deeper is told by its words.
const deepest = 24

// value is what goes into a sentence, of what it is in JSON, so deep in others.
func value(of any, deep int) any {
	switch of := of.(type) {
	case map[string]any:
		var inner Sentence
		inner.Written, _ = of["words"].(string)
		if deep >= deepest {
			return inner
		}
		inner.Key, _ = of["say"].(string)
		with, _ := of["with"].([]any)
		for _, each := range with {
			inner.With = append(inner.With, value(each, deep+1))
		}
		return inner.now()
	case float64:
		if of == math.Trunc(of) && math.Abs(of) < 1<<53 {
			return int(of)
		}
	}
	return of
}

// Change is the sentence with other words in the places of its words: a name that is forgotten.
func (s Sentence) Change(words func(string) string) Sentence {
	with := make([]any, len(s.With))
	for i, each := range s.With {
		switch each := each.(type) {
		case string:
			with[i] = words(each)
		case Sentence:
			with[i] = each.Change(words)
		default:
			with[i] = each
		}
	}
	if len(with) == 0 {
		with = nil
	}
	return Sentence{Key: s.Key, With: with, Written: words(s.Written)}
}
