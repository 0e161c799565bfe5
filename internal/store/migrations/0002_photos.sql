-- +goose Up
-- A grower's picture, drawn anew as JPEG. Which pictures a case shows stands
-- in its document, so that undo and the story hold for them too.
CREATE TABLE photo (
  id TEXT PRIMARY KEY,
  case_id TEXT NOT NULL REFERENCES case_file (id),
  at TEXT NOT NULL,
  jpeg BLOB NOT NULL
) STRICT;
CREATE INDEX photo_case ON photo (case_id);
