-- What a student answered to an exercise of the trainer; the exercise is made again from the record and its seed.
CREATE TABLE trainer_answer (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('limit', 'pair', 'next', 'round', 'grade', 'fair')),
  seed text NOT NULL,
  given text NOT NULL,
  correct boolean NOT NULL,
  answered_at timestamptz NOT NULL DEFAULT app_now(),
  CONSTRAINT trainer_answer_once UNIQUE (person_id, project_id, kind, seed)
);
CREATE INDEX ON trainer_answer (project_id);
