-- Insulation tests belong to the end that is made off, and conductors are traced from end to end.
ALTER TABLE insulation ADD COLUMN
  entry TEXT GENERATED ALWAYS AS (json_extract(body, '$.entry')) VIRTUAL REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED;
CREATE INDEX insulation_entry ON insulation (entry);

CREATE TABLE continuity (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  cable TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.cable')) STORED REFERENCES cable (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX continuity_site ON continuity (site);
CREATE INDEX continuity_cable ON continuity (cable);

-- Cables, sizes and tests have gained fields.
UPDATE setting SET value = '0' WHERE key = 'records.completed';
