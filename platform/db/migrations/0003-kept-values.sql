-- Values that the core computes from the facts, kept with the versions of the facts that they came from. Triggers mark
-- a build when a fact of it changes; what is marked is computed anew when it is next read. Nothing here is a fact:
-- every row can be dropped and comes back the same.

CREATE TABLE kept_build (
  build_id uuid PRIMARY KEY REFERENCES build ON DELETE CASCADE,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  stale boolean NOT NULL DEFAULT true,
  -- Grows with every change: a value computed before the change is not taken for fresh.
  mark bigint NOT NULL DEFAULT 0
);
CREATE INDEX ON kept_build (project_id, stale);

CREATE TABLE run_value (
  run_id uuid NOT NULL REFERENCES run ON DELETE CASCADE,
  key text NOT NULL,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  value double precision,
  u double precision,
  comparable boolean NOT NULL,
  -- Valid and inside all tolerances, whatever the version of the protocol.
  sound boolean NOT NULL,
  reasons text[] NOT NULL,
  run_version integer NOT NULL,
  protocol_number integer NOT NULL,
  PRIMARY KEY (run_id, key)
);
CREATE INDEX ON run_value (build_id);

CREATE TABLE build_summary (
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  protocol_id uuid NOT NULL REFERENCES protocol ON DELETE CASCADE,
  key text NOT NULL,
  summary jsonb NOT NULL,
  protocol_number integer NOT NULL,
  PRIMARY KEY (build_id, protocol_id, key)
);

CREATE TABLE verdict (
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  value text NOT NULL CHECK (value IN ('met', 'not met', 'marginal', 'untested', 'stale', 'not applicable')),
  requirement_number integer NOT NULL,
  build_revision integer NOT NULL,
  PRIMARY KEY (requirement_id, build_id)
);
CREATE INDEX ON verdict (build_id);

-- Marks builds in the order of their ids, so that two writers never wait for each other in a ring.
CREATE FUNCTION mark_builds(ids uuid[]) RETURNS void LANGUAGE sql AS $$
  INSERT INTO kept_build (build_id, project_id)
  SELECT id, project_id FROM build WHERE id = ANY(ids) ORDER BY id
  ON CONFLICT (build_id) DO UPDATE SET stale = true, mark = kept_build.mark + 1
$$;

CREATE FUNCTION mark_own_builds() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(SELECT DISTINCT build_id FROM changed));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_itself() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(SELECT id FROM changed));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_builds_of_runs() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(SELECT DISTINCT r.build_id FROM changed c JOIN run r ON r.id = c.run_id));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_builds_of_protocols() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(
    SELECT b.id
    FROM build b
    WHERE b.project_id IN (SELECT p.project_id FROM changed c JOIN protocol p ON p.id = c.protocol_id)
  ));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_builds_of_requirement_versions() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(
    SELECT b.id
    FROM build b
    WHERE b.project_id IN (SELECT r.project_id FROM changed c JOIN requirement r ON r.id = c.requirement_id)
  ));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_builds_of_requirements() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_builds(ARRAY(SELECT b.id FROM build b WHERE b.project_id IN (SELECT project_id FROM changed)));
  RETURN NULL;
END $$;

CREATE TRIGGER kept_1 AFTER INSERT ON run REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_2 AFTER UPDATE ON run REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_3 AFTER UPDATE ON run REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_4 AFTER DELETE ON run REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_1 AFTER INSERT ON reading REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_runs();
CREATE TRIGGER kept_2 AFTER UPDATE ON reading REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_runs();
CREATE TRIGGER kept_3 AFTER DELETE ON reading REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_runs();
CREATE TRIGGER kept_1 AFTER INSERT ON build REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_itself();
CREATE TRIGGER kept_2 AFTER UPDATE ON build REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_itself();
CREATE TRIGGER kept_1 AFTER INSERT ON evidence REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_2 AFTER UPDATE ON evidence REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_3 AFTER DELETE ON evidence REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_own_builds();
CREATE TRIGGER kept_1 AFTER INSERT ON protocol_version REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_protocols();
CREATE TRIGGER kept_2 AFTER UPDATE ON protocol_version REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_protocols();
CREATE TRIGGER kept_1 AFTER INSERT ON requirement_version REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_requirement_versions();
CREATE TRIGGER kept_1 AFTER UPDATE ON requirement REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_builds_of_requirements();

-- What is here already is computed at its first reading.
INSERT INTO kept_build (build_id, project_id) SELECT id, project_id FROM build;

-- Indexes that pages of a department ask for.
CREATE INDEX ON project_section (section_id);
CREATE INDEX ON gate_item (project_id);
CREATE INDEX ON gate_tick (project_id);
CREATE INDEX ON gate_sign_off (project_id);
CREATE INDEX ON milestone_check (project_id);
CREATE INDEX ON challenge_result (project_id);
CREATE INDEX ON concept_fate (project_id);
CREATE INDEX ON tool_sign_off (project_id);
CREATE INDEX ON action_item (team_id) WHERE closed_at IS NULL;
CREATE INDEX ON review (team_id);
CREATE INDEX ON selection_sheet (selection_id);
CREATE INDEX ON run (build_id, protocol_version_id, recorded_at);
CREATE INDEX ON run (project_id) WHERE place = 'contest';
CREATE INDEX ON run (protocol_version_id, place);
CREATE INDEX ON audit (project_id, id);
