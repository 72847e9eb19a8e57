-- Version 8: what a hob's own electronics do to it, 0 = nothing: how long its highest mark lasts, where its pan limiter
-- stops, what it shares with the zone beside it. Older programs read past it and leave it as it is.
CREATE TABLE IF NOT EXISTS hob_limit(
  appliance_id TEXT PRIMARY KEY REFERENCES appliance(id),
  boost_s REAL NOT NULL, pan_limit_k REAL NOT NULL, shared_input_w REAL NOT NULL);
