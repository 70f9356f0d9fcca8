-- Grades that anybody can check: lateness and extensions, peers, reasons of a scheme, withdrawn publications, appeals.
ALTER TABLE entered_mark ADD COLUMN late int NOT NULL DEFAULT 0 CHECK (late >= 0);
ALTER TABLE scheme_version ADD COLUMN why text NOT NULL DEFAULT '';

-- More class sessions for one student's component.
CREATE TABLE extension (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  component text NOT NULL,
  sessions int NOT NULL CHECK (sessions > 0),
  reason text NOT NULL CHECK (reason <> ''),
  granted_by text NOT NULL,
  granted_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CONSTRAINT extension_once UNIQUE (project_id, person_id, component)
);
CREATE INDEX ON extension (person_id);

-- Students rate their team, for the instructor's eyes only.
CREATE TABLE peer_round (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  method text NOT NULL CHECK (method IN ('ratings', 'shares')),
  opened_at timestamptz NOT NULL DEFAULT app_now(),
  closed_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CONSTRAINT peer_round_title UNIQUE (project_id, title)
);
CREATE TABLE peer_rating (
  round_id uuid NOT NULL REFERENCES peer_round ON DELETE CASCADE,
  rater_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  ratee_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  value int NOT NULL CHECK (value BETWEEN 0 AND 100),
  comment text NOT NULL DEFAULT '',
  rated_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (round_id, rater_id, ratee_id),
  CHECK (rater_id <> ratee_id)
);
CREATE INDEX ON peer_rating (rater_id);
CREATE INDEX ON peer_rating (ratee_id);

-- A version that is taken back stays, and says so.
ALTER TABLE publication
  ADD COLUMN withdrawn_at timestamptz,
  ADD COLUMN withdrawn_by text,
  ADD COLUMN withdrawn_reason text,
  ADD COLUMN version int NOT NULL DEFAULT 1,
  ADD CHECK ((withdrawn_at IS NULL) = (withdrawn_by IS NULL));

-- A student asks to look at a grade again; the answer stands beside it.
CREATE TABLE appeal (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  publication_id uuid NOT NULL REFERENCES publication ON DELETE CASCADE,
  -- Empty for the grade as a whole.
  component text NOT NULL DEFAULT '',
  words text NOT NULL CHECK (words <> ''),
  filed_at timestamptz NOT NULL DEFAULT app_now(),
  outcome text CHECK (outcome IN ('stands', 'changed')),
  answer text NOT NULL DEFAULT '',
  answered_by text,
  answered_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CHECK ((outcome IS NULL) = (answered_at IS NULL))
);
CREATE INDEX ON appeal (project_id);
CREATE INDEX ON appeal (person_id);
CREATE INDEX ON appeal (publication_id);
