-- Insulation tests of mineral-insulated cables.
CREATE TABLE insulation (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  cable TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.cable')) STORED REFERENCES cable (id) DEFERRABLE INITIALLY DEFERRED,
  instrument TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.instrument')) STORED REFERENCES instrument (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX insulation_site ON insulation (site);
CREATE INDEX insulation_cable ON insulation (cable);
CREATE INDEX insulation_instrument ON insulation (instrument);

-- Cables have gained a field.
UPDATE setting SET value = '0' WHERE key = 'records.completed';
