// Package live holds a lesson or a game while it is played and right after: what is done with it act by act, what a
// coach sees of it, a ball machine and an eye beside it, what a device works out without the network, and what became
// of it. In flow a lesson as it was packed and acts in their order; out flow views of an instant, changes to keep and
// accounts.
package live
