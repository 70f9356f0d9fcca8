-- Beside the artefact the account of reasons: a team's story, chapter by chapter, and a report of the class by topics.
CREATE TABLE story (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  chapters jsonb NOT NULL,
  -- From when on the class reads it.
  shared_at timestamptz,
  written_by text NOT NULL,
  written_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CONSTRAINT story_once UNIQUE (team_id)
);
CREATE INDEX ON story (project_id);
CREATE TABLE report_topic (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  title text NOT NULL CHECK (title <> ''),
  place int NOT NULL,
  team_id uuid REFERENCES team ON DELETE SET NULL,
  body text NOT NULL DEFAULT '',
  written_by text,
  written_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CONSTRAINT report_topic_title UNIQUE (project_id, title)
);
CREATE INDEX ON report_topic (team_id);
