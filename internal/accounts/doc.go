// Package accounts knows who may sign in: accounts, roles, passwords, sessions
// and the gate that slows guessing down. It must never know a case, a plant or
// an address of the API. Hashing follows OWASP's minimum for argon2id; the
// figures of the gate are judgement.
package accounts
