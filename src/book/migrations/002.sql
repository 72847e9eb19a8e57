-- Version 2: typed readings may be counts or seconds, a test names its instrument and photo, and rated
-- numbers may change while food is in (a fire burning down).
ALTER TABLE keyed_reading RENAME COLUMN value_k TO value_si;
ALTER TABLE test ADD COLUMN instrument_id TEXT REFERENCES instrument(id);
ALTER TABLE test ADD COLUMN photo_sha256 TEXT REFERENCES attachment(sha256);
CREATE TABLE field_curve(
  reduction_id TEXT NOT NULL REFERENCES reduction(id), field_key TEXT NOT NULL, t_s REAL NOT NULL,
  change_si REAL NOT NULL, PRIMARY KEY(reduction_id, field_key, t_s));
UPDATE book_info SET value = '2' WHERE key = 'min_reader';
