-- A reason to look at a team that was looked at and put aside, with what was said of it.
CREATE TABLE flag_aside (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  kind text NOT NULL CHECK (
    kind IN (
      'unbuilt', 'idle', 'untested', 'stale', 'flat', 'action', 'milestone', 'limit', 'trend', 'failure', 'decided'
    )
  ),
  -- What it was about, and how much of it there was: more of it, or another one, comes back.
  about text NOT NULL DEFAULT '',
  size int NOT NULL DEFAULT 0,
  reason text NOT NULL,
  note text NOT NULL CHECK (note <> ''),
  set_by text NOT NULL,
  set_at timestamptz NOT NULL DEFAULT app_now(),
  UNIQUE (team_id, kind, about)
);
CREATE INDEX ON flag_aside (project_id);
