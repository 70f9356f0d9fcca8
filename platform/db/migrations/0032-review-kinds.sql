-- What a review is for, who takes part, and what its verdict rests on; marks of persons; questions; actions that are
-- changes of the design, and what they were closed by.
ALTER TABLE review
  ADD COLUMN kind text NOT NULL DEFAULT 'design'
    CHECK (kind IN ('proposals', 'design', 'test', 'demonstration', 'final', 'presentation')),
  ADD COLUMN takes_part text NOT NULL DEFAULT '',
  -- Which build, sheets and requirements there were, each with its version, as the verdict was given.
  ADD COLUMN rests jsonb;
ALTER TABLE sheet ADD COLUMN correction text NOT NULL DEFAULT '';
CREATE TABLE sheet_person_mark (
  sheet_id uuid NOT NULL REFERENCES sheet ON DELETE CASCADE,
  criterion text NOT NULL,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  points numeric NOT NULL,
  PRIMARY KEY (sheet_id, criterion, person_id)
);
CREATE INDEX ON sheet_person_mark (person_id);
CREATE TABLE review_question (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  review_id uuid NOT NULL REFERENCES review ON DELETE CASCADE,
  question text NOT NULL CHECK (question <> ''),
  asked_by text NOT NULL,
  asked_at timestamptz NOT NULL DEFAULT app_now(),
  answer text NOT NULL DEFAULT '',
  answered_by text,
  answered_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CHECK ((answer = '') = (answered_at IS NULL))
);
CREATE INDEX ON review_question (review_id);
ALTER TABLE action_item
  ADD COLUMN changes_design boolean NOT NULL DEFAULT false,
  ADD COLUMN closing_build uuid REFERENCES build ON DELETE SET NULL,
  ADD COLUMN closing_run uuid REFERENCES run ON DELETE SET NULL;
CREATE INDEX ON action_item (closing_build);
CREATE INDEX ON action_item (closing_run);
ALTER TABLE file_use ADD COLUMN action_id uuid REFERENCES action_item ON DELETE CASCADE;
CREATE INDEX ON file_use (action_id);

-- At a demonstration a wish can be met in part; what was said of it, and by whom.
ALTER TABLE evidence DROP CONSTRAINT evidence_finding_check;
ALTER TABLE evidence
  ADD CONSTRAINT evidence_finding_check CHECK (finding IN ('met', 'partly', 'not met', 'not applicable'));
CREATE TABLE demonstration_tick (
  review_id uuid NOT NULL REFERENCES review ON DELETE CASCADE,
  requirement_id uuid NOT NULL REFERENCES requirement ON DELETE CASCADE,
  outcome text NOT NULL CHECK (outcome IN ('met', 'partly', 'not met')),
  word text NOT NULL DEFAULT '',
  ticked_by text NOT NULL,
  ticked_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (review_id, requirement_id)
);
CREATE INDEX ON demonstration_tick (requirement_id);
