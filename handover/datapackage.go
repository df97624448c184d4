package handover

import "time"

// resource is a table of a data package (Frictionless Data, Data Package 1.0).
type resource struct {
	Name      string `json:"name"`
	Path      string `json:"path"`
	Title     string `json:"title,omitempty"`
	Profile   string `json:"profile"`
	Format    string `json:"format"`
	MediaType string `json:"mediatype"`
	Encoding  string `json:"encoding"`
	Bytes     int64  `json:"bytes"`
	Hash      string `json:"hash"`
	Schema    schema `json:"schema"`
}

type schema struct {
	Fields        []field      `json:"fields"`
	PrimaryKey    []string     `json:"primaryKey,omitempty"`
	ForeignKeys   []foreignKey `json:"foreignKeys,omitempty"`
	MissingValues []string     `json:"missingValues"`
}

type field struct {
	Name        string `json:"name"`
	Type        string `json:"type"`
	Description string `json:"description,omitempty"`
}

type foreignKey struct {
	Fields    string    `json:"fields"`
	Reference reference `json:"reference"`
}

type reference struct {
	Resource string `json:"resource"`
	Fields   string `json:"fields"`
}

// dataPackage is the descriptor of an export.
type dataPackage struct {
	Profile   string     `json:"profile"`
	Name      string     `json:"name"`
	Title     string     `json:"title"`
	Created   time.Time  `json:"created"`
	Hodometer manifest   `json:"hodometer"`
	Resources []resource `json:"resources"`
}

// manifest says in which formats an export is.
type manifest struct {
	Export int   `json:"export"`
	File   int64 `json:"file"`
}

// descriptor is where the descriptor of an export is.
const descriptor = "datapackage.json"
