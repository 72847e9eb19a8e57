-- Version 11: cooks while they happen and after. A run has one dish or several; each dish is a cook with its plan as it
-- was when it began (planned_json), what was done and typed (cook_entry, corrected by further entries), what a probe
-- read (cook_reading), what came out (judged_json) and what that says of kitchen and food (told_json; accepted 1,
-- set aside 0, NULL not asked yet). A trial is several cooks of one food that are judged beside each other.
-- log_line has one line for every test and cook; log_text searches them (FTS5 over that table). Older programs see a
-- book without cooks.
CREATE TABLE IF NOT EXISTS trial(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, recipe_id TEXT NOT NULL, question TEXT NOT NULL, verdict TEXT NOT NULL,
  created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE IF NOT EXISTS cook_run(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, menu_id TEXT NOT NULL, trial_id TEXT REFERENCES trial(id),
  began_at_ms INTEGER NOT NULL, utc_offset_min INTEGER NOT NULL, ended_at_ms INTEGER, created_at_ms INTEGER NOT NULL,
  withdrawn_at_ms INTEGER);
CREATE INDEX IF NOT EXISTS cook_run_open ON cook_run(began_at_ms) WHERE ended_at_ms IS NULL;
CREATE TABLE IF NOT EXISTS cook(
  id TEXT PRIMARY KEY, run_id TEXT NOT NULL REFERENCES cook_run(id), position INTEGER NOT NULL, name TEXT NOT NULL,
  recipe_id TEXT NOT NULL, food_id TEXT NOT NULL, appliance_id TEXT NOT NULL, person TEXT NOT NULL,
  starts_s REAL NOT NULL, serve_s REAL, planned_json TEXT NOT NULL, judged_json TEXT NOT NULL, told_json TEXT NOT NULL,
  accepted INTEGER, created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE INDEX IF NOT EXISTS cook_by_run ON cook(run_id, position);
CREATE INDEX IF NOT EXISTS cook_by_recipe ON cook(recipe_id, created_at_ms);
CREATE TABLE IF NOT EXISTS cook_entry(
  cook_id TEXT NOT NULL REFERENCES cook(id), number INTEGER NOT NULL, at_s REAL NOT NULL, what TEXT NOT NULL,
  value REAL NOT NULL, words TEXT NOT NULL, PRIMARY KEY(cook_id, number)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS cook_reading(
  cook_id TEXT NOT NULL REFERENCES cook(id), at_s REAL NOT NULL, core_k REAL NOT NULL,
  PRIMARY KEY(cook_id, at_s)) WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS log_line(
  id INTEGER PRIMARY KEY, kind TEXT NOT NULL, ref TEXT NOT NULL, at_ms INTEGER NOT NULL, appliance_id TEXT NOT NULL,
  food_id TEXT NOT NULL, person TEXT NOT NULL, title TEXT NOT NULL, words TEXT NOT NULL, hidden INTEGER NOT NULL);
CREATE UNIQUE INDEX IF NOT EXISTS log_line_of ON log_line(kind, ref);
CREATE INDEX IF NOT EXISTS log_line_by_day ON log_line(at_ms) WHERE hidden = 0;
CREATE VIRTUAL TABLE IF NOT EXISTS log_text USING fts5(
  title, words, content='log_line', content_rowid='id', tokenize='unicode61 remove_diacritics 2');
CREATE TRIGGER IF NOT EXISTS log_line_added AFTER INSERT ON log_line BEGIN
  INSERT INTO log_text(rowid, title, words) VALUES (NEW.id, NEW.title, NEW.words);
END;
CREATE TRIGGER IF NOT EXISTS log_line_changed AFTER UPDATE OF title, words ON log_line BEGIN
  INSERT INTO log_text(log_text, rowid, title, words) VALUES ('delete', OLD.id, OLD.title, OLD.words);
  INSERT INTO log_text(rowid, title, words) VALUES (NEW.id, NEW.title, NEW.words);
END;
CREATE TRIGGER IF NOT EXISTS log_test_added AFTER INSERT ON test BEGIN
  INSERT OR IGNORE INTO log_line(kind, ref, at_ms, appliance_id, food_id, person, title, words, hidden)
    SELECT 'test', NEW.id, NEW.started_at_ms, NEW.appliance_id, '', coalesce(NEW.operator, ''),
      coalesce((SELECT name FROM appliance WHERE id = NEW.appliance_id), ''),
      trim(NEW.protocol || ' ' || NEW.setting || ' ' || NEW.zone || ' ' || coalesce(NEW.fuel, '')),
      NEW.withdrawn_at_ms IS NOT NULL;
END;
CREATE TRIGGER IF NOT EXISTS log_test_withdrawn AFTER UPDATE OF withdrawn_at_ms ON test BEGIN
  UPDATE log_line SET hidden = NEW.withdrawn_at_ms IS NOT NULL WHERE kind = 'test' AND ref = NEW.id;
END;
CREATE TRIGGER IF NOT EXISTS log_reduction_added AFTER INSERT ON reduction BEGIN
  UPDATE log_line SET words = words || char(10) || NEW.sentence WHERE kind = 'test' AND ref = NEW.test_id;
END;
CREATE TRIGGER IF NOT EXISTS log_cook_withdrawn AFTER UPDATE OF withdrawn_at_ms ON cook BEGIN
  UPDATE log_line SET hidden = NEW.withdrawn_at_ms IS NOT NULL WHERE kind = 'cook' AND ref = NEW.id;
END;
INSERT OR IGNORE INTO log_line(kind, ref, at_ms, appliance_id, food_id, person, title, words, hidden)
  SELECT 'test', t.id, t.started_at_ms, t.appliance_id, '', coalesce(t.operator, ''), coalesce(a.name, ''),
    trim(t.protocol || ' ' || t.setting || ' ' || t.zone || ' ' || coalesce(t.fuel, '')) ||
      coalesce((SELECT char(10) || group_concat(r.sentence, char(10)) FROM reduction r WHERE r.test_id = t.id), ''),
    t.withdrawn_at_ms IS NOT NULL
  FROM test t LEFT JOIN appliance a ON a.id = t.appliance_id;
