-- +goose Up
-- What the season asks of many cases, again without reading their documents.
ALTER TABLE case_file ADD COLUMN handed_at TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN square TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN photos INTEGER NOT NULL DEFAULT 0;
ALTER TABLE case_file ADD COLUMN import_id TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN import_version INTEGER NOT NULL DEFAULT 0; -- as it came; later ones are this desk's work
UPDATE case_file SET
  handed_at = coalesce((SELECT min(e.at) FROM case_event e WHERE e.case_id = case_file.id AND e.kind = 'handover'), ''),
  photos = coalesce(json_array_length(doc, '$.photos'), 0);
-- Holds all that is counted, sorted and filtered by: the rows themselves are as long as
-- their documents.
CREATE INDEX case_season ON case_file (created_at, cause, degree, host_id, place, square, stage, outcome, keeper, handed_at, closed_at, ask_on, photos, number, serial, id);
CREATE INDEX case_plant ON case_file (plant COLLATE NOCASE, serial);
CREATE INDEX case_called ON case_file (grower COLLATE NOCASE, serial);
CREATE INDEX case_import ON case_file (import_id) WHERE import_id <> '';

-- Where a verdict was changed later: what this desk takes for what.
CREATE TABLE verdict_change (
  case_id TEXT NOT NULL REFERENCES case_file (id),
  at TEXT NOT NULL,
  was TEXT NOT NULL,
  became TEXT NOT NULL,
  who TEXT NOT NULL
) STRICT;
CREATE INDEX verdict_change_at ON verdict_change (at);
CREATE INDEX verdict_change_case ON verdict_change (case_id);

CREATE TABLE saved_search (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account (id),
  name TEXT NOT NULL,
  query TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX saved_search_of ON saved_search (account_id, name);

-- What was brought in from elsewhere, so that it can be taken out again as a whole.
CREATE TABLE import_batch (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('csv', 'bundle')),
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  cases INTEGER NOT NULL,
  undone_at TEXT NOT NULL DEFAULT ''
) STRICT;

-- Copies written by the clock.
CREATE TABLE backup_log (
  at TEXT PRIMARY KEY,
  file TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  cases INTEGER NOT NULL,
  trouble TEXT NOT NULL DEFAULT ''
) STRICT, WITHOUT ROWID;

-- Who let whom in, switched whom off, gave whom which role.
CREATE TABLE account_event (
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  account_id TEXT NOT NULL,
  text TEXT NOT NULL
) STRICT;
CREATE INDEX account_event_at ON account_event (at);

-- An address by which somebody new chooses their own password, once.
CREATE TABLE invite (
  token_hash TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account (id),
  expires_at TEXT NOT NULL
) STRICT;
