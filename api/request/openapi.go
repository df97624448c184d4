package request

import (
	"encoding/json"
	"net/http"
	"path"
	"reflect"
	"regexp"
	"strings"

	"github.com/swaggest/jsonschema-go"
	"github.com/swaggest/openapi-go"
	"github.com/swaggest/openapi-go/openapi31"
)

var pathParameter = regexp.MustCompile(`:(\w+)`)

// openapiPath writes a route's path the way OpenAPI does: /students/{id}.
func openapiPath(path string) string { return pathParameter.ReplaceAllString(path, "{$1}") }

// Describe makes the OpenAPI document of a route table.
func Describe(routes []Route) ([]byte, error) {
	reflector := openapi31.NewReflector()
	reflector.Spec.Info.WithTitle("Hodometer").WithVersion("1")
	reflector.JSONSchemaReflector().DefaultOptions = append(
		reflector.JSONSchemaReflector().DefaultOptions,
		SchemaOptions()...)
	for _, r := range routes {
		if err := describeRoute(reflector, r); err != nil {
			return nil, err
		}
	}
	text, err := json.MarshalIndent(reflector.Spec, "", " ") // it is in the program as it stands
	return append(text, '\n'), err
}

func describeRoute(reflector *openapi31.Reflector, r Route) error {
	operation, err := reflector.NewOperationContext(r.Method, openapiPath(r.Path))
	if err != nil {
		return err
	}
	operation.SetID(r.Name)
	operation.SetSummary(r.Summary)
	if r.params != nil {
		operation.AddReqStructure(r.params)
	}
	if isFile(r.body) {
		operation.AddReqStructure(nil, openapi.WithContentType("application/octet-stream"), func(cu *openapi.ContentUnit) {
			cu.Customize = func(entity openapi.ContentOrReference) {
				if body, ok := entity.(*openapi31.RequestBodyOrReference); ok {
					describeFile(body.RequestBody)
				}
			}
		})
	} else if r.body != nil {
		operation.AddReqStructure(r.body, func(cu *openapi.ContentUnit) {
			cu.Customize = func(entity openapi.ContentOrReference) {
				if body, ok := entity.(*openapi31.RequestBodyOrReference); ok {
					body.RequestBody.WithRequired(true)
				}
			}
		})
	}
	if r.answer != nil {
		operation.AddRespStructure(r.answer, openapi.WithHTTPStatus(http.StatusOK))
	} else {
		operation.AddRespStructure(nil, openapi.WithHTTPStatus(http.StatusNoContent))
	}
	operation.AddRespStructure(Problem{}, func(cu *openapi.ContentUnit) {
		cu.IsDefault, cu.ContentType = true, ProblemType
	})
	return reflector.AddOperation(operation)
}

// SchemaOptions are how Go types become schemas, in the OpenAPI document and in the documents' own.
func SchemaOptions() []func(*jsonschema.ReflectContext) {
	return []func(*jsonschema.ReflectContext){
		jsonschema.InterceptDefName(oneName()),
		jsonschema.InterceptProp(requireProperty),
		jsonschema.InterceptNullability(nullability),
		jsonschema.InterceptSchema(closeObject),
	}
}

// oneName names a type after its package and itself, those of the rooms of api after themselves, and a type that is
// called like its package once. Where two would share a name, the later one keeps its package.
func oneName() func(t reflect.Type, name string) string {
	taken := map[string]reflect.Type{}
	return func(t reflect.Type, name string) string {
		short := name
		if room := t.PkgPath(); room == "hodometer/api" || strings.HasPrefix(room, "hodometer/api/") {
			short = name[len(path.Base(room)):]
		}
		if short == t.Name()+t.Name() {
			short = t.Name()
		}
		if other, is := taken[short]; is && other != t {
			return name
		}
		taken[short] = t
		return short
	}
}

// requireProperty makes a field required unless its tag says omitempty or omitzero.
func requireProperty(p jsonschema.InterceptPropParams) error {
	tag, isJSON := p.Field.Tag.Lookup("json")
	if p.Processed && len(p.PropertySchema.AnyOf) > 0 {
		p.PropertySchema.Type = nil // the choices say it: null, or an object
	}
	if !p.Processed || !isJSON || strings.Contains(tag, "omitempty") || strings.Contains(tag, "omitzero") {
		return nil
	}
	for _, required := range p.ParentSchema.Required {
		if required == p.Name {
			return nil
		}
	}
	p.ParentSchema.Required = append(p.ParentSchema.Required, p.Name)
	return nil
}

// nullability allows null only for a pointer that is always written.
func nullability(p jsonschema.InterceptNullabilityParams) {
	switch {
	case p.OmitEmpty || p.Type.Kind() != reflect.Pointer:
		if p.Schema.Type != nil {
			p.Schema.RemoveType(jsonschema.Null)
		}
	case p.Schema.Ref != nil:
		target := jsonschema.Schema{Ref: p.Schema.Ref}
		p.Schema.Ref = nil
		p.Schema.AnyOf = []jsonschema.SchemaOrBool{jsonschema.Null.ToSchemaOrBool(), target.ToSchemaOrBool()}
	}
}

// closeObject refuses fields that an object does not have.
func closeObject(p jsonschema.InterceptSchemaParams) (bool, error) {
	of := p.Value.Type()
	if of.Kind() == reflect.Pointer {
		of = of.Elem() // what is first met behind a pointer is closed, too
	}
	if p.Processed && of.Kind() == reflect.Struct && p.Schema.Properties != nil {
		p.Schema.AdditionalProperties = (&jsonschema.SchemaOrBool{}).WithTypeBoolean(false)
	}
	return false, nil
}
