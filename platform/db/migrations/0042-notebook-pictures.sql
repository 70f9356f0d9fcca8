-- Pictures of a notebook's entry, with marks: numbered places on it, each with a few words.
ALTER TABLE file_use
  ADD COLUMN entry_id uuid REFERENCES notebook_entry ON DELETE CASCADE,
  ADD COLUMN marks jsonb NOT NULL DEFAULT '[]';
CREATE INDEX ON file_use (entry_id);
