-- The register of instruments: each as it stands, and the sites that it is lent to.
CREATE TABLE instrument (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL,
  -- Who last wrote it: their name stands under the versions that the sites get.
  by TEXT NOT NULL
) STRICT;

CREATE TABLE loan (
  instrument TEXT NOT NULL REFERENCES instrument (id),
  site TEXT NOT NULL,
  -- Command that the site's newest version is of, when both said the same.
  rev TEXT NOT NULL,
  PRIMARY KEY (instrument, site)
) STRICT, WITHOUT ROWID;
