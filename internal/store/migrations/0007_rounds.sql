-- +goose Up
-- Whether what was advised was done, so that what worked here can be told.
ALTER TABLE case_file ADD COLUMN followed TEXT NOT NULL DEFAULT '';

-- Messages to growers. once names what a message says: it is written once, however often
-- somebody asks for it. id is the key the gateway knows it by.
CREATE TABLE outbox (
  id TEXT PRIMARY KEY,
  once TEXT NOT NULL UNIQUE,
  case_id TEXT NOT NULL,
  kind TEXT NOT NULL,
  reach TEXT NOT NULL,
  subject TEXT NOT NULL,
  body TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('waiting', 'sending', 'sent', 'delivered', 'failed', 'bounced', 'answered', 'held')),
  tries INTEGER NOT NULL DEFAULT 0,
  next_at TEXT NOT NULL,
  said TEXT NOT NULL DEFAULT '',
  made_at TEXT NOT NULL,
  changed_at TEXT NOT NULL
) STRICT;
CREATE INDEX outbox_due ON outbox (next_at) WHERE state IN ('waiting', 'sending', 'sent');
CREATE INDEX outbox_lost ON outbox (changed_at) WHERE state IN ('failed', 'bounced');
CREATE INDEX outbox_case ON outbox (case_id, made_at);

-- Who wants no messages.
CREATE TABLE opted_out (
  reach TEXT PRIMARY KEY,
  at TEXT NOT NULL,
  who TEXT NOT NULL
) STRICT;
