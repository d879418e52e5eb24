-- What seals rest on, each value once, by its content: the id is the SHA-256 of its canonical JSON.
CREATE TABLE frozen (
  id TEXT PRIMARY KEY,
  body TEXT NOT NULL
) STRICT;

-- Entries whose standing has to be judged again: derived like it.
CREATE TABLE stale (
  entry TEXT PRIMARY KEY
) STRICT, WITHOUT ROWID;
