-- Names that may stand once only are looked up: virtual columns, since stored ones cannot be added to a filled table.
ALTER TABLE area ADD COLUMN name TEXT GENERATED ALWAYS AS (json_extract(body, '$.name')) VIRTUAL;
CREATE INDEX area_name ON area (name);
ALTER TABLE enclosure ADD COLUMN tag TEXT GENERATED ALWAYS AS (json_extract(body, '$.tag')) VIRTUAL;
CREATE INDEX enclosure_tag ON enclosure (tag);
