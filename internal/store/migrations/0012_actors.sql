-- +goose Up
-- Who did it, by id: two people of one name are two, and a new name makes nobody another.
-- Lines from before keep the id where one account alone bears their name.
DROP TRIGGER case_event_no_update;
ALTER TABLE case_event ADD COLUMN who_id TEXT NOT NULL DEFAULT '';
ALTER TABLE case_event ADD COLUMN who_kind TEXT NOT NULL DEFAULT 'person' CHECK (who_kind IN ('person', 'grower', 'weather'));
UPDATE case_event SET who_kind = CASE who WHEN 'the grower' THEN 'grower' ELSE 'weather' END
  WHERE who IN ('the grower', 'the weather') AND who NOT IN (SELECT name FROM account);
UPDATE case_event SET who_id = (SELECT id FROM account WHERE name = case_event.who)
  WHERE who_kind = 'person' AND who IN (SELECT name FROM account GROUP BY name HAVING count(*) = 1);
-- +goose StatementBegin
CREATE TRIGGER case_event_no_update BEFORE UPDATE ON case_event
BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END;
-- +goose StatementEnd

-- The tallies follow a case that is taken out, as they follow one that comes and one that changes.
-- +goose StatementBegin
CREATE TRIGGER tally_gone AFTER DELETE ON case_file
BEGIN
  UPDATE stage_count SET n = n - 1 WHERE stage = OLD.stage;
  UPDATE confirmed_day SET n = n - 1 WHERE OLD.degree = 'settled' AND day = substr(OLD.created_at, 1, 10) AND cause = OLD.cause;
  DELETE FROM confirmed_day WHERE day = substr(OLD.created_at, 1, 10) AND cause = OLD.cause AND n <= 0;
END;
-- +goose StatementEnd
