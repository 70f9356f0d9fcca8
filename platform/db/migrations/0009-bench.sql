-- Before the first run of a day a team says that it is safe to begin: each caution as it was ticked, by whom, when.
CREATE TABLE safety_check (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  protocol_id uuid NOT NULL REFERENCES protocol ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  on_date date NOT NULL,
  cautions text[] NOT NULL CHECK (cautions <> '{}'),
  checked_by text NOT NULL,
  checked_at timestamptz NOT NULL DEFAULT app_now()
);
CREATE UNIQUE INDEX safety_check_of_a_day ON safety_check (protocol_id, team_id, on_date);
CREATE INDEX ON safety_check (project_id);

-- A pilot run irons a protocol out: it is kept, and never counts.
ALTER TABLE run DROP CONSTRAINT run_place_check;
ALTER TABLE run ADD CONSTRAINT run_place_check CHECK (place IN ('bench', 'contest', 'pilot'));
CREATE UNIQUE INDEX run_pilot_attempt ON run (build_id, protocol_version_id, attempt) WHERE place = 'pilot';
