-- How transits are packed, one record per entry.
CREATE TABLE packing (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX packing_site ON packing (site);
CREATE INDEX packing_entry ON packing (entry);

-- Sheets and entries have gained fields.
UPDATE setting SET value = '0' WHERE key = 'records.completed';
