-- Work on an entry, step by step.
CREATE TABLE makeoff (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX makeoff_site ON makeoff (site);
CREATE INDEX makeoff_entry ON makeoff (entry);
CREATE INDEX makeoff_round ON makeoff (round);

-- Sheets, sizes and entries have gained fields.
UPDATE setting SET value = '0' WHERE key = 'records.completed';
