package main

import (
	"errors"
	"fmt"
	"net"
	"net/http"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/weather"
	"botanik/internal/simulated"

	"slices"

	"github.com/spf13/cobra"
)

// stationCmd starts the simulated weather station that speaks the protocol of a real one.
func stationCmd() *cobra.Command {
	var addr string
	var p weather.Place
	cmd := &cobra.Command{Use: "station", Short: "Start a simulated weather station that speaks the protocol of docs/weather.md", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		if p.Climate != "" && !slices.Contains(knowledge.Climates, p.Climate) {
			return fault.New("climate", fmt.Sprintf("%q is none", p.Climate), "use "+strings.Join(knowledge.Climates, ", "))
		}
		ln, err := (&net.ListenConfig{}).Listen(cmd.Context(), "tcp", addr)
		if err != nil {
			return err
		}
		srv := &http.Server{Handler: simulated.NewWeatherStation(p), ReadHeaderTimeout: 5 * time.Second}
		_, _ = fmt.Fprintf(cmd.OutOrStdout(), "A simulated weather station answers at http://%s\n", ln.Addr())
		go func() {
			<-cmd.Context().Done()
			_ = srv.Close()
		}()
		if err := srv.Serve(ln); !errors.Is(err, http.ErrServerClosed) {
			return err
		}
		return nil
	}}
	f := cmd.Flags()
	f.StringVar(&addr, "addr", "127.0.0.1:8700", "address to listen on")
	f.Float64Var(&p.Lat, "lat", 51, "degrees north")
	f.Float64Var(&p.Lon, "lon", 0, "degrees east")
	f.StringVar(&p.Name, "name", "", "seed of its weather")
	f.StringVar(&p.Climate, "climate", "", "cold, mild, dry summer, hot and dry, warm and wet or tropical")
	return cmd
}
