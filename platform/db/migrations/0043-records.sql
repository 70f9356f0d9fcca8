-- A model that is kept when its project is over: on which shelf it stands, and what became of it.
CREATE TABLE artefact (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  build_id uuid REFERENCES build ON DELETE SET NULL,
  name text NOT NULL,
  place text NOT NULL DEFAULT '',
  note text NOT NULL DEFAULT '',
  scrapped_on date,
  scrapped_why text NOT NULL DEFAULT '',
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON artefact (project_id);
CREATE INDEX ON artefact (build_id);

-- Who has it meanwhile.
CREATE TABLE artefact_loan (
  id uuid PRIMARY KEY,
  artefact_id uuid NOT NULL REFERENCES artefact ON DELETE CASCADE,
  lent_to text NOT NULL,
  lent_on date NOT NULL,
  due_on date,
  back_on date,
  lent_by text NOT NULL,
  version int NOT NULL DEFAULT 1,
  CONSTRAINT artefact_loan_due CHECK (due_on >= lent_on),
  CONSTRAINT artefact_loan_back CHECK (back_on >= lent_on)
);
CREATE UNIQUE INDEX artefact_loan_one ON artefact_loan (artefact_id) WHERE back_on IS NULL;
CREATE INDEX ON artefact_loan (artefact_id);

-- How a good build is made again, step by step.
CREATE TABLE build_guide (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  title text NOT NULL,
  intro text NOT NULL DEFAULT '',
  -- Where places are measured from.
  datum text NOT NULL DEFAULT '',
  cautions text NOT NULL DEFAULT '',
  written_by text NOT NULL,
  written_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON build_guide (project_id);
CREATE INDEX ON build_guide (build_id);

CREATE TABLE guide_step (
  id uuid PRIMARY KEY,
  guide_id uuid NOT NULL REFERENCES build_guide ON DELETE CASCADE,
  place int NOT NULL,
  what text NOT NULL,
  part_id uuid REFERENCES part_line ON DELETE SET NULL,
  count int NOT NULL DEFAULT 1 CHECK (count BETWEEN 1 AND 9999),
  -- x, y and z from the datum, in metres; and as it was typed.
  at numeric[] CHECK (cardinality(at) = 3),
  at_entered text NOT NULL DEFAULT '',
  caution text NOT NULL DEFAULT '',
  photo_id uuid REFERENCES file_use ON DELETE SET NULL,
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON guide_step (guide_id, place);
CREATE INDEX ON guide_step (part_id);
CREATE INDEX ON guide_step (photo_id);

-- An award as it was given: what for, to whom, and what stands on the trophy. Those of no kind are the class's own.
CREATE TABLE honour (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  kind text CHECK (
    kind IN ('champion', 'best', 'judged', 'race', 'lightest', 'improved', 'records', 'favourite')
  ),
  title text NOT NULL,
  says text NOT NULL DEFAULT '',
  engraved text NOT NULL,
  given_on date NOT NULL,
  given_by text NOT NULL,
  version int NOT NULL DEFAULT 1,
  CONSTRAINT honour_once UNIQUE (project_id, team_id, title)
);
CREATE INDEX ON honour (team_id);
