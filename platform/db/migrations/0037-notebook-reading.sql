-- Which version of an entry an instructor has read, and what was remarked on it for its student.
CREATE TABLE notebook_seen (
  entry_id uuid NOT NULL REFERENCES notebook_entry ON DELETE CASCADE,
  person_id uuid NOT NULL REFERENCES person ON DELETE CASCADE,
  number int NOT NULL,
  seen_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (entry_id, person_id)
);
CREATE INDEX ON notebook_seen (person_id);
CREATE TABLE notebook_remark (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  entry_id uuid NOT NULL REFERENCES notebook_entry ON DELETE CASCADE,
  text text NOT NULL CHECK (text <> ''),
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1
);
CREATE INDEX ON notebook_remark (project_id);
CREATE INDEX ON notebook_remark (entry_id);
