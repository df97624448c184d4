package keeping

// Today makes the copy of the day where there is none yet.
var Today = (*Keeper).today
