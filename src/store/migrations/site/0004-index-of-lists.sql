-- What lists, counts and searches read. All of it is derived from the records, and can be made anew at any time.

-- How often everything was marked to be judged anew: a status of before is stale.
CREATE TABLE judging (
  generation INTEGER NOT NULL
) STRICT;
INSERT INTO judging (generation) VALUES (1);

-- What can be found: a row per record, what it is called and what else is known of it.
CREATE TABLE listed (
  row INTEGER PRIMARY KEY,
  of_table TEXT NOT NULL,
  id TEXT NOT NULL,
  -- Title by which it is sorted: as people count, P-9 before P-10.
  name TEXT NOT NULL,
  title TEXT NOT NULL,
  words TEXT NOT NULL,
  UNIQUE (of_table, id)
) STRICT;
CREATE INDEX listed_name ON listed (of_table, name, row);

-- Parts of tags, and beginnings of words.
CREATE VIRTUAL TABLE found_tag USING fts5 (title, content = 'listed', content_rowid = 'row', tokenize = 'trigram');
CREATE VIRTUAL TABLE found_word USING fts5 (title, words, content = 'listed', content_rowid = 'row', tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');

CREATE TRIGGER listed_added AFTER INSERT ON listed BEGIN
  INSERT INTO found_tag (rowid, title) VALUES (new.row, new.title);
  INSERT INTO found_word (rowid, title, words) VALUES (new.row, new.title, new.words);
END;
CREATE TRIGGER listed_removed AFTER DELETE ON listed BEGIN
  INSERT INTO found_tag (found_tag, rowid, title) VALUES ('delete', old.row, old.title);
  INSERT INTO found_word (found_word, rowid, title, words) VALUES ('delete', old.row, old.title, old.words);
END;
CREATE TRIGGER listed_changed AFTER UPDATE ON listed BEGIN
  INSERT INTO found_tag (found_tag, rowid, title) VALUES ('delete', old.row, old.title);
  INSERT INTO found_word (found_word, rowid, title, words) VALUES ('delete', old.row, old.title, old.words);
  INSERT INTO found_tag (rowid, title) VALUES (new.row, new.title);
  INSERT INTO found_word (rowid, title, words) VALUES (new.row, new.title, new.words);
END;

-- Where each entry stands, with what lists ask of it as columns.
DROP TABLE entry_status;
CREATE TABLE entry_status (
  -- That of `listed`.
  row INTEGER PRIMARY KEY,
  entry TEXT NOT NULL UNIQUE,
  body TEXT NOT NULL,
  day TEXT NOT NULL,
  generation INTEGER NOT NULL,
  name TEXT NOT NULL,
  area TEXT NOT NULL,
  area_name TEXT NOT NULL,
  enclosure TEXT NOT NULL,
  kind TEXT NOT NULL,
  -- The state that stands, the worst first.
  state INTEGER NOT NULL,
  sealed_at TEXT,
  sealed_state TEXT,
  running_round TEXT,
  -- Day on which it is due; '0' for the initial inspection, '9' where nothing is asked for.
  due TEXT NOT NULL,
  -- When it was last looked at; '' for never.
  seen TEXT NOT NULL,
  open_defects INTEGER NOT NULL,
  worst INTEGER NOT NULL,
  changes_at TEXT
) STRICT;
CREATE INDEX entry_status_name ON entry_status (name, row);
CREATE INDEX entry_status_area ON entry_status (area, name, row);
CREATE INDEX entry_status_area_name ON entry_status (area_name, name, row);
CREATE INDEX entry_status_state ON entry_status (state, name, row);
CREATE INDEX entry_status_due ON entry_status (due, name, row);
CREATE INDEX entry_status_seen ON entry_status (seen DESC, row);
CREATE INDEX entry_status_kind ON entry_status (kind, name, row);
CREATE INDEX entry_status_generation ON entry_status (generation);
CREATE INDEX entry_status_changes ON entry_status (changes_at) WHERE changes_at IS NOT NULL;

-- Rounds by the entries that belong to them.
CREATE TABLE round_entries (
  value TEXT NOT NULL,
  record TEXT NOT NULL,
  PRIMARY KEY (value, record)
) STRICT, WITHOUT ROWID;
CREATE INDEX round_entries_record ON round_entries (record);
INSERT INTO round_entries (value, record) SELECT DISTINCT one.value, round.id FROM round, json_each(round.body, '$.entries') AS one;
CREATE TRIGGER round_added AFTER INSERT ON round BEGIN
  INSERT OR IGNORE INTO round_entries (value, record) SELECT value, new.id FROM json_each(new.body, '$.entries');
END;
CREATE TRIGGER round_removed AFTER DELETE ON round BEGIN
  DELETE FROM round_entries WHERE record = old.id;
END;
CREATE TRIGGER round_changed AFTER UPDATE ON round BEGIN
  DELETE FROM round_entries WHERE record = old.id;
  INSERT OR IGNORE INTO round_entries (value, record) SELECT value, new.id FROM json_each(new.body, '$.entries');
END;

-- What lists of defects ask.
ALTER TABLE defect ADD COLUMN state TEXT GENERATED ALWAYS AS (json_extract(body, '$.state')) VIRTUAL;
ALTER TABLE defect ADD COLUMN severity INTEGER GENERATED ALWAYS AS (json_extract(body, '$.severity')) VIRTUAL;
CREATE INDEX defect_due ON defect (due, id);
CREATE INDEX defect_state ON defect (state, due, id);
CREATE INDEX defect_severity ON defect (severity DESC, due, id);

-- Transits are asked for by their kind.
ALTER TABLE entry ADD COLUMN kind TEXT GENERATED ALWAYS AS (json_extract(body, '$.kind')) VIRTUAL;
CREATE INDEX entry_kind ON entry (kind);
