-- Version 13: how many vessels there are that are like this one; without a row one. A plan holds one dish in each. Older
-- programs read past it and leave it as it is.
CREATE TABLE IF NOT EXISTS vessel_count(
  vessel_id TEXT PRIMARY KEY REFERENCES vessel(id), count INTEGER NOT NULL CHECK(count > 1));
