package underway

// What tests of this package look at from outside.
var Named = named
