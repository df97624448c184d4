package request

import (
	"bytes"
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"mime"
	"net/http"
	"slices"
	"strings"

	"github.com/google/uuid"
	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/santhosh-tekuri/jsonschema/v6/kind"

	"hodometer/core/basics/invalid"
)

// Bodies holds the schema of every route's body by the route's name.
type Bodies map[string]*jsonschema.Schema

// CompileBodies takes the schemas of the bodies out of the OpenAPI document.
func CompileBodies(routes []Route, openapi []byte) (Bodies, error) {
	document, err := jsonschema.UnmarshalJSON(bytes.NewReader(openapi))
	if err != nil {
		return nil, err
	}
	compiler := jsonschema.NewCompiler()
	compiler.AssertFormat()
	if err := compiler.AddResource("openapi.json", document); err != nil {
		return nil, err
	}
	compiled := Bodies{}
	for _, r := range routes {
		if r.body == nil || isFile(r.body) {
			continue
		}
		pointer := strings.NewReplacer("~", "~0", "/", "~1", "{", "%7B", "}", "%7D").Replace(openapiPath(r.Path))
		schema, err := compiler.Compile(
			"openapi.json#/paths/" + pointer + "/" + strings.ToLower(r.Method) + "/requestBody/content/application~1json/schema",
		)
		if err != nil {
			return nil, fmt.Errorf("body of %s: %w", r.Name, err)
		}
		compiled[r.Name] = schema
	}
	// Nothing saves ladders but what brings documents in.
	compiled[LaddersSchema], err = compiler.Compile("openapi.json#/components/schemas/" + LaddersSchema)
	return compiled, err
}

// LaddersSchema is the name of the schema of ladders.
const LaddersSchema = "ProgressLadders"

// Read reads a body strictly: JSON, of the shape its schema says, with nothing unknown in it. Its
// error is a problem or a list of fields.
func (b Bodies) Read(r *http.Request, name string, into any) error {
	if media, _, err := mime.ParseMediaType(r.Header.Get("Content-Type")); err != nil || media != "application/json" {
		return Refusal(http.StatusUnsupportedMediaType, "Send this as application/json.")
	}
	text, err := io.ReadAll(r.Body)
	if err != nil {
		return err
	}
	// How much is in it comes first: what follows costs as much.
	if wrong, _, err := Unsound(text); err != nil {
		return err
	} else if wrong.Err() != nil {
		return cmp.Or(unreadableIn(text), wrong.Err())
	}
	var loose any
	if err := json.Unmarshal(text, &loose); err != nil {
		return unreadable(err)
	}
	if err := b.validate(name, loose); err != nil {
		return err
	}
	decoder := json.NewDecoder(bytes.NewReader(text))
	decoder.DisallowUnknownFields()
	if err := decoder.Decode(into); err != nil {
		return unreadable(err)
	}
	return nil
}

// Check holds a text against the schema of a body, or of LaddersSchema, by its name. Its error is a problem or a list
// of fields.
func (b Bodies) Check(name string, text []byte) error {
	if wrong, _, err := Unsound(text); err != nil || wrong.Err() != nil {
		return cmp.Or(err, wrong.Err())
	}
	loose, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		return err
	}
	return b.validate(name, loose)
}

func (b Bodies) validate(name string, loose any) error {
	err := b[name].Validate(loose)
	var wrong *jsonschema.ValidationError
	if errors.As(err, &wrong) {
		return describeAll(wrong)
	}
	return err
}

// unreadableIn says why a text is no JSON; nil where it is.
func unreadableIn(text []byte) error {
	if err := json.Unmarshal(text, new(json.RawMessage)); err != nil {
		return unreadable(err)
	}
	return nil
}

func unreadable(err error) error {
	var wrongType *json.UnmarshalTypeError
	if errors.As(err, &wrongType) {
		return invalid.Fields{{Path: wrongType.Field, Message: "this number cannot be used here: " + wrongType.Value}}
	}
	return Refusal(http.StatusBadRequest, "This is not readable JSON.", invalid.Field{Path: "body", Message: err.Error()})
}

// describeAll lists what a schema found, a line for each field, in words: the first ones, by their paths.
func describeAll(wrong *jsonschema.ValidationError) invalid.Fields {
	const enough = 10 * mostTold // to put in order
	var fields invalid.Fields
	var walk func(e *jsonschema.ValidationError)
	walk = func(e *jsonschema.ValidationError) {
		if len(fields) >= enough {
			return
		}
		path := clipped(strings.Join(e.InstanceLocation, "."))
		switch k := e.ErrorKind.(type) {
		case *kind.Required:
			for _, missing := range k.Missing {
				fields.Add(invalid.Join(path, missing), "this is needed")
			}
		case *kind.AdditionalProperties:
			for _, unknown := range k.Properties[:min(len(k.Properties), enough)] {
				fields.Add(invalid.Join(path, unknown), "there is no such field")
			}
		default:
			if len(e.Causes) == 0 {
				fields.Add(path, "%s", describeViolation(e.ErrorKind))
			}
		}
		for _, cause := range e.Causes {
			walk(cause)
		}
	}
	walk(wrong)
	slices.SortStableFunc(fields, func(a, b invalid.Field) int { return strings.Compare(a.Path, b.Path) })
	return fields[:min(len(fields), mostTold)]
}

// describeViolation puts one finding of a schema into a coach's words.
func describeViolation(found jsonschema.ErrorKind) string {
	switch k := found.(type) {
	case *kind.Type:
		return fmt.Sprintf("%s was expected, and this is %s", typeNames(k.Want...), typeNames(k.Got))
	case *kind.Enum:
		allowed := make([]string, len(k.Want))
		for i, want := range k.Want {
			allowed[i] = fmt.Sprint(want)
		}
		return "choose one of: " + strings.Join(allowed, ", ")
	case *kind.MinLength:
		return "this must not be empty"
	case *kind.MaxLength:
		return fmt.Sprintf("at most %d characters; these are %d", k.Want, k.Got)
	case *kind.MinItems:
		if k.Got == 0 {
			return "this must not be empty"
		}
		return fmt.Sprintf("at least %d; these are %d", k.Want, k.Got)
	case *kind.MaxItems:
		return fmt.Sprintf("at most %d; these are %d", k.Want, k.Got)
	case *kind.Minimum:
		want, _ := k.Want.Float64()
		return fmt.Sprintf("at least %g", want)
	case *kind.Maximum:
		want, _ := k.Want.Float64()
		return fmt.Sprintf("at most %g", want)
	case *kind.Format:
		return Formats[k.Want]
	case *kind.Pattern:
		return "write it as hours:minutes, 16:30"
	}
	return "this does not fit here"
}

// Formats says by its name how a text of a format is written.
var Formats = map[string]string{
	"uuid":      "an identifier was expected (a UUID)",
	"date":      "write the day as year-month-day, 2026-03-09",
	"date-time": "write the instant as 2026-03-09T16:30:00Z",
}

func typeNames(types ...string) string {
	names := map[string]string{
		"string": "a text", "number": "a number", "integer": "a whole number", "boolean": "yes or no",
		"object": "a group of fields", "array": "a list", "null": "nothing",
	}
	phrases := make([]string, len(types))
	for i, t := range types {
		phrases[i] = names[t]
	}
	return strings.Join(phrases, " or ")
}

// CheckID refuses what is no identifier.
func CheckID(id string) error {
	if err := uuid.Validate(id); err != nil || len(id) != 36 {
		return Refusal(
			http.StatusBadRequest,
			"The identifier in the address is not a UUID.",
			invalid.Field{Path: "id", Message: Formats["uuid"]},
		)
	}
	return nil
}
