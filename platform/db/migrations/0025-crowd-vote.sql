-- The favourite of the crowd: a vote on phones, one a device. Of a device nothing is known but the digest of a random
-- number that its browser keeps.
CREATE TABLE ballot (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  -- What stands in its address; a copy in another school has none until it is opened there.
  code text CHECK (code <> ''),
  opened_at timestamptz NOT NULL DEFAULT app_now(),
  closed_at timestamptz,
  version int NOT NULL DEFAULT 1,
  CONSTRAINT ballot_once UNIQUE (project_id),
  CONSTRAINT ballot_code UNIQUE (code)
);
CREATE TABLE vote (
  ballot_id uuid NOT NULL REFERENCES ballot ON DELETE CASCADE,
  device text NOT NULL,
  team_id uuid NOT NULL REFERENCES team ON DELETE CASCADE,
  cast_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (ballot_id, device)
);
CREATE INDEX ON vote (team_id);

ALTER TABLE board DROP CONSTRAINT board_shows_check;
ALTER TABLE board ADD CONSTRAINT board_shows_check
  CHECK (shows IN ('running', 'event', 'order', 'overall', 'vote', 'awards', 'pause'));
