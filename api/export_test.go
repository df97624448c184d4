package api

// What tests of this package look at from outside.
var Unsound = unsound
