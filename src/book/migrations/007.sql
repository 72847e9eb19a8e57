-- Version 7: which reduction gives each rated number of a place today, kept up by triggers, so that a book of ten
-- years opens as fast as a new one. It follows from the tables before it; older programs read past it.
CREATE TABLE IF NOT EXISTS newest_number(
  appliance_id TEXT NOT NULL REFERENCES appliance(id), setting TEXT NOT NULL, zone TEXT NOT NULL,
  insert_id TEXT NOT NULL, vessel_id TEXT NOT NULL, field_key TEXT NOT NULL,
  reduction_id TEXT NOT NULL REFERENCES reduction(id),
  PRIMARY KEY(appliance_id, setting, zone, insert_id, vessel_id, field_key)) WITHOUT ROWID;
CREATE INDEX IF NOT EXISTS test_by_place ON test(appliance_id, setting, zone, started_at_ms);
CREATE INDEX IF NOT EXISTS test_by_day ON test(appliance_id, started_at_ms);
CREATE VIEW IF NOT EXISTS rated_place AS
  SELECT t.appliance_id, t.setting, t.zone, coalesce(t.insert_id, '') AS insert_id,
    coalesce(t.vessel_id, '') AS vessel_id, f.field_key, r.id AS reduction_id, t.id AS test_id
  FROM test t JOIN reduction r ON r.test_id = t.id JOIN field_number f ON f.reduction_id = r.id;
-- Inserting a place here finds its newest number anew, of the saved ratings that stand: neither withdrawn nor superseded.
CREATE TRIGGER IF NOT EXISTS rated_place_again INSTEAD OF INSERT ON rated_place BEGIN
  DELETE FROM newest_number
    WHERE appliance_id = NEW.appliance_id AND setting = NEW.setting AND zone = NEW.zone
      AND insert_id = NEW.insert_id AND vessel_id = NEW.vessel_id AND field_key = NEW.field_key;
  INSERT INTO newest_number
    SELECT NEW.appliance_id, NEW.setting, NEW.zone, NEW.insert_id, NEW.vessel_id, NEW.field_key, r.id
    FROM test t JOIN reduction r ON r.test_id = t.id
      JOIN field_number f ON f.reduction_id = r.id AND f.field_key = NEW.field_key
    WHERE t.appliance_id = NEW.appliance_id AND t.setting = NEW.setting AND t.zone = NEW.zone
      AND coalesce(t.insert_id, '') = NEW.insert_id AND coalesce(t.vessel_id, '') = NEW.vessel_id
      AND t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL
      AND NOT EXISTS (SELECT 1 FROM reduction n WHERE n.supersedes = r.id AND n.withdrawn_at_ms IS NULL)
    ORDER BY t.started_at_ms DESC, r.created_at_ms DESC, r.id DESC LIMIT 1;
END;
CREATE TRIGGER IF NOT EXISTS number_added AFTER INSERT ON field_number BEGIN
  INSERT INTO rated_place SELECT * FROM rated_place
    WHERE reduction_id = NEW.reduction_id AND field_key = NEW.field_key;
END;
CREATE TRIGGER IF NOT EXISTS reduction_added AFTER INSERT ON reduction WHEN NEW.supersedes IS NOT NULL BEGIN
  INSERT INTO rated_place SELECT * FROM rated_place WHERE reduction_id = NEW.supersedes;
END;
CREATE TRIGGER IF NOT EXISTS reduction_withdrawn AFTER UPDATE OF withdrawn_at_ms ON reduction BEGIN
  INSERT INTO rated_place SELECT * FROM rated_place WHERE reduction_id IN (NEW.id, NEW.supersedes);
END;
CREATE TRIGGER IF NOT EXISTS test_withdrawn AFTER UPDATE OF withdrawn_at_ms ON test BEGIN
  INSERT INTO rated_place SELECT * FROM rated_place WHERE test_id = NEW.id;
END;
DELETE FROM newest_number;
INSERT INTO newest_number
  SELECT appliance_id, setting, zone, insert_id, vessel_id, field_key, reduction_id FROM (
    SELECT p.*, row_number() OVER (
        PARTITION BY p.appliance_id, p.setting, p.zone, p.insert_id, p.vessel_id, p.field_key
        ORDER BY t.started_at_ms DESC, r.created_at_ms DESC, r.id DESC) AS age
    FROM rated_place p JOIN test t ON t.id = p.test_id JOIN reduction r ON r.id = p.reduction_id
    WHERE t.withdrawn_at_ms IS NULL AND r.withdrawn_at_ms IS NULL
      AND NOT EXISTS (SELECT 1 FROM reduction n WHERE n.supersedes = r.id AND n.withdrawn_at_ms IS NULL))
  WHERE age = 1;
