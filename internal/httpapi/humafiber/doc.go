// Package humafiber lets huma speak through Fiber v3. huma ships an adapter
// for Fiber v2 only; this one has just what the API needs. It must know no
// route and no rule of the job.
package humafiber
