-- +goose Up
-- What a desk asks of many cases, without reading their documents.
ALTER TABLE case_file RENAME COLUMN host TO plant;
ALTER TABLE case_file RENAME COLUMN line TO story;
ALTER TABLE case_file ADD COLUMN host_id TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN place TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN verdict_at TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN closed_at TEXT NOT NULL DEFAULT '';
ALTER TABLE case_file ADD COLUMN outcome TEXT NOT NULL DEFAULT '';
UPDATE case_file SET
  host_id = coalesce(json_extract(doc, '$.intake.host'), ''),
  place = coalesce(json_extract(doc, '$.intake.place'), ''),
  verdict_at = coalesce(json_extract(doc, '$.verdict.at'), ''),
  closed_at = coalesce(json_extract(doc, '$.closing.at'), ''),
  outcome = coalesce(json_extract(doc, '$.closing.outcome'), '');

CREATE TABLE case_treatment (
  case_id TEXT NOT NULL REFERENCES case_file (id),
  round INTEGER NOT NULL,
  remedy TEXT NOT NULL,
  day TEXT NOT NULL,
  PRIMARY KEY (case_id, round, remedy, day)
) STRICT, WITHOUT ROWID;
CREATE INDEX treatment_remedy ON case_treatment (remedy, day);
INSERT OR IGNORE INTO case_treatment (case_id, round, remedy, day)
  SELECT c.id, 1, json_extract(g.value, '$.remedy'), json_extract(g.value, '$.on')
  FROM case_file c, json_each(c.doc, '$.given') g
  WHERE json_extract(g.value, '$.remedy') IS NOT NULL AND json_extract(g.value, '$.on') IS NOT NULL;

DROP INDEX case_ask;
CREATE INDEX case_ask ON case_file (ask_on, id) WHERE ask_on <> '' AND stage IN ('handed', 'referred');

-- How many cases lie in each stage, for trays that show the first few.
CREATE TABLE stage_count (stage TEXT PRIMARY KEY, n INTEGER NOT NULL) STRICT, WITHOUT ROWID;
INSERT INTO stage_count (stage, n) SELECT stage, count(*) FROM case_file GROUP BY stage;
-- +goose StatementBegin
CREATE TRIGGER stage_comes AFTER INSERT ON case_file
BEGIN
  INSERT INTO stage_count (stage, n) VALUES (NEW.stage, 1) ON CONFLICT (stage) DO UPDATE SET n = n + 1;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER stage_changes AFTER UPDATE OF stage ON case_file WHEN OLD.stage <> NEW.stage
BEGIN
  UPDATE stage_count SET n = n - 1 WHERE stage = OLD.stage;
  INSERT INTO stage_count (stage, n) VALUES (NEW.stage, 1) ON CONFLICT (stage) DO UPDATE SET n = n + 1;
END;
-- +goose StatementEnd

-- The story keeps what changed (RFC 6902), with the whole document now and then.
-- Lines of before keep their whole documents.
ALTER TABLE case_event ADD COLUMN patch TEXT NOT NULL DEFAULT '';

-- The search table's columns are named as the case's.
CREATE VIRTUAL TABLE search_new USING fts5 (number, grower, plant, story, body, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
INSERT INTO search_new (rowid, number, grower, plant, story, body) SELECT rowid, number, grower, host, line, body FROM case_search;
DROP TABLE case_search;
ALTER TABLE search_new RENAME TO case_search;
