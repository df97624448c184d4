package api

import (
	"encoding/json"
	"net/http"
	"sync"

	"github.com/labstack/echo/v5"
	"github.com/swaggest/jsonschema-go"

	"hodometer/api/request"
	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/progress"
)

// documentSchema serves the JSON Schemas of the documents that can be exchanged, made when one is first
// asked for.
func documentSchema() echo.HandlerFunc {
	schemas := sync.OnceValues(func() (map[string]jsonschema.Schema, error) {
		made := map[string]jsonschema.Schema{}
		reflector := jsonschema.Reflector{DefaultOptions: request.SchemaOptions()}
		for name, document := range map[string]any{"drill.json": drill.Document{}, "game.json": game.Document{},
			"lesson.json": lesson.Document{}, "ladder.json": progress.Ladders{}} {
			schema, err := reflector.Reflect(document)
			if err != nil {
				return nil, err
			}
			made[name] = *schema.WithSchema("https://json-schema.org/draft/2020-12/schema").WithTitle("Hodometer " + name)
		}
		return made, nil
	})
	return func(c *echo.Context) error {
		made, err := schemas()
		if err != nil {
			return err
		}
		schema, known := made[c.Param("name")]
		if !known {
			return echo.ErrNotFound
		}
		text, err := json.Marshal(schema)
		if err != nil {
			return err
		}
		return c.Blob(http.StatusOK, "application/schema+json", text)
	}
}
