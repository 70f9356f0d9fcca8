-- An inspection is of a build, once for all events that it enters: what was measured and looked at, line by line. With
-- it the build is impounded: whatever changes on it afterwards is inspected again.
CREATE TABLE allowed_part (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  most int NOT NULL CHECK (most BETWEEN 0 AND 9999),
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX allowed_part_name ON allowed_part (project_id, lower(name));

CREATE TABLE inspection (
  id uuid PRIMARY KEY,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  number int NOT NULL CHECK (number > 0),
  build_revision int NOT NULL,
  outcome text NOT NULL CHECK (outcome IN ('passed', 'turned away', 'released')),
  checks jsonb NOT NULL DEFAULT '[]',
  -- Why it may start although a line is not kept or was not looked at.
  waiver text NOT NULL DEFAULT '',
  note text NOT NULL DEFAULT '',
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  CONSTRAINT inspection_number UNIQUE (build_id, number)
);

-- What was inspected so far, entry by entry, stands as inspections of their builds without lines.
INSERT INTO inspection (id, build_id, number, build_revision, outcome, waiver, note, recorded_by, recorded_at)
SELECT
  n.id, n.build_id, row_number() OVER (PARTITION BY n.build_id ORDER BY coalesce(n.inspected_at, app_now()), n.id),
  b.revision, n.inspection, CASE n.inspection WHEN 'passed' THEN n.inspection_note ELSE '' END,
  CASE n.inspection WHEN 'passed' THEN '' ELSE n.inspection_note END, 'an inspector',
  coalesce(n.inspected_at, app_now())
FROM entry n
JOIN build b ON b.id = n.build_id
WHERE n.inspection <> 'waiting';

-- The newest inspection of a build decides for its entries, in every event that is not confirmed.
CREATE FUNCTION renew_inspections(ids uuid[]) RETURNS void LANGUAGE sql AS $$
  UPDATE entry n
  SET inspection = x.state, inspection_note = x.note, inspected_at = x.at
  FROM (
    SELECT
      b.id,
      CASE WHEN i.outcome IS NULL OR i.outcome = 'released' OR b.revision <> i.build_revision THEN 'waiting'
        ELSE i.outcome END AS state,
      CASE
        WHEN i.outcome IS NULL THEN ''
        WHEN i.outcome = 'released' THEN 'released: ' || i.note
        WHEN b.revision <> i.build_revision THEN 'changed since it was inspected'
        WHEN i.outcome = 'passed' THEN i.waiver
        ELSE i.note
      END AS note,
      CASE WHEN i.outcome = 'passed' AND b.revision = i.build_revision THEN i.recorded_at END AS at
    FROM build b
    LEFT JOIN LATERAL (SELECT * FROM inspection WHERE build_id = b.id ORDER BY number DESC LIMIT 1) i ON true
    WHERE b.id = ANY(ids)
  ) x, event e
  WHERE n.build_id = x.id AND e.id = n.event_id AND e.state <> 'confirmed'
    AND (n.inspection, n.inspection_note, n.inspected_at) IS DISTINCT FROM (x.state, x.note, x.at)
$$;

CREATE FUNCTION renew_inspections_changed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM renew_inspections(ARRAY(SELECT DISTINCT build_id FROM changed));
  RETURN NULL;
END $$;

CREATE FUNCTION renew_inspections_of_builds() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM renew_inspections(ARRAY(
    SELECT c.id FROM changed c JOIN was w ON w.id = c.id WHERE c.revision <> w.revision
  ));
  RETURN NULL;
END $$;

CREATE TRIGGER inspections_1 AFTER INSERT ON inspection REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION renew_inspections_changed();
CREATE TRIGGER inspections_2 AFTER DELETE ON inspection REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION renew_inspections_changed();
CREATE TRIGGER inspections_1 AFTER UPDATE ON build REFERENCING OLD TABLE AS was NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION renew_inspections_of_builds();
