-- +goose Up
-- Practice, apart from real cases: what is being asked, and what was answered.
CREATE TABLE drill_open (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account (id),
  kind TEXT NOT NULL,
  at TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT;
CREATE INDEX drill_open_of ON drill_open (account_id, at);

CREATE TABLE drill_answer (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account (id),
  at TEXT NOT NULL,
  kind TEXT NOT NULL,
  key TEXT NOT NULL,
  correct INTEGER NOT NULL,
  sure REAL NOT NULL,
  points INTEGER NOT NULL DEFAULT -1
) STRICT;
CREATE INDEX drill_answer_of ON drill_answer (account_id, key, at);
