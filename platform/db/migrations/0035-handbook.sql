-- A calculation of the handbook that stays with what it was made for: the inputs as typed; what they come to is
-- computed when it is read.
CREATE TABLE handbook_use (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  calculator text NOT NULL CHECK (calculator <> ''),
  inputs jsonb NOT NULL,
  -- The units in which a bare number among the inputs was typed.
  units text NOT NULL CHECK (units IN ('metric', 'us')),
  note text NOT NULL DEFAULT '',
  build_id uuid REFERENCES build ON DELETE CASCADE,
  protocol_id uuid REFERENCES protocol ON DELETE CASCADE,
  requirement_id uuid REFERENCES requirement ON DELETE CASCADE,
  entry_id uuid REFERENCES notebook_entry ON DELETE CASCADE,
  person_id uuid REFERENCES person ON DELETE SET NULL,
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CONSTRAINT handbook_use_of_one CHECK (num_nonnulls(build_id, protocol_id, requirement_id, entry_id) = 1)
);
CREATE INDEX ON handbook_use (project_id);
CREATE INDEX ON handbook_use (build_id);
CREATE INDEX ON handbook_use (protocol_id);
CREATE INDEX ON handbook_use (requirement_id);
CREATE INDEX ON handbook_use (entry_id);
CREATE INDEX ON handbook_use (person_id);
