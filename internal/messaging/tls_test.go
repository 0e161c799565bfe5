package messaging_test

import (
	"bufio"
	"context"
	"crypto/tls"
	"crypto/x509"
	"io"
	"net"
	"net/http/httptest"
	"strings"
	"sync/atomic"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Where the mail server offers encryption the letter goes encrypted; where its certificate
// is nobody's it does not go at all, neither in the clear.
func TestALetterGoesEncryptedWhereTheServerOffersIt(t *testing.T) {
	https := httptest.NewTLSServer(nil)
	defer https.Close()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer func() { _ = l.Close() }()
	var clear, hidden atomic.Int32
	go func() {
		for {
			conn, err := l.Accept()
			if err != nil {
				return
			}
			go func() {
				defer func() { _ = conn.Close() }()
				var rw io.ReadWriter = conn
				r, count := bufio.NewReader(rw), &clear
				say := func(s string) { _, _ = io.WriteString(rw, s+"\r\n") }
				say("220 here")
				for {
					line, err := r.ReadString('\n')
					if err != nil {
						return
					}
					switch word := strings.ToUpper(strings.Fields(line + " x")[0]); word {
					case "EHLO":
						say("250-here\r\n250 STARTTLS")
					case "STARTTLS":
						say("220 go on")
						rw = tls.Server(conn, https.TLS)
						r, count = bufio.NewReader(rw), &hidden
					case "DATA":
						say("354 go on")
						for line != ".\r\n" && err == nil {
							line, err = r.ReadString('\n')
						}
						count.Add(1)
						say("250 taken")
					case "QUIT":
						say("221 bye")
						return
					default:
						say("250 yes")
					}
				}
			}()
		}
	}()
	c := at("smtp://" + l.Addr().String() + "?from=desk@example.org")
	_, err = c.Send(context.Background(), letter)
	require.ErrorContains(t, err, "certificate does not hold")
	assert.Equal(t, []int32{0, 0}, []int32{clear.Load(), hidden.Load()})
	roots := x509.NewCertPool()
	roots.AddCert(https.Certificate())
	c.Trust(roots)
	_, err = c.Send(context.Background(), letter)
	require.NoError(t, err)
	assert.Equal(t, []int32{0, 1}, []int32{clear.Load(), hidden.Load()})
}
