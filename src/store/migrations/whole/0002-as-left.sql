-- Compound mixed and packed, what a closed entry hides, and a site's own references.
CREATE TABLE pour (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX pour_site ON pour (site);
CREATE INDEX pour_entry ON pour (entry);
CREATE INDEX pour_round ON pour (round);

CREATE TABLE asleft (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED,
  entry TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.entry')) STORED REFERENCES entry (id) DEFERRABLE INITIALLY DEFERRED,
  round TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.round')) STORED REFERENCES round (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX asleft_site ON asleft (site);
CREATE INDEX asleft_entry ON asleft (entry);
CREATE INDEX asleft_round ON asleft (round);

CREATE TABLE reference (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  site TEXT NOT NULL GENERATED ALWAYS AS (json_extract(body, '$.site')) STORED REFERENCES site (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX reference_site ON reference (site);

-- Records of an earlier day lack fields; the store fills them in once when it opens.
INSERT INTO setting (key, value) VALUES ('records.completed', '0');
