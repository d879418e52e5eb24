-- What is counted of each area is read from one index.
CREATE INDEX entry_status_groups ON entry_status (area, state, due, open_defects);
