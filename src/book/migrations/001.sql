-- The kitchen book, version 1. Units stand in column names; times are UTC milliseconds with the
-- writer's offset beside them; nothing is deleted: withdrawn_at_ms hides a row.
CREATE TABLE site(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, altitude_m REAL NOT NULL, ambient_k REAL NOT NULL,
  relative_humidity REAL NOT NULL, wind_m_s REAL NOT NULL, measured_pressure_pa REAL,
  gas_heating_value_j_m3 REAL NOT NULL, gas_pressure_pa REAL NOT NULL, mains_voltage_v REAL NOT NULL,
  created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE instrument(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, accuracy REAL NOT NULL, resolution REAL NOT NULL,
  low_limit REAL, high_limit REAL, damage_limit REAL, diameter_m REAL NOT NULL, response_in_air_s REAL NOT NULL,
  response_in_food_s REAL NOT NULL, emissivity_set REAL NOT NULL, band_low_um REAL NOT NULL,
  band_high_um REAL NOT NULL, spot_ratio REAL NOT NULL, created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE calibration(
  id TEXT PRIMARY KEY, instrument_id TEXT NOT NULL REFERENCES instrument(id), valid_from_ms INTEGER NOT NULL,
  offset_si REAL NOT NULL, gain REAL NOT NULL, u_si REAL NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE vessel(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, material TEXT NOT NULL, mass_kg REAL NOT NULL,
  specific_heat_j_kgk REAL NOT NULL, base_diameter_m REAL NOT NULL, base_thickness_m REAL NOT NULL,
  emissivity REAL NOT NULL, highest_temperature_k REAL, created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE insert_part(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, created_at_ms INTEGER NOT NULL,
  withdrawn_at_ms INTEGER);
CREATE TABLE appliance(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, site_id TEXT NOT NULL REFERENCES site(id),
  rated_input_w REAL NOT NULL, capacity_m2 REAL NOT NULL, standard_vessel_id TEXT REFERENCES vessel(id),
  asset_number TEXT NOT NULL, notes TEXT NOT NULL, settling_time_s REAL NOT NULL, position INTEGER NOT NULL,
  created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE control(
  appliance_id TEXT NOT NULL REFERENCES appliance(id), position INTEGER NOT NULL, key TEXT NOT NULL,
  kind TEXT NOT NULL, low REAL NOT NULL, high REAL NOT NULL, step REAL NOT NULL, dial_unit TEXT NOT NULL,
  labels_json TEXT NOT NULL, burners_json TEXT NOT NULL, PRIMARY KEY(appliance_id, position));
CREATE TABLE zone(
  appliance_id TEXT NOT NULL REFERENCES appliance(id), position INTEGER NOT NULL, name TEXT NOT NULL,
  direct INTEGER NOT NULL, PRIMARY KEY(appliance_id, position));
-- A test: what was done, under which conditions. A draft until a reduction of it is saved.
CREATE TABLE test(
  id TEXT PRIMARY KEY, appliance_id TEXT NOT NULL REFERENCES appliance(id), protocol TEXT NOT NULL,
  setting TEXT NOT NULL, zone TEXT NOT NULL, insert_id TEXT REFERENCES insert_part(id),
  vessel_id TEXT REFERENCES vessel(id), site_id TEXT REFERENCES site(id), operator TEXT, ambient_k REAL,
  wind_m_s REAL, fuel TEXT, lid_on INTEGER, fan_on INTEGER, values_json TEXT NOT NULL, typed_json TEXT NOT NULL,
  started_at_ms INTEGER NOT NULL, utc_offset_min INTEGER NOT NULL, created_at_ms INTEGER NOT NULL,
  withdrawn_at_ms INTEGER);
CREATE INDEX test_by_appliance ON test(appliance_id, created_at_ms);
CREATE TABLE log_file(
  test_id TEXT NOT NULL REFERENCES test(id), name TEXT NOT NULL, sha256 TEXT NOT NULL, dialect_json TEXT NOT NULL);
-- Readings as recorded, in the instrument's own unit: value = offset + scale * integer.
CREATE TABLE channel(
  id INTEGER PRIMARY KEY, test_id TEXT NOT NULL REFERENCES test(id), role TEXT NOT NULL, name TEXT NOT NULL,
  instrument_id TEXT REFERENCES instrument(id), unit TEXT NOT NULL, scale REAL NOT NULL, offset REAL NOT NULL,
  resolution REAL NOT NULL, reading_count INTEGER NOT NULL);
CREATE TABLE reading_block(
  channel_id INTEGER NOT NULL REFERENCES channel(id), position INTEGER NOT NULL, reading_count INTEGER NOT NULL,
  coding TEXT NOT NULL, times_ms BLOB NOT NULL, readings BLOB NOT NULL, PRIMARY KEY(channel_id, position));
CREATE TABLE keyed_reading(
  test_id TEXT NOT NULL REFERENCES test(id), role TEXT NOT NULL, position INTEGER NOT NULL, value_k REAL NOT NULL,
  typed TEXT NOT NULL, PRIMARY KEY(test_id, role, position));
-- A reduction: one algorithm's answer to one test. Never deleted, superseded by a newer one.
CREATE TABLE reduction(
  id TEXT PRIMARY KEY, test_id TEXT NOT NULL REFERENCES test(id), algorithm_version INTEGER NOT NULL,
  constants_json TEXT NOT NULL, calibration_id TEXT REFERENCES calibration(id),
  supersedes TEXT REFERENCES reduction(id), sentence TEXT NOT NULL, warnings_json TEXT NOT NULL,
  created_at_ms INTEGER NOT NULL, utc_offset_min INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE reduction_quantity(
  reduction_id TEXT NOT NULL REFERENCES reduction(id), position INTEGER NOT NULL, name TEXT NOT NULL,
  value_si REAL NOT NULL, unit TEXT NOT NULL, u_si REAL NOT NULL, u_type_a_si REAL NOT NULL,
  u_type_b_si REAL NOT NULL, dof REAL NOT NULL, bound TEXT NOT NULL, PRIMARY KEY(reduction_id, position));
CREATE TABLE field_number(
  reduction_id TEXT NOT NULL REFERENCES reduction(id), field_key TEXT NOT NULL, value_si REAL NOT NULL,
  u_si REAL NOT NULL, provenance TEXT NOT NULL, PRIMARY KEY(reduction_id, field_key));
CREATE TABLE field_covariance(
  reduction_id TEXT NOT NULL REFERENCES reduction(id), key_a TEXT NOT NULL, key_b TEXT NOT NULL,
  covariance_si REAL NOT NULL, PRIMARY KEY(reduction_id, key_a, key_b));
CREATE TABLE recipe(
  id TEXT PRIMARY KEY, name TEXT NOT NULL, author TEXT NOT NULL, text TEXT NOT NULL,
  appliance_id TEXT NOT NULL REFERENCES appliance(id), setting TEXT NOT NULL, zone TEXT NOT NULL,
  vessel_id TEXT REFERENCES vessel(id), food_id TEXT NOT NULL, form TEXT NOT NULL, shape TEXT NOT NULL,
  thickness_m REAL NOT NULL, start_k REAL NOT NULL, core_k REAL NOT NULL, read_at TEXT NOT NULL,
  band_low_k REAL NOT NULL, band_high_k REAL NOT NULL, goal_words TEXT NOT NULL, position INTEGER NOT NULL,
  created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
-- A translation is a snapshot of everything it was computed from and of the result; never recomputed in place.
CREATE TABLE translation(
  id TEXT PRIMARY KEY, recipe_id TEXT NOT NULL REFERENCES recipe(id), snapshot_json TEXT NOT NULL,
  model_version INTEGER NOT NULL, seed INTEGER NOT NULL, created_at_ms INTEGER NOT NULL,
  utc_offset_min INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE event(
  id TEXT PRIMARY KEY, subject_id TEXT NOT NULL, kind TEXT NOT NULL, at_ms INTEGER NOT NULL,
  utc_offset_min INTEGER NOT NULL, body_json TEXT NOT NULL, corrects TEXT REFERENCES event(id));
CREATE TABLE attachment(
  sha256 TEXT PRIMARY KEY, media_type TEXT NOT NULL, name TEXT NOT NULL, content BLOB NOT NULL);
CREATE TABLE correction(
  id TEXT PRIMARY KEY, subject_id TEXT NOT NULL, name TEXT NOT NULL, value REAL NOT NULL, u REAL NOT NULL,
  observations INTEGER NOT NULL, created_at_ms INTEGER NOT NULL, withdrawn_at_ms INTEGER);
CREATE TABLE book_info(key TEXT PRIMARY KEY, value TEXT NOT NULL);
