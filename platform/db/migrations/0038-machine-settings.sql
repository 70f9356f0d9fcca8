-- Settings of a machine that were tried in this shop: a record of what came out, not advice.
CREATE TABLE machine_setting (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  machine text NOT NULL CHECK (machine <> ''),
  material text NOT NULL CHECK (material <> ''),
  -- As typed, and in metres; nothing where a thickness says nothing.
  thickness_text text NOT NULL DEFAULT '',
  thickness numeric,
  settings text NOT NULL CHECK (settings <> ''),
  outcome text NOT NULL CHECK (outcome IN ('worked', 'partly', 'failed')),
  seen text NOT NULL DEFAULT '',
  tried_by text NOT NULL,
  tried_on date NOT NULL,
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON machine_setting (project_id);
