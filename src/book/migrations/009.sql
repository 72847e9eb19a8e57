-- Version 9: a test whose readings come over a line while it runs. What came since the last whole block waits in
-- live_batch, a row a moment, so that a power cut costs a second; when the run ends it goes into blocks like any
-- other test's. Marks are what the cook did meanwhile. Older programs see a test without its newest readings.
CREATE TABLE IF NOT EXISTS live_run(
  test_id TEXT PRIMARY KEY REFERENCES test(id), begun_at_ms INTEGER NOT NULL, ended_at_ms INTEGER);
CREATE TABLE IF NOT EXISTS live_batch(
  test_id TEXT NOT NULL REFERENCES live_run(test_id), position INTEGER NOT NULL, readings BLOB NOT NULL,
  PRIMARY KEY(test_id, position)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS test_mark(
  test_id TEXT NOT NULL REFERENCES test(id), position INTEGER NOT NULL, at_s REAL NOT NULL, mark TEXT NOT NULL,
  words TEXT NOT NULL, PRIMARY KEY(test_id, position));
