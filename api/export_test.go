package api

import (
	"hodometer/api/request"
)

// RouteTable is the route table.
func RouteTable() []request.Route { return newServer(Options{}).routes() }
