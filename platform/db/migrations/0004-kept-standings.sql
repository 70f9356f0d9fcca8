-- The standings of a contest's events, kept as the values of builds are: marked when a fact of them changes, computed
-- once by whoever reads them next.

CREATE TABLE kept_event (
  event_id uuid PRIMARY KEY REFERENCES event ON DELETE CASCADE,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  stale boolean NOT NULL DEFAULT true,
  mark bigint NOT NULL DEFAULT 0,
  standings jsonb NOT NULL DEFAULT '[]',
  -- The version of the event that they were computed from.
  event_version integer
);
CREATE INDEX ON kept_event (project_id, stale);
CREATE INDEX ON run (entry_id) WHERE entry_id IS NOT NULL;
CREATE INDEX ON entry (build_id);
CREATE INDEX ON entry (team_id);

CREATE FUNCTION mark_events(ids uuid[]) RETURNS void LANGUAGE sql AS $$
  INSERT INTO kept_event (event_id, project_id)
  SELECT id, project_id FROM event WHERE id = ANY(ids) ORDER BY id
  ON CONFLICT (event_id) DO UPDATE SET stale = true, mark = kept_event.mark + 1
$$;

CREATE FUNCTION mark_these_events() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT id FROM changed));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_entries() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT DISTINCT event_id FROM changed));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_runs() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT DISTINCT n.event_id FROM changed c JOIN entry n ON n.id = c.entry_id));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_readings() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(
    SELECT DISTINCT n.event_id FROM changed c JOIN run r ON r.id = c.run_id JOIN entry n ON n.id = r.entry_id
  ));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_builds() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT DISTINCT n.event_id FROM changed c JOIN entry n ON n.build_id = c.id));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_teams() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT DISTINCT n.event_id FROM changed c JOIN entry n ON n.team_id = c.id));
  RETURN NULL;
END $$;

CREATE FUNCTION mark_events_of_protocols() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM mark_events(ARRAY(SELECT DISTINCT e.id FROM changed c JOIN event e ON e.protocol_version_id = c.id));
  RETURN NULL;
END $$;

CREATE TRIGGER standings_1 AFTER INSERT ON event REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_these_events();
CREATE TRIGGER standings_2 AFTER UPDATE ON event REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_these_events();
CREATE TRIGGER standings_1 AFTER INSERT ON entry REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
CREATE TRIGGER standings_2 AFTER UPDATE ON entry REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
CREATE TRIGGER standings_3 AFTER DELETE ON entry REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
CREATE TRIGGER standings_1 AFTER INSERT ON run REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();
CREATE TRIGGER standings_2 AFTER UPDATE ON run REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();
CREATE TRIGGER standings_3 AFTER DELETE ON run REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();
CREATE TRIGGER standings_1 AFTER INSERT ON reading REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
CREATE TRIGGER standings_2 AFTER UPDATE ON reading REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
CREATE TRIGGER standings_3 AFTER DELETE ON reading REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
CREATE TRIGGER standings_1 AFTER UPDATE ON build REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_builds();
CREATE TRIGGER standings_1 AFTER UPDATE ON team REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_teams();
CREATE TRIGGER standings_1 AFTER UPDATE ON protocol_version REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_protocols();

-- What is here already is computed at its first reading.
INSERT INTO kept_event (event_id, project_id) SELECT id, project_id FROM event;
