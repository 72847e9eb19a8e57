-- Version 5: a recipe is one JSON value of uniform stages (docs/formats.md), the last of them a stage like the others.
-- Older programs would not find it.
ALTER TABLE recipe ADD COLUMN recipe_json TEXT NOT NULL DEFAULT '{}';
UPDATE recipe SET recipe_json = json_object(
  'name', name, 'author', author, 'text', text,
  'piece', json_patch(json(CASE WHEN json_valid(piece_json) THEN piece_json ELSE '{}' END), json_object(
    'food', food_id, 'form', form, 'shape', shape, 'thickness_m', thickness_m, 'start_k', start_k)),
  'goal', json_object('core_k', core_k, 'read_at', read_at, 'band_low_k', band_low_k, 'band_high_k', band_high_k,
    'words', goal_words),
  'stages', json_insert(
    (SELECT json_group_array(json_patch(
        json_object('appliance', json_extract(value, '$.appliance_id'), 'vessel', json_extract(value, '$.vessel_id')),
        json_remove(value, '$.appliance_id', '$.vessel_id')))
      FROM json_each(CASE WHEN json_valid(stages_json) THEN stages_json ELSE '{}' END, '$.before')),
    '$[#]', json_object(
      'appliance', appliance_id, 'setting', setting, 'zone', zone, 'vessel', coalesce(vessel_id, ''),
      'lid_open', json(iif(json_valid(stages_json) AND json_extract(stages_json, '$.last_lid_open'), 'true', 'false')),
      'ends_after_s', iif(json_valid(stages_json), coalesce(json_extract(stages_json, '$.last_for_s'), 0), 0))),
  'rest', json(iif(json_valid(stages_json), coalesce(json_extract(stages_json, '$.rest'), '{}'), '{}')));
ALTER TABLE recipe DROP COLUMN name;
ALTER TABLE recipe DROP COLUMN author;
ALTER TABLE recipe DROP COLUMN text;
ALTER TABLE recipe DROP COLUMN appliance_id;
ALTER TABLE recipe DROP COLUMN setting;
ALTER TABLE recipe DROP COLUMN zone;
ALTER TABLE recipe DROP COLUMN vessel_id;
ALTER TABLE recipe DROP COLUMN food_id;
ALTER TABLE recipe DROP COLUMN form;
ALTER TABLE recipe DROP COLUMN shape;
ALTER TABLE recipe DROP COLUMN thickness_m;
ALTER TABLE recipe DROP COLUMN start_k;
ALTER TABLE recipe DROP COLUMN core_k;
ALTER TABLE recipe DROP COLUMN read_at;
ALTER TABLE recipe DROP COLUMN band_low_k;
ALTER TABLE recipe DROP COLUMN band_high_k;
ALTER TABLE recipe DROP COLUMN goal_words;
ALTER TABLE recipe DROP COLUMN piece_json;
ALTER TABLE recipe DROP COLUMN stages_json;
UPDATE book_info SET value = '5' WHERE key = 'min_reader';
