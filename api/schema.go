package api

import (
	"encoding/json"
	"net/http"

	"github.com/labstack/echo/v5"
	"github.com/swaggest/jsonschema-go"

	"hodometer/core/drill"
	"hodometer/core/lesson"
)

// documentSchemas makes the JSON Schemas of the documents that can be exchanged.
func documentSchemas() (map[string][]byte, error) {
	schemas := map[string][]byte{}
	for name, document := range map[string]any{"drill": drill.Document{}, "lesson": lesson.Document{}} {
		reflector := jsonschema.Reflector{DefaultOptions: schemaOptions()}
		schema, err := reflector.Reflect(document)
		if err != nil {
			return nil, err
		}
		schema.WithTitle("Hodometer " + name)
		text, err := json.MarshalIndent(schema, "", "  ")
		if err != nil {
			return nil, err
		}
		schemas[name] = append(text, '\n')
	}
	return schemas, nil
}

// addSchemas serves the schemas beside the OpenAPI document.
func addSchemas(e *echo.Echo) error {
	schemas, err := documentSchemas()
	if err != nil {
		return err
	}
	for name, text := range schemas {
		e.GET("/api/schemas/"+name+".json", func(c *echo.Context) error { return c.Blob(http.StatusOK, "application/schema+json", text) })
	}
	return nil
}
