package api

import (
	"hodometer/api/door"
	"hodometer/api/request"
)

// RouteTable is the route table.
func RouteTable() []request.Route { return (&server{entrance: &door.Entrance{}}).routes() }
