-- Somebody is called in the hall: every board shows the words until the call is ended, or another one takes its place.
CREATE TABLE hall_call (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  words text NOT NULL CHECK (words <> ''),
  called_by text NOT NULL,
  called_at timestamptz NOT NULL DEFAULT app_now(),
  ended_at timestamptz
);
CREATE UNIQUE INDEX hall_call_open ON hall_call (project_id) WHERE ended_at IS NULL;
CREATE INDEX ON hall_call (project_id, called_at DESC);
