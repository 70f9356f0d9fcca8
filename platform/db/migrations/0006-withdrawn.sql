-- What was taken out of a project, kept whole, so that it can be brought back.
CREATE TABLE withdrawn (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  kind text NOT NULL,
  label text NOT NULL,
  -- Whose it is, where a student may bring it back.
  team_id uuid REFERENCES team ON DELETE CASCADE,
  person_id uuid REFERENCES person ON DELETE CASCADE,
  reason text NOT NULL DEFAULT '',
  -- References to it that were let go, to be taken up again.
  links jsonb NOT NULL DEFAULT '[]',
  withdrawn_by text NOT NULL,
  withdrawn_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON withdrawn (project_id);
CREATE TABLE withdrawn_row (
  withdrawn_id uuid NOT NULL REFERENCES withdrawn ON DELETE CASCADE,
  place int NOT NULL,
  table_name text NOT NULL,
  content jsonb NOT NULL,
  PRIMARY KEY (withdrawn_id, place)
);

-- Put away: off the list of projects, nothing gone.
ALTER TABLE project ADD archived_at timestamptz;
-- When its bundle was last made: a project is deleted only with a bundle of what it holds now.
ALTER TABLE project ADD bundled_at timestamptz;

-- A review is of the newest build until one is chosen for it, or its first sheet is handed in.
ALTER TABLE review ADD build_chosen boolean NOT NULL DEFAULT false;
UPDATE review r SET build_chosen = true WHERE verdict IS NOT NULL OR EXISTS (SELECT FROM sheet WHERE review_id = r.id);

-- A rule of a brief that a person said is no requirement: NULL.
ALTER TABLE brief_rule ALTER requirement_id DROP NOT NULL;

-- Which choice decided a concept's fate.
ALTER TABLE concept_fate ADD selection_id uuid REFERENCES selection ON DELETE SET NULL;
