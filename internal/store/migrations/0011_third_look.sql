-- +goose Up
-- House documents that came with a batch, so that undoing it takes them out as well.
CREATE TABLE batch_setting (
  batch TEXT NOT NULL,
  key TEXT NOT NULL,
  version INTEGER NOT NULL,
  PRIMARY KEY (batch, key)
) STRICT, WITHOUT ROWID;

-- Whether an import came to its end. What did not is taken out at the next start, and told.
ALTER TABLE import_batch ADD COLUMN state TEXT NOT NULL DEFAULT 'whole' CHECK (state IN ('begun', 'whole', 'torn'));

-- What was put on, over closed cases whose end is known and in which the advice was not
-- left undone: the one answer to what worked here.
CREATE VIEW treated_outcome AS
SELECT c.id, c.cause, c.created_at, t.remedy, c.outcome IN ('better', 'cleared') AS better
FROM case_file c JOIN case_treatment t ON t.case_id = c.id
WHERE c.closed_at <> '' AND c.outcome IN ('better', 'cleared', 'no change', 'lost') AND c.followed <> 'no' AND c.cause <> '' AND t.remedy <> '';
