-- An attempt that two people scored: the second record of it is set aside beside the first one until somebody chooses.
ALTER TABLE run ADD COLUMN rival_of uuid REFERENCES run ON DELETE CASCADE;
CREATE INDEX ON run (rival_of);
ALTER TABLE run ADD CONSTRAINT run_rival_aside CHECK (rival_of IS NULL OR state = 'void');

-- What an attempt is charged under a rule of its event: how often, and what was seen.
CREATE TABLE penalty (
  run_id uuid NOT NULL REFERENCES run ON DELETE CASCADE,
  key text NOT NULL,
  count int NOT NULL CHECK (count BETWEEN 1 AND 99),
  reason text NOT NULL DEFAULT '',
  PRIMARY KEY (run_id, key)
);
-- Two readings of the same: the second one, where the event measures with care.
ALTER TABLE reading ADD COLUMN second numeric;
ALTER TABLE reading ADD COLUMN second_entered text NOT NULL DEFAULT '';
CREATE TRIGGER standings_1 AFTER INSERT ON penalty REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
CREATE TRIGGER standings_2 AFTER UPDATE ON penalty REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
CREATE TRIGGER standings_3 AFTER DELETE ON penalty REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_readings();
