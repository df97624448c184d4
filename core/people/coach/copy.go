package coach

// AsWritten names a drill or a game itself among its versions.
const AsWritten = "as written"

// OwnVersion is what a coach's own version of something is called at first: at most 80 characters.
func OwnVersion(name string) string {
	const longest = 80
	own := []rune(name + " (my version)")
	return string(own[:min(len(own), longest)])
}
