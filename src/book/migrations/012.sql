-- Version 12: thing_was has a digest of each state of a thing that was once sent to another book or taken in from one, so
-- that of two that differ it is known whether only one side went on from what both had. seal has a digest of the file as
-- this program last closed it, or 'outside' from when the file was found to be another until a cook says it is right.
-- Older programs see neither.
CREATE TABLE IF NOT EXISTS thing_was(
  thing_table TEXT NOT NULL, thing_id TEXT NOT NULL, digest TEXT NOT NULL,
  PRIMARY KEY(thing_table, thing_id, digest)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS seal(one INTEGER PRIMARY KEY CHECK(one = 1), digest TEXT NOT NULL);
