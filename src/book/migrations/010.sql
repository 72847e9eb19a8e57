-- Version 10: menus. A dish names its recipe by id and its place as the kitchen has it; both may be gone later. The
-- test day that is under way stands in book_info ("test_day"). Older programs see a book without menus.
CREATE TABLE IF NOT EXISTS menu(
  id TEXT PRIMARY KEY, position INTEGER NOT NULL, menu_json TEXT NOT NULL, created_at_ms INTEGER NOT NULL,
  withdrawn_at_ms INTEGER);
