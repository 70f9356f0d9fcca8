-- A board is a screen in the hall: what it shows is chosen from elsewhere.
CREATE TABLE board (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  shows text NOT NULL DEFAULT 'running'
    CHECK (shows IN ('running', 'event', 'order', 'overall', 'awards', 'pause')),
  event_id uuid REFERENCES event ON DELETE SET NULL,
  -- How many of the awards are revealed so far.
  revealed int NOT NULL DEFAULT 0 CHECK (revealed >= 0),
  -- What the pause screen says.
  words text NOT NULL DEFAULT '',
  light boolean NOT NULL DEFAULT false,
  version int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX board_name ON board (project_id, lower(name));
CREATE INDEX ON board (event_id);
