-- Events in which two meet at a time: a bracket, a round robin, rounds of equal records. Nothing is measured under a
-- protocol there; what is kept is who met whom and how it ended, and the rest is computed.
ALTER TABLE event ADD COLUMN format text NOT NULL DEFAULT 'attempts'
  CHECK (format IN ('attempts', 'double', 'single', 'robin', 'records'));
ALTER TABLE event ALTER COLUMN protocol_version_id DROP NOT NULL;
ALTER TABLE event ADD CONSTRAINT event_measured CHECK ((format = 'attempts') = (protocol_version_id IS NOT NULL));

CREATE TABLE match_result (
  id uuid PRIMARY KEY,
  event_id uuid NOT NULL REFERENCES event ON DELETE CASCADE,
  -- Of several of one slot between the same two, the one with the greatest number counts.
  number int NOT NULL CHECK (number > 0),
  slot text NOT NULL CHECK (slot <> ''),
  a_id uuid NOT NULL REFERENCES entry ON DELETE CASCADE,
  b_id uuid NOT NULL REFERENCES entry ON DELETE CASCADE,
  outcome text NOT NULL CHECK (outcome IN ('won', 'walkover', 'disqualified', 'neither', 'drawn')),
  winner_id uuid REFERENCES entry ON DELETE CASCADE,
  a_score numeric,
  b_score numeric,
  reason text NOT NULL DEFAULT '',
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  CONSTRAINT match_result_number UNIQUE (event_id, number),
  CHECK (a_id <> b_id),
  CHECK ((a_score IS NULL) = (b_score IS NULL)),
  CONSTRAINT match_result_winner CHECK (
    CASE WHEN outcome IN ('neither', 'drawn') THEN winner_id IS NULL ELSE winner_id IN (a_id, b_id) END IS TRUE
  )
);
CREATE INDEX ON match_result (a_id);
CREATE INDEX ON match_result (b_id);
CREATE INDEX ON match_result (winner_id);

CREATE TRIGGER standings_1 AFTER INSERT ON match_result REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
CREATE TRIGGER standings_2 AFTER UPDATE ON match_result REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
CREATE TRIGGER standings_3 AFTER DELETE ON match_result REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_entries();
