-- +goose Up
CREATE TABLE account (
  id TEXT PRIMARY KEY,
  login TEXT NOT NULL UNIQUE COLLATE NOCASE,
  name TEXT NOT NULL,
  role TEXT NOT NULL CHECK (role IN ('coordinator', 'advisor', 'trainee')),
  hash TEXT NOT NULL,
  active INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE session (
  token_hash TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account (id),
  csrf TEXT NOT NULL,
  created_at TEXT NOT NULL,
  expires_at TEXT NOT NULL
) STRICT;

CREATE TABLE counter (name TEXT PRIMARY KEY, value INTEGER NOT NULL) STRICT;

-- A case: what lists and trays need as columns, the rest as one document.
CREATE TABLE case_file (
  id TEXT PRIMARY KEY,
  number TEXT NOT NULL UNIQUE,
  stage TEXT NOT NULL,
  host TEXT NOT NULL,
  grower TEXT NOT NULL,
  line TEXT NOT NULL,
  urgency INTEGER NOT NULL,
  certainty REAL NOT NULL,
  cause TEXT NOT NULL,
  degree TEXT NOT NULL,
  ask_on TEXT NOT NULL,
  token TEXT NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  version INTEGER NOT NULL,
  doc TEXT NOT NULL
) STRICT;
CREATE INDEX case_stage ON case_file (stage, created_at, id);
CREATE INDEX case_created ON case_file (created_at, id);
CREATE INDEX case_ask ON case_file (ask_on) WHERE ask_on <> '';
CREATE INDEX case_cause ON case_file (cause, created_at) WHERE cause <> '';
CREATE UNIQUE INDEX case_token ON case_file (token) WHERE token <> '';

CREATE TABLE case_event (
  case_id TEXT NOT NULL REFERENCES case_file (id),
  seq INTEGER NOT NULL,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  kind TEXT NOT NULL,
  text TEXT NOT NULL,
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  PRIMARY KEY (case_id, seq)
) STRICT, WITHOUT ROWID;
-- +goose StatementBegin
CREATE TRIGGER case_event_no_update BEFORE UPDATE ON case_event
BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER case_event_no_delete BEFORE DELETE ON case_event
BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END;
-- +goose StatementEnd

CREATE VIRTUAL TABLE case_search USING fts5 (id UNINDEXED, number, grower, host, line, body, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');

CREATE TABLE idempotency (
  key TEXT NOT NULL,
  account_id TEXT NOT NULL,
  body_hash TEXT NOT NULL,
  case_id TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (key, account_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL,
  version INTEGER NOT NULL
) STRICT;
CREATE TABLE setting_event (
  key TEXT NOT NULL,
  version INTEGER NOT NULL,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  before TEXT NOT NULL,
  after TEXT NOT NULL,
  PRIMARY KEY (key, version)
) STRICT, WITHOUT ROWID;
