// What Go ships beside a program for browsers; see the Makefile. It sets a global.
export {}
