package closing

// Document is what a coach says of a lesson at its end, or later.
type Document struct {
	Happened string   `json:"happened" maxLength:"1000" description:"What happened against the plan"`
	Worked   string   `json:"worked" maxLength:"400" description:"The first question of the closing talk: what worked"`
	Next     string   `json:"next" maxLength:"400" description:"The second one: what comes next"`
	Blocks   []Marked `json:"blocks" maxItems:"60" description:"Marks of single blocks, where the coach wants them"`
	Done     bool     `json:"done" description:"That is all; else it is finished later"`
}

// Marked is how a block was.
type Marked struct {
	Block      string `json:"block" format:"uuid"`
	Engagement int    `json:"engagement" minimum:"0" maximum:"10" description:"Out of ten; 0 for none"`
	Effort     *int   `json:"effort,omitempty" minimum:"0" maximum:"10" description:"How hard it felt, from 0; empty where it was not asked"`
}
