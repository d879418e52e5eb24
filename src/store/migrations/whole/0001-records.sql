-- Journal: every accepted command in server order, hash-chained.
CREATE TABLE journal (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  site TEXT NOT NULL,
  received_at TEXT NOT NULL,
  person TEXT NOT NULL,
  -- The command as applied, canonical JSON.
  command TEXT NOT NULL,
  -- SHA-256 of the command as sent, to tell a repetition from another command of the same id.
  sent TEXT NOT NULL,
  prev TEXT NOT NULL,
  hash TEXT NOT NULL UNIQUE
) STRICT;

CREATE INDEX journal_site ON journal (site, seq);

-- Records: the body is the truth; columns that others look up or point at are derived from it.
CREATE TABLE site (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL
) STRICT;

CREATE TABLE area (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX area_site ON area (site);

CREATE TABLE enclosure (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  area TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.area')) STORED REFERENCES area (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX enclosure_site ON enclosure (site);
CREATE INDEX enclosure_area ON enclosure (area);

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
CREATE INDEX reading_entry ON reading (entry);
CREATE INDEX reading_round ON reading (round);
CREATE INDEX reading_instrument ON reading (instrument);

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

CREATE TABLE look (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED,
  photo TEXT GENERATED ALWAYS AS (json_extract(body, '$.photo')) STORED REFERENCES photo (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX look_site ON look (site);
CREATE INDEX look_entry ON look (entry);
CREATE INDEX look_round ON look (round);

CREATE TABLE inspection (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX inspection_site ON inspection (site);
CREATE INDEX inspection_entry ON inspection (entry);
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
CREATE INDEX defect_entry ON defect (entry);
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
  site TEXT NOT NULL,
  body TEXT NOT NULL
) STRICT;
CREATE INDEX entry_status_site ON entry_status (site);

CREATE TABLE person (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL UNIQUE COLLATE NOCASE,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
