-- +goose Up
-- Hours of weather that somebody brought in a file; a later file's hour stands before an
-- earlier one's.
CREATE TABLE weather_file (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  first INTEGER NOT NULL,
  last INTEGER NOT NULL,
  hours INTEGER NOT NULL
) STRICT;
CREATE TABLE weather_hour (
  at INTEGER NOT NULL,
  file TEXT NOT NULL REFERENCES weather_file (id) ON DELETE CASCADE,
  temp REAL NOT NULL,
  humidity REAL NOT NULL,
  wind REAL NOT NULL,
  gust REAL NOT NULL,
  rain REAL NOT NULL,
  wind_from REAL NOT NULL DEFAULT 0,
  PRIMARY KEY (at, file)
) STRICT, WITHOUT ROWID;
CREATE INDEX weather_hour_file ON weather_hour (file);

-- Private addresses of calendars: the desk's, or one grower's.
CREATE TABLE calendar_feed (
  token TEXT PRIMARY KEY,
  grower TEXT NOT NULL,
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  ended_at TEXT NOT NULL DEFAULT ''
) STRICT;

-- What the weather moved is asked for every day.
CREATE INDEX event_weather ON case_event (at) WHERE kind = 'weather';
