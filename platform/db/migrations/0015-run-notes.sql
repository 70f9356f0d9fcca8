-- What was seen at a run, in words and in pictures.
ALTER TABLE run ADD COLUMN note text NOT NULL DEFAULT '';
ALTER TABLE file_use ADD COLUMN run_id uuid REFERENCES run ON DELETE CASCADE;
CREATE INDEX ON file_use (run_id);

-- What was seen at a build that was good, and what was not.
ALTER TABLE build ADD COLUMN good text NOT NULL DEFAULT '';
ALTER TABLE build ADD COLUMN not_good text NOT NULL DEFAULT '';
