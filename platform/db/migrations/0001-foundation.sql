-- The moment that records carry. It is the clock, unless a session sets ironstone.now:
-- the demo tells a past term that way.
CREATE FUNCTION app_now() RETURNS timestamptz LANGUAGE sql STABLE AS
$$ SELECT coalesce(nullif(current_setting('ironstone.now', true), '')::timestamptz, clock_timestamp()) $$;

-- People and access --------------------------------------------------------------------------------------------------
CREATE TABLE person (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (name <> ''),
  email text UNIQUE CHECK (email = lower(email)),
  password_hash text,
  instructor boolean NOT NULL DEFAULT false,
  admin boolean NOT NULL DEFAULT false,
  erased_at timestamptz,
  version int NOT NULL DEFAULT 1
);
CREATE TABLE session_token (
  hash text PRIMARY KEY,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  created_at timestamptz NOT NULL DEFAULT now(),
  expires_at timestamptz NOT NULL
);
CREATE TABLE sign_in_attempt (key text NOT NULL, at timestamptz NOT NULL DEFAULT now());
CREATE INDEX ON sign_in_attempt (key, at);

-- Projects and sections ----------------------------------------------------------------------------------------------
CREATE TABLE project (
  id uuid PRIMARY KEY,
  slug text NOT NULL UNIQUE CHECK (slug ~ '^[a-z0-9]+(-[a-z0-9]+)*$'),
  title text NOT NULL CHECK (title <> ''),
  purpose text NOT NULL DEFAULT '',
  kind text NOT NULL CHECK (kind IN ('client', 'contest', 'both')),
  client text NOT NULL DEFAULT '',
  starts_on date NOT NULL,
  ends_on date NOT NULL CHECK (ends_on >= starts_on),
  event_on date,
  currency text NOT NULL DEFAULT '',
  settings jsonb NOT NULL DEFAULT '{}',
  edition_of uuid REFERENCES project ON DELETE SET NULL,
  finished_at timestamptz,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE TABLE section (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (name <> ''),
  school_year text NOT NULL,
  pattern jsonb NOT NULL,
  version int NOT NULL DEFAULT 1
);
CREATE TABLE project_section (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid NOT NULL REFERENCES section ON DELETE CASCADE,
  PRIMARY KEY (project_id, section_id)
);
CREATE TABLE staff (
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  role text NOT NULL CHECK (role IN ('owner', 'co')),
  PRIMARY KEY (project_id, person_id)
);
CREATE INDEX ON staff (person_id);
CREATE TABLE enrolment (
  id uuid PRIMARY KEY,
  section_id uuid NOT NULL REFERENCES section ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  from_on date,
  to_on date,
  UNIQUE (section_id, person_id)
);
CREATE INDEX ON enrolment (person_id);
CREATE TABLE guest_link (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  role text NOT NULL CHECK (role IN ('client', 'reviewer', 'judge', 'scorer', 'board')),
  label text NOT NULL CHECK (label <> ''),
  secret_hash text NOT NULL UNIQUE,
  pin_hash text,
  expires_at timestamptz NOT NULL,
  revoked_at timestamptz,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON guest_link (project_id);

-- Plan ---------------------------------------------------------------------------------------------------------------
CREATE TABLE day_off (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid REFERENCES section ON DELETE CASCADE,
  on_date date NOT NULL,
  reason text NOT NULL DEFAULT '',
  UNIQUE NULLS NOT DISTINCT (project_id, section_id, on_date)
);
CREATE TABLE milestone (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  due_on date NOT NULL,
  scope text NOT NULL DEFAULT 'team' CHECK (scope IN ('team', 'person')),
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, title)
);
CREATE TABLE brief_version (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  number int NOT NULL,
  body text NOT NULL,
  what_changed text NOT NULL DEFAULT '',
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (project_id, number)
);
CREATE TABLE brief_reading (
  brief_version_id uuid NOT NULL REFERENCES brief_version ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (brief_version_id, person_id)
);

-- Needs --------------------------------------------------------------------------------------------------------------
CREATE TABLE requirement (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  code text NOT NULL,
  retired_at timestamptz,
  retired_reason text,
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, code)
);
CREATE TABLE requirement_version (
  id uuid PRIMARY KEY,
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  number int NOT NULL,
  statement text NOT NULL CHECK (statement <> ''),
  kind text NOT NULL CHECK (kind IN ('constraint', 'criterion')),
  priority text NOT NULL CHECK (priority IN ('must', 'should', 'could')),
  measure text,
  comparator text CHECK (comparator IN ('≤', '≥', '=', '±', 'between', 'fits', 'yes')),
  target numeric,
  second numeric,
  sides numeric[],
  unit text,
  method text CHECK (method IN ('test', 'inspection', 'demonstration', 'analysis')),
  source text NOT NULL DEFAULT '',
  reason text NOT NULL DEFAULT '',
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (requirement_id, number)
);

-- Concepts and teams -------------------------------------------------------------------------------------------------
CREATE TABLE team (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  section_id uuid REFERENCES section ON DELETE SET NULL,
  name text NOT NULL CHECK (name <> ''),
  retired_at timestamptz,
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON team (project_id, lower(name)) WHERE retired_at IS NULL;
CREATE TABLE membership (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  role text NOT NULL DEFAULT '',
  from_on date NOT NULL,
  to_on date
);
CREATE UNIQUE INDEX ON membership (project_id, person_id) WHERE to_on IS NULL;
CREATE INDEX ON membership (person_id);
CREATE INDEX ON membership (team_id);
CREATE TABLE concept (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  author_id uuid REFERENCES person ON DELETE SET NULL,
  team_id uuid REFERENCES team ON DELETE SET NULL,
  title text NOT NULL CHECK (title <> ''),
  idea text NOT NULL DEFAULT '',
  mass numeric,
  cost numeric,
  sides numeric[],
  fate text NOT NULL DEFAULT 'open' CHECK (fate IN ('open', 'goes on', 'set aside')),
  fate_reason text NOT NULL DEFAULT '',
  fate_by text,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON concept (project_id);
CREATE TABLE draw (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  purpose text NOT NULL,
  seed text NOT NULL,
  inputs jsonb NOT NULL,
  outcome jsonb NOT NULL,
  drawn_by text NOT NULL,
  drawn_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON draw (project_id);

-- Builds -------------------------------------------------------------------------------------------------------------
CREATE TABLE build (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  number int NOT NULL,
  stage text NOT NULL CHECK (stage IN ('mock-up', 'proof of concept', 'prototype', 'final')),
  built_on date NOT NULL,
  what_changed text NOT NULL DEFAULT '',
  why text NOT NULL DEFAULT '',
  expected text NOT NULL DEFAULT '',
  predicted numeric,
  mass numeric CHECK (mass >= 0),
  cost numeric CHECK (cost >= 0),
  sides numeric[],
  learned text NOT NULL DEFAULT '',
  features text[] NOT NULL DEFAULT '{}',
  -- Counts physical changes: what was measured under an earlier revision is stale.
  -- `version` counts every edit of the record.
  revision int NOT NULL DEFAULT 1,
  recorded_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  UNIQUE (team_id, number)
);
CREATE INDEX ON build (project_id);
CREATE TABLE build_parent (
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  parent_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  PRIMARY KEY (build_id, parent_id),
  CHECK (build_id <> parent_id)
);
CREATE TABLE variable_setting (
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  name text NOT NULL,
  value text NOT NULL,
  PRIMARY KEY (build_id, name)
);
CREATE TABLE file (
  hash text PRIMARY KEY,
  mime text NOT NULL,
  size int NOT NULL,
  width int,
  height int,
  content bytea
);
CREATE TABLE file_use (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  file_hash text NOT NULL REFERENCES file,
  build_id uuid REFERENCES build ON DELETE CASCADE,
  caption text NOT NULL DEFAULT '',
  added_by text NOT NULL,
  added_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE INDEX ON file_use (build_id);
CREATE INDEX ON file_use (file_hash);
CREATE INDEX ON file_use (project_id);

-- Runs ---------------------------------------------------------------------------------------------------------------
CREATE TABLE protocol (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, name)
);
CREATE TABLE protocol_version (
  id uuid PRIMARY KEY,
  protocol_id uuid NOT NULL REFERENCES protocol ON DELETE CASCADE,
  number int NOT NULL,
  definition jsonb NOT NULL,
  what_changed text NOT NULL DEFAULT '',
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (protocol_id, number)
);
CREATE TABLE event (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  protocol_version_id uuid NOT NULL REFERENCES protocol_version,
  name text NOT NULL CHECK (name <> ''),
  definition jsonb NOT NULL,
  state text NOT NULL DEFAULT 'set up' CHECK (state IN ('set up', 'running', 'confirmed')),
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, name)
);
CREATE TABLE entry (
  id uuid PRIMARY KEY,
  event_id uuid NOT NULL REFERENCES event ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team,
  build_id uuid REFERENCES build,
  run_order int,
  inspection text NOT NULL DEFAULT 'waiting' CHECK (inspection IN ('waiting', 'passed', 'turned away')),
  inspection_note text NOT NULL DEFAULT '',
  inspected_at timestamptz,
  version int NOT NULL DEFAULT 1,
  UNIQUE (event_id, team_id)
);
CREATE TABLE run (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build,
  build_revision int NOT NULL,
  protocol_version_id uuid NOT NULL REFERENCES protocol_version,
  attempt int NOT NULL CHECK (attempt > 0),
  place text NOT NULL CHECK (place IN ('bench', 'contest')),
  entry_id uuid REFERENCES entry ON DELETE CASCADE,
  state text NOT NULL CHECK (state IN ('valid', 'foul', 'no_finish', 'void')),
  reason text,
  -- What it was before it was set aside.
  void_from text,
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CHECK ((place = 'contest') = (entry_id IS NOT NULL))
);
CREATE UNIQUE INDEX ON run (build_id, protocol_version_id, attempt) WHERE place = 'bench';
CREATE UNIQUE INDEX ON run (entry_id, attempt) WHERE place = 'contest' AND state <> 'void';
CREATE INDEX ON run (project_id, recorded_at);
CREATE TABLE reading (
  run_id uuid NOT NULL REFERENCES run ON DELETE CASCADE,
  key text NOT NULL,
  role text NOT NULL CHECK (role IN ('measure', 'condition')),
  value numeric NOT NULL,
  entered text NOT NULL DEFAULT '',
  PRIMARY KEY (run_id, key)
);
-- A protocol version that a run leans on never changes; a run never moves to another version.
CREATE FUNCTION keep_frozen() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_TABLE_NAME = 'protocol_version' THEN
    IF EXISTS (SELECT FROM run WHERE protocol_version_id = OLD.id)
      AND NEW.definition IS DISTINCT FROM OLD.definition THEN
      RAISE EXCEPTION 'protocol version % is frozen: a run leans on it', OLD.id;
    END IF;
  ELSIF NEW.protocol_version_id IS DISTINCT FROM OLD.protocol_version_id THEN
    RAISE EXCEPTION 'run % belongs to one protocol version', OLD.id;
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER frozen BEFORE UPDATE ON protocol_version FOR EACH ROW EXECUTE FUNCTION keep_frozen();
CREATE TRIGGER frozen BEFORE UPDATE ON run FOR EACH ROW EXECUTE FUNCTION keep_frozen();

-- Evidence -----------------------------------------------------------------------------------------------------------
CREATE TABLE evidence (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('run', 'build', 'finding')),
  run_id uuid REFERENCES run ON DELETE CASCADE,
  requirement_version int NOT NULL,
  build_revision int NOT NULL,
  protocol_version int,
  finding text CHECK (finding IN ('met', 'not met', 'not applicable')),
  note text NOT NULL DEFAULT '',
  kept_reason text,
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  CHECK ((kind = 'run') = (run_id IS NOT NULL)),
  CHECK ((kind = 'finding') = (finding IS NOT NULL))
);
CREATE INDEX ON evidence (project_id);
CREATE INDEX ON evidence (build_id, requirement_id);
CREATE INDEX ON evidence (run_id);

-- Sheets -------------------------------------------------------------------------------------------------------------
CREATE TABLE rubric (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, name)
);
CREATE TABLE rubric_version (
  id uuid PRIMARY KEY,
  rubric_id uuid NOT NULL REFERENCES rubric ON DELETE CASCADE,
  number int NOT NULL,
  definition jsonb NOT NULL,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (rubric_id, number)
);
CREATE TABLE review (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  held_on date NOT NULL,
  team_id uuid NOT NULL REFERENCES team,
  build_id uuid REFERENCES build,
  rubric_version_id uuid NOT NULL REFERENCES rubric_version,
  verdict text CHECK (verdict IN ('go on', 'go on with fixes', 'stop and rework')),
  verdict_note text NOT NULL DEFAULT '',
  decided_by text,
  decided_at timestamptz,
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, title, team_id)
);
CREATE TABLE sheet (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  review_id uuid NOT NULL REFERENCES review ON DELETE CASCADE,
  rubric_version_id uuid NOT NULL REFERENCES rubric_version,
  rater_person uuid REFERENCES person ON DELETE SET NULL,
  rater_guest uuid REFERENCES guest_link ON DELETE SET NULL,
  rater_name text NOT NULL CHECK (rater_name <> ''),
  comment text NOT NULL DEFAULT '',
  submitted_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX ON sheet (review_id, lower(rater_name));
CREATE INDEX ON sheet (project_id);
CREATE TABLE sheet_mark (
  sheet_id uuid NOT NULL REFERENCES sheet ON DELETE CASCADE,
  criterion text NOT NULL,
  points numeric NOT NULL,
  comment text NOT NULL DEFAULT '',
  PRIMARY KEY (sheet_id, criterion)
);
CREATE TABLE action_item (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  review_id uuid NOT NULL REFERENCES review ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team,
  what text NOT NULL CHECK (what <> ''),
  owner_id uuid REFERENCES person ON DELETE SET NULL,
  due_on date NOT NULL,
  closed_at timestamptz,
  closed_by text,
  closing_evidence text,
  version int NOT NULL DEFAULT 1,
  CHECK ((closed_at IS NULL) = (closing_evidence IS NULL))
);
CREATE INDEX ON action_item (project_id);

-- Grades -------------------------------------------------------------------------------------------------------------
CREATE TABLE milestone_check (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  milestone_id uuid NOT NULL REFERENCES milestone ON DELETE CASCADE,
  team_id uuid REFERENCES team ON DELETE CASCADE,
  person_id uuid REFERENCES person ON DELETE CASCADE,
  done_on date NOT NULL,
  checked_by text NOT NULL,
  CHECK ((team_id IS NULL) <> (person_id IS NULL)),
  UNIQUE NULLS NOT DISTINCT (milestone_id, team_id, person_id)
);
CREATE TABLE scheme_version (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  number int NOT NULL,
  definition jsonb NOT NULL,
  created_by text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (project_id, number)
);
CREATE TABLE entered_mark (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  component text NOT NULL,
  kind text NOT NULL CHECK (kind IN ('mark', 'override', 'excused', 'missing')),
  share numeric CHECK (share >= 0),
  reason text NOT NULL DEFAULT '',
  entered_by text NOT NULL,
  entered_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  UNIQUE (project_id, person_id, component),
  CHECK ((share IS NOT NULL) = (kind IN ('mark', 'override')))
);
CREATE TABLE publication (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  number int NOT NULL,
  scheme_version int NOT NULL,
  ledger jsonb NOT NULL,
  what_changed text NOT NULL DEFAULT '',
  published_by text NOT NULL,
  published_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (project_id, number)
);

-- Writes -------------------------------------------------------------------------------------------------------------
CREATE TABLE audit (
  id uuid PRIMARY KEY,
  at timestamptz NOT NULL DEFAULT app_now(),
  actor_kind text NOT NULL,
  actor_id uuid,
  actor_name text NOT NULL,
  project_id uuid REFERENCES project ON DELETE CASCADE,
  act text NOT NULL,
  subject_type text NOT NULL,
  subject_id text,
  label text NOT NULL DEFAULT '',
  before jsonb,
  after jsonb,
  reason text
);
CREATE INDEX ON audit (project_id, at DESC);
CREATE TABLE request_done (
  id uuid PRIMARY KEY,
  act text NOT NULL,
  actor text NOT NULL,
  result jsonb,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX ON request_done (at);
