-- One site in one file: its journal, its records, its photos' hashes; it proves itself alone.

-- Every accepted command in server order, hash-chained. Lines of the program itself (migrated, checkpoint) stand
-- between them.
CREATE TABLE journal (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  received_at TEXT NOT NULL,
  person TEXT NOT NULL,
  -- The command as applied, canonical JSON.
  command TEXT NOT NULL,
  -- SHA-256 of the command as sent, to tell a repetition from another command of the same id.
  sent TEXT NOT NULL,
  prev TEXT NOT NULL,
  hash TEXT NOT NULL UNIQUE
) STRICT;

-- Commands taken before the site had a file of its own: a device that repeats one is answered as before.
CREATE TABLE earlier (
  id TEXT PRIMARY KEY,
  sent TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE photo (
  id TEXT PRIMARY KEY,
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  -- Hash of the file as stored, after its metadata was taken out.
  sha256 TEXT NOT NULL,
  -- Hash of the bytes as sent, to tell a repetition from another photo of the same id.
  sent TEXT NOT NULL
) STRICT;

-- Records: the body is the truth; columns that others look up or point at are derived from it.
CREATE TABLE site (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL
) STRICT;

CREATE TABLE area (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  name TEXT GENERATED ALWAYS AS (json_extract(body, '$.name')) STORED
) STRICT;
CREATE INDEX area_site ON area (site);
CREATE INDEX area_name ON area (name);

CREATE TABLE enclosure (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  area TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.area')) STORED REFERENCES area (id) DEFERRABLE INITIALLY DEFERRED,
  tag TEXT GENERATED ALWAYS AS (json_extract(body, '$.tag')) STORED
) STRICT;
CREATE INDEX enclosure_site ON enclosure (site);
CREATE INDEX enclosure_area ON enclosure (area);
CREATE INDEX enclosure_tag ON enclosure (tag);

CREATE TABLE cable (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX cable_site ON cable (site);

CREATE TABLE certificate (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX certificate_site ON certificate (site);

CREATE TABLE instrument (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX instrument_site ON instrument (site);

CREATE TABLE entry (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  enclosure TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.enclosure')) STORED REFERENCES enclosure (id) DEFERRABLE INITIALLY DEFERRED,
  certificate TEXT GENERATED ALWAYS AS (json_extract(body, '$.certificate')) STORED REFERENCES certificate (id) DEFERRABLE INITIALLY DEFERRED,
  cable TEXT GENERATED ALWAYS AS (json_extract(body, '$.cable')) STORED REFERENCES cable (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX entry_site ON entry (site);
CREATE INDEX entry_enclosure ON entry (enclosure);
CREATE INDEX entry_certificate ON entry (certificate);
CREATE INDEX entry_cable ON entry (cable);

CREATE TABLE round (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX round_site ON round (site);

CREATE TABLE reading (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED,
  instrument TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.instrument')) STORED REFERENCES instrument (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX reading_site ON reading (site);
CREATE INDEX reading_entry ON reading (entry, round);
CREATE INDEX reading_round ON reading (round);
CREATE INDEX reading_instrument ON reading (instrument);

CREATE TABLE look (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED,
  photo TEXT GENERATED ALWAYS AS (json_extract(body, '$.photo')) STORED REFERENCES photo (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX look_site ON look (site);
CREATE INDEX look_entry ON look (entry, round);
CREATE INDEX look_round ON look (round);

CREATE TABLE pour (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX pour_site ON pour (site);
CREATE INDEX pour_entry ON pour (entry, round);
CREATE INDEX pour_round ON pour (round);

CREATE TABLE makeoff (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX makeoff_site ON makeoff (site);
CREATE INDEX makeoff_entry ON makeoff (entry, round);
CREATE INDEX makeoff_round ON makeoff (round);

CREATE TABLE insulation (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  cable TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.cable')) STORED REFERENCES cable (id) DEFERRABLE INITIALLY DEFERRED,
  instrument TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.instrument')) STORED REFERENCES instrument (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX insulation_site ON insulation (site);
CREATE INDEX insulation_cable ON insulation (cable);
CREATE INDEX insulation_instrument ON insulation (instrument);
CREATE INDEX insulation_entry ON insulation (entry);

CREATE TABLE continuity (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  cable TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.cable')) STORED REFERENCES cable (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX continuity_site ON continuity (site);
CREATE INDEX continuity_cable ON continuity (cable);

CREATE TABLE packing (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX packing_site ON packing (site);
CREATE INDEX packing_entry ON packing (entry);

CREATE TABLE asleft (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX asleft_site ON asleft (site);
CREATE INDEX asleft_entry ON asleft (entry, round);
CREATE INDEX asleft_round ON asleft (round);

CREATE TABLE reference (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX reference_site ON reference (site);

CREATE TABLE inspection (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX inspection_site ON inspection (site);
CREATE INDEX inspection_entry ON inspection (entry, round);
CREATE INDEX inspection_round ON inspection (round);

CREATE TABLE defect (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED,
  due TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.due')) STORED
) STRICT;
CREATE INDEX defect_site ON defect (site, due);
CREATE INDEX defect_entry ON defect (entry, round);
CREATE INDEX defect_round ON defect (round);

CREATE TABLE change (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX change_site ON change (site);

-- Derived from the records; can be rebuilt at any time.
CREATE TABLE entry_status (
  entry TEXT PRIMARY KEY,
  body TEXT NOT NULL
) STRICT;

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
