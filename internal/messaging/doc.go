// Package messaging hands messages to whoever carries them: a gateway that speaks the
// protocol of docs/messages.md, a mail server by SMTP, or the stand-in that ships with the
// program. It knows nothing of cases; what is sent, to whom and how often is the loop's (internal/loop).
package messaging
