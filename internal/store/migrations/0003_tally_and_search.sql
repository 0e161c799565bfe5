-- +goose Up
-- "Btnk": the file says whose it is.
PRAGMA application_id = 1114926699;

-- A case's place in the search table, and the order cases came in. The row's own
-- number may change when the file is copied.
ALTER TABLE case_file ADD COLUMN serial INTEGER NOT NULL DEFAULT 0;
UPDATE case_file SET serial = o.n FROM (SELECT id, row_number() OVER (ORDER BY created_at, id) AS n FROM case_file) AS o WHERE o.id = case_file.id;
CREATE UNIQUE INDEX case_serial ON case_file (serial);
INSERT INTO counter (name, value) SELECT 'serial', coalesce(max(serial), 0) FROM case_file WHERE true
  ON CONFLICT (name) DO UPDATE SET value = excluded.value;

CREATE VIRTUAL TABLE search_new USING fts5 (number, grower, host, line, body, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
INSERT INTO search_new (rowid, number, grower, host, line, body)
  SELECT c.serial, s.number, s.grower, s.host, s.line, s.body FROM case_search s JOIN case_file c ON c.id = s.id;
DROP TABLE case_search;
ALTER TABLE search_new RENAME TO case_search;

-- What was settled on which day a sample came in, kept by the same writes that
-- change a verdict: the desk's own experience without reading every case.
CREATE TABLE confirmed_day (
  day TEXT NOT NULL,
  cause TEXT NOT NULL,
  n INTEGER NOT NULL,
  PRIMARY KEY (day, cause)
) STRICT, WITHOUT ROWID;
INSERT INTO confirmed_day (day, cause, n)
  SELECT substr(created_at, 1, 10), cause, count(*) FROM case_file WHERE degree = 'settled' AND cause <> '' GROUP BY 1, 2;

-- +goose StatementBegin
CREATE TRIGGER confirmed_changes AFTER UPDATE OF cause, degree ON case_file
WHEN OLD.cause IS NOT NEW.cause OR OLD.degree IS NOT NEW.degree
BEGIN
  UPDATE confirmed_day SET n = n - 1 WHERE OLD.degree = 'settled' AND day = substr(OLD.created_at, 1, 10) AND cause = OLD.cause;
  INSERT INTO confirmed_day (day, cause, n)
    SELECT substr(NEW.created_at, 1, 10), NEW.cause, 1 WHERE NEW.degree = 'settled' AND NEW.cause <> ''
    ON CONFLICT (day, cause) DO UPDATE SET n = n + 1;
  DELETE FROM confirmed_day WHERE day = substr(OLD.created_at, 1, 10) AND cause = OLD.cause AND n <= 0;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER confirmed_comes AFTER INSERT ON case_file WHEN NEW.degree = 'settled' AND NEW.cause <> ''
BEGIN
  INSERT INTO confirmed_day (day, cause, n) VALUES (substr(NEW.created_at, 1, 10), NEW.cause, 1)
    ON CONFLICT (day, cause) DO UPDATE SET n = n + 1;
END;
-- +goose StatementEnd

-- When a session was last used, so that a forgotten one ends by itself.
ALTER TABLE session ADD COLUMN seen_at TEXT NOT NULL DEFAULT '';
