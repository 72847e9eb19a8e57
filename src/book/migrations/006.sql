-- Version 6: a choice among a test's values is a word (docs/formats.md), no longer a number that stands for one.
-- Older programs would find a word where they look for a number.
UPDATE test SET values_json = json_set(values_json, '$.surface',
    CASE CAST(json_extract(values_json, '$.surface') AS INTEGER)
      WHEN 0 THEN 'plate' WHEN 1 THEN 'floor' WHEN 2 THEN 'lid' ELSE 'deflector' END)
  WHERE json_valid(values_json) AND json_type(values_json, '$.surface') IN ('integer', 'real');
UPDATE test SET values_json = json_remove(json_set(values_json, '$.material',
    iif(json_extract(values_json, '$.stone') <> 0, 'stone', 'metal')), '$.stone')
  WHERE json_valid(values_json) AND json_type(values_json, '$.stone') IN ('integer', 'real');
UPDATE test SET values_json = json_remove(json_set(values_json, '$.heat_from',
    iif(json_extract(values_json, '$.from_below') <> 0, 'below', 'above')), '$.from_below')
  WHERE json_valid(values_json) AND json_type(values_json, '$.from_below') IN ('integer', 'real');
UPDATE test SET values_json = json_remove(json_set(values_json, '$.medium',
    iif(json_extract(values_json, '$.liquid') <> 0, 'liquid', 'air')), '$.liquid')
  WHERE json_valid(values_json) AND json_type(values_json, '$.liquid') IN ('integer', 'real');
-- Without these, opening goes with the square of the number of tests.
CREATE INDEX IF NOT EXISTS reduction_by_test ON reduction(test_id);
CREATE INDEX IF NOT EXISTS reduction_by_superseded ON reduction(supersedes) WHERE supersedes IS NOT NULL;
CREATE INDEX IF NOT EXISTS channel_by_test ON channel(test_id);
UPDATE book_info SET value = '6' WHERE key = 'min_reader';
