package api

// What tests of this package look at from outside.
var Unsound = unsound

// RouteTable is the route table.
func RouteTable() []Route { return (&server{}).routes() }

// For says who may use a route.
func (r Route) For() string {
	return map[right]string{whoIsIn: "who is in", anybody: "anybody", coachOnly: "the coach"}[r.right]
}
