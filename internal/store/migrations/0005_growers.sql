-- +goose Up
-- What a grower brought before is looked for while one of theirs is decided on.
CREATE INDEX case_grower ON case_file (grower, created_at);
