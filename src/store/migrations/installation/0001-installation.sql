-- What belongs to the installation and to no site.
CREATE TABLE person (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL UNIQUE COLLATE NOCASE,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

-- The sites, each with what a list says of it; derived from the sites' own files.
CREATE TABLE site (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  summary TEXT NOT NULL
) STRICT;
