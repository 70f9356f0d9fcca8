-- A generation that one student made alone, before the team's are brought together; and a build of the edition before
-- that it was made from.
ALTER TABLE build ADD COLUMN maker_id uuid REFERENCES person ON DELETE SET NULL;
ALTER TABLE build ADD COLUMN from_edition uuid REFERENCES build ON DELETE SET NULL;
CREATE INDEX ON build (maker_id);
CREATE INDEX ON build (from_edition);
