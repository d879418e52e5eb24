-- The day by which an entry was judged: what depends on the date may stand otherwise on another.
ALTER TABLE entry_status ADD COLUMN day TEXT NOT NULL DEFAULT '';
