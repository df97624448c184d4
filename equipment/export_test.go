package equipment

// NewHubBy is a hub that goes by a clock of a test.
var NewHubBy = newHub

// Waits is waits.
var Waits = waits
