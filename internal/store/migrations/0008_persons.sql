-- +goose Up
-- A grower as a person: two may have one name, and one keeps it through years. Until now a
-- name was a person.
CREATE TABLE grower (
  n INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  contact TEXT NOT NULL,
  made_at TEXT NOT NULL
) STRICT;
INSERT INTO grower (id, name, contact, made_at)
  SELECT 'g-' || lower(hex(randomblob(10))), grower, '', min(created_at) FROM case_file WHERE grower <> 'a grower' GROUP BY grower;
CREATE INDEX grower_name ON grower (name COLLATE NOCASE);
UPDATE grower SET contact = coalesce((SELECT json_extract(c.doc, '$.intake.contact') FROM case_file c
  WHERE c.grower = grower.name AND json_extract(c.doc, '$.intake.contact') <> '' ORDER BY c.created_at DESC LIMIT 1), '');

-- Persons are found by the beginning of a name or of how they are reached.
CREATE VIRTUAL TABLE grower_search USING fts5 (name, contact, content = 'grower', content_rowid = 'n', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
INSERT INTO grower_search (grower_search) VALUES ('rebuild');
-- +goose StatementBegin
CREATE TRIGGER grower_comes AFTER INSERT ON grower BEGIN
  INSERT INTO grower_search (rowid, name, contact) VALUES (NEW.n, NEW.name, NEW.contact);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER grower_goes AFTER DELETE ON grower BEGIN
  INSERT INTO grower_search (grower_search, rowid, name, contact) VALUES ('delete', OLD.n, OLD.name, OLD.contact);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER grower_changes AFTER UPDATE OF name, contact ON grower WHEN OLD.name <> NEW.name OR OLD.contact <> NEW.contact BEGIN
  INSERT INTO grower_search (grower_search, rowid, name, contact) VALUES ('delete', OLD.n, OLD.name, OLD.contact);
  INSERT INTO grower_search (rowid, name, contact) VALUES (NEW.n, NEW.name, NEW.contact);
END;
-- +goose StatementEnd

ALTER TABLE case_file ADD COLUMN grower_id TEXT NOT NULL DEFAULT '';
UPDATE case_file SET grower_id = coalesce((SELECT g.id FROM grower g WHERE g.name = case_file.grower), '');
DROP INDEX case_grower;
CREATE INDEX case_grower ON case_file (grower_id, created_at);

ALTER TABLE calendar_feed ADD COLUMN grower_id TEXT NOT NULL DEFAULT '';
UPDATE calendar_feed SET grower_id = coalesce((SELECT g.id FROM grower g WHERE g.name = calendar_feed.grower), '') WHERE grower <> '';

-- Whose case it is: who took it to the bench, until it is handed to another.
ALTER TABLE case_file ADD COLUMN keeper TEXT NOT NULL DEFAULT '';
CREATE INDEX case_keeper ON case_file (keeper, stage);

-- Days on which somebody is not there.
CREATE TABLE away (
  account_id TEXT NOT NULL REFERENCES account (id),
  first TEXT NOT NULL,
  last TEXT NOT NULL,
  PRIMARY KEY (account_id, first)
) STRICT, WITHOUT ROWID;

-- What was done on a day, by whom: for the summary of a day.
CREATE INDEX event_at ON case_event (at);
