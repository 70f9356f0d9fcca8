-- Events that judges mark: nothing is measured there, each judge has a sheet of each entry.
ALTER TABLE event DROP CONSTRAINT event_format_check;
ALTER TABLE event ADD CONSTRAINT event_format_check
  CHECK (format IN ('attempts', 'judged', 'double', 'single', 'robin', 'records'));

CREATE TABLE judge_sheet (
  id uuid PRIMARY KEY,
  entry_id uuid NOT NULL REFERENCES entry ON DELETE CASCADE,
  -- The person or the link that judges: who has a sheet of an entry has no second one.
  judge_id uuid NOT NULL,
  judge text NOT NULL CHECK (judge <> ''),
  state text NOT NULL DEFAULT 'marked' CHECK (state IN ('marked', 'stepped', 'aside')),
  -- What it was before it was set aside.
  aside_from text,
  marks jsonb NOT NULL DEFAULT '{}',
  -- What was seen, or why the judge stepped back, or why it was set aside.
  note text NOT NULL DEFAULT '',
  reason text NOT NULL DEFAULT '',
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CONSTRAINT judge_sheet_once UNIQUE (entry_id, judge_id),
  CHECK ((state = 'aside') = (aside_from IS NOT NULL))
);

CREATE TRIGGER standings_1 AFTER INSERT ON judge_sheet REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();
CREATE TRIGGER standings_2 AFTER UPDATE ON judge_sheet REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();
CREATE TRIGGER standings_3 AFTER DELETE ON judge_sheet REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION mark_events_of_runs();

-- Where a run-off breaks a tie: in which order those who were tied ended it.
ALTER TABLE entry ADD COLUMN run_off int CHECK (run_off > 0);
