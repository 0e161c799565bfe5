package messaging

import "crypto/x509"

// Trust says whose certificates are believed.
func (c *Client) Trust(roots *x509.CertPool) { c.roots = roots }
