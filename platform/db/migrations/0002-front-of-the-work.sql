-- The front of the work: brief rules, sources and statements, selection of concepts, forming of teams,
-- the plan as a network, gates, notebooks.

-- Brief --------------------------------------------------------------------------------------------------------------
CREATE TABLE brief_rule (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  -- The rule's words with every number replaced: a changed number keeps its link.
  key text NOT NULL,
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  PRIMARY KEY (project_id, key)
);
CREATE TABLE challenge (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  task text NOT NULL DEFAULT '',
  held_on date NOT NULL,
  measure text NOT NULL CHECK (measure <> ''),
  unit text NOT NULL DEFAULT '1',
  resolution numeric NOT NULL CHECK (resolution > 0),
  better text NOT NULL CHECK (better IN ('more', 'less')),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON challenge (project_id);
CREATE TABLE challenge_result (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  challenge_id uuid NOT NULL REFERENCES challenge ON DELETE CASCADE,
  who text NOT NULL CHECK (who <> ''),
  value numeric NOT NULL,
  entered text NOT NULL,
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON challenge_result (challenge_id);

-- Needs --------------------------------------------------------------------------------------------------------------
CREATE TABLE source (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('interview', 'observation', 'product', 'answer')),
  title text NOT NULL CHECK (title <> ''),
  who text NOT NULL DEFAULT '',
  held_on date NOT NULL,
  closed_at timestamptz,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON source (project_id);
CREATE TABLE question (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  text text NOT NULL CHECK (text <> ''),
  drafted_by text NOT NULL,
  drafter_id uuid REFERENCES person ON DELETE SET NULL,
  asker_id uuid REFERENCES person ON DELETE SET NULL,
  merged_into uuid REFERENCES question ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED,
  place int,
  -- Stands on the client's page until it is answered.
  for_client boolean NOT NULL DEFAULT false,
  statement_id uuid,
  dropped boolean NOT NULL DEFAULT false,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON question (project_id);
-- Notes carry an id made where they were typed, so that one sent twice, or late, is one.
CREATE TABLE note (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  source_id uuid NOT NULL REFERENCES source ON DELETE CASCADE,
  question_id uuid REFERENCES question ON DELETE SET NULL,
  text text NOT NULL CHECK (text <> ''),
  author_id uuid REFERENCES person ON DELETE SET NULL,
  author text NOT NULL,
  written_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON note (source_id);
CREATE INDEX ON note (project_id);
CREATE TABLE statement (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  text text NOT NULL CHECK (text <> ''),
  merged_into uuid REFERENCES statement ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED,
  requirement_id uuid REFERENCES requirement ON DELETE SET NULL,
  set_aside text,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON statement (project_id);
CREATE INDEX ON statement (requirement_id);
ALTER TABLE question ADD FOREIGN KEY (statement_id) REFERENCES statement ON DELETE SET NULL;
CREATE TABLE statement_note (
  statement_id uuid NOT NULL REFERENCES statement ON DELETE CASCADE,
  note_id uuid NOT NULL REFERENCES note ON DELETE CASCADE,
  PRIMARY KEY (statement_id, note_id)
);
CREATE INDEX ON statement_note (note_id);
CREATE TABLE statement_apart (
  a uuid NOT NULL REFERENCES statement ON DELETE CASCADE,
  b uuid NOT NULL REFERENCES statement ON DELETE CASCADE,
  told_by text NOT NULL,
  PRIMARY KEY (a, b),
  CHECK (a < b)
);
ALTER TABLE requirement ADD owner_id uuid REFERENCES person ON DELETE SET NULL;
CREATE TABLE baseline (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  number int NOT NULL,
  content jsonb NOT NULL,
  note text NOT NULL DEFAULT '',
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (project_id, number)
);
CREATE TABLE change_request (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  requirement_id uuid REFERENCES requirement ON DELETE CASCADE,
  what text NOT NULL CHECK (what <> ''),
  reason text NOT NULL,
  asked_by text NOT NULL,
  state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'accepted', 'declined')),
  decision text NOT NULL DEFAULT '',
  decided_by text,
  decided_at timestamptz,
  requirement_version int,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON change_request (project_id);

-- Concepts -----------------------------------------------------------------------------------------------------------
ALTER TABLE concept ADD dimensions text NOT NULL DEFAULT '';
ALTER TABLE concept DROP CONSTRAINT concept_fate_check;
ALTER TABLE concept ADD CHECK (fate IN ('open', 'goes on', 'set aside', 'merged'));
CREATE TABLE concept_parent (
  concept_id uuid NOT NULL REFERENCES concept ON DELETE CASCADE,
  parent_id uuid NOT NULL REFERENCES concept ON DELETE CASCADE,
  PRIMARY KEY (concept_id, parent_id),
  CHECK (concept_id <> parent_id)
);
CREATE TABLE concept_claim (
  concept_id uuid NOT NULL REFERENCES concept ON DELETE CASCADE,
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  says text NOT NULL CHECK (says IN ('yes', 'no', 'unsure')),
  how text NOT NULL DEFAULT '',
  estimate numeric,
  PRIMARY KEY (concept_id, requirement_id)
);
CREATE TABLE concept_fate (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  concept_id uuid NOT NULL REFERENCES concept ON DELETE CASCADE,
  fate text NOT NULL,
  reason text NOT NULL,
  decided_by text NOT NULL,
  decided_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON concept_fate (concept_id);
ALTER TABLE file_use ADD concept_id uuid REFERENCES concept ON DELETE CASCADE;
CREATE INDEX ON file_use (concept_id);
CREATE TABLE selection (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  school text NOT NULL CHECK (school IN ('client', 'panel', 'vote', 'weighted', 'datum')),
  definition jsonb NOT NULL,
  concepts uuid[] NOT NULL,
  closed_at timestamptz,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON selection (project_id);
CREATE TABLE selection_sheet (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  selection_id uuid NOT NULL REFERENCES selection ON DELETE CASCADE,
  rater_person uuid REFERENCES person ON DELETE SET NULL,
  rater_guest uuid REFERENCES guest_link ON DELETE SET NULL,
  rater_name text NOT NULL,
  marks jsonb NOT NULL,
  handed_in_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON selection_sheet (selection_id, rater_person) WHERE rater_person IS NOT NULL;
CREATE UNIQUE INDEX ON selection_sheet (selection_id, rater_guest) WHERE rater_guest IS NOT NULL;

-- Teams --------------------------------------------------------------------------------------------------------------
-- Teams and concepts name each other: checked at the end of a transaction, so that a bundle can bring both in.
ALTER TABLE team ADD concept_id uuid REFERENCES concept ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED;
CREATE TABLE trait (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  skills jsonb NOT NULL DEFAULT '{}',
  marked boolean NOT NULL DEFAULT false,
  PRIMARY KEY (project_id, person_id)
);
CREATE TABLE wish (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('person', 'idea')),
  target uuid NOT NULL,
  place int NOT NULL,
  PRIMARY KEY (project_id, person_id, kind, target)
);
CREATE TABLE team_constraint (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('apart', 'together', 'lock', 'forbidden')),
  people uuid[] NOT NULL CHECK (cardinality(people) > 0),
  -- For a lock and its opposite: a team, or the concept that a team works on.
  seat uuid,
  created_by text NOT NULL
);
CREATE INDEX ON team_constraint (project_id);
CREATE TABLE team_plan (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL,
  seed text NOT NULL,
  problem jsonb NOT NULL,
  assignment jsonb NOT NULL,
  cost jsonb NOT NULL,
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now(),
  adopted_at timestamptz,
  -- What stood before it was adopted, to undo it.
  before jsonb
);
CREATE INDEX ON team_plan (project_id);
CREATE TABLE part (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  role text NOT NULL DEFAULT '',
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON part (team_id, lower(name));
CREATE TABLE part_owner (
  part_id uuid NOT NULL REFERENCES part ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  PRIMARY KEY (part_id, person_id)
);

-- Plan ---------------------------------------------------------------------------------------------------------------
CREATE TABLE extra_session (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid REFERENCES section ON DELETE CASCADE,
  on_date date NOT NULL,
  reason text NOT NULL DEFAULT ''
);
CREATE INDEX ON extra_session (project_id);
ALTER TABLE project_section ADD starts_on date, ADD ends_on date, ADD event_on date;
CREATE TABLE milestone_date (
  milestone_id uuid NOT NULL REFERENCES milestone ON DELETE CASCADE,
  section_id uuid NOT NULL REFERENCES section ON DELETE CASCADE,
  due_on date NOT NULL,
  PRIMARY KEY (milestone_id, section_id)
);
CREATE TABLE task (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  length int NOT NULL CHECK (length BETWEEN 1 AND 200),
  not_before date,
  deadline date,
  milestone_id uuid REFERENCES milestone ON DELETE SET NULL,
  after uuid[] NOT NULL DEFAULT '{}',
  done_on date,
  place int NOT NULL DEFAULT 0,
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON task (project_id, lower(title));

-- Gates and tools ----------------------------------------------------------------------------------------------------
-- A milestone with a gate stage is a gate: builds from that stage on ask for its signature.
ALTER TABLE milestone ADD gate_stage text CHECK (gate_stage IN ('mock-up', 'proof of concept', 'prototype', 'final'));
CREATE TABLE tool (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  caution text NOT NULL DEFAULT '',
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON tool (project_id, lower(name));
CREATE TABLE tool_sign_off (
  tool_id uuid NOT NULL REFERENCES tool ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  signed_on date NOT NULL,
  signed_by text NOT NULL,
  PRIMARY KEY (tool_id, person_id)
);
CREATE TABLE gate_item (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  milestone_id uuid NOT NULL REFERENCES milestone ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('each', 'team', 'tool', 'coverage')),
  label text NOT NULL CHECK (label <> ''),
  needs int NOT NULL DEFAULT 0,
  tool_id uuid REFERENCES tool ON DELETE CASCADE,
  CHECK ((kind = 'tool') = (tool_id IS NOT NULL))
);
CREATE INDEX ON gate_item (milestone_id);
CREATE TABLE gate_tick (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  item_id uuid NOT NULL REFERENCES gate_item ON DELETE CASCADE,
  team_id uuid REFERENCES team ON DELETE CASCADE,
  person_id uuid REFERENCES person ON DELETE CASCADE,
  ticked_by text NOT NULL,
  ticked_at timestamptz NOT NULL DEFAULT app_now(),
  CHECK ((team_id IS NULL) <> (person_id IS NULL)),
  UNIQUE NULLS NOT DISTINCT (item_id, team_id, person_id)
);
CREATE TABLE gate_sign_off (
  milestone_id uuid NOT NULL REFERENCES milestone ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  signed_by text NOT NULL,
  signed_at timestamptz NOT NULL DEFAULT app_now(),
  -- What was missing when it was signed all the same.
  missing text NOT NULL DEFAULT '',
  PRIMARY KEY (milestone_id, team_id)
);

-- Notebook -----------------------------------------------------------------------------------------------------------
CREATE TABLE notebook_entry (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  on_date date NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON notebook_entry (project_id, person_id);
-- The first version is the entry; every later one is an amendment and stands beside it.
CREATE TABLE notebook_version (
  entry_id uuid NOT NULL REFERENCES notebook_entry ON DELETE CASCADE,
  number int NOT NULL,
  text text NOT NULL CHECK (text <> ''),
  reason text NOT NULL DEFAULT '',
  written_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (entry_id, number)
);
