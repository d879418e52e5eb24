-- What time runs against at an entry, as JSON; '' at most of them, which the index leaves out.
ALTER TABLE entry_status ADD COLUMN clocks TEXT NOT NULL DEFAULT '';
CREATE INDEX entry_status_clocks ON entry_status (entry) WHERE clocks <> '';
