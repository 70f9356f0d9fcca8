-- A piece that somebody makes for a build: what it should measure, what it does measure, and on what it was made.
CREATE TABLE piece (
  id uuid PRIMARY KEY,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> ''),
  maker_id uuid REFERENCES person ON DELETE SET NULL,
  -- It is cut once, from what there is no more of: its checks come first.
  one_chance boolean NOT NULL DEFAULT false,
  -- Sheet or stock that it is cut from, and the machine with its settings.
  material text NOT NULL DEFAULT '',
  machine text NOT NULL DEFAULT '',
  settings jsonb NOT NULL DEFAULT '{}',
  -- Pieces of one chain stand end to end: their lengths add up.
  chain text NOT NULL DEFAULT '',
  -- In metres.
  nominal numeric CHECK (nominal > 0),
  tolerance numeric CHECK (tolerance >= 0),
  measured numeric CHECK (measured > 0),
  entered jsonb NOT NULL DEFAULT '{}',
  version int NOT NULL DEFAULT 1,
  CHECK (nominal IS NOT NULL OR (tolerance IS NULL AND measured IS NULL AND chain = ''))
);
CREATE UNIQUE INDEX piece_name ON piece (build_id, lower(name));
CREATE INDEX ON piece (maker_id);

-- How far it is, and who saw to it.
CREATE TABLE piece_step (
  piece_id uuid NOT NULL REFERENCES piece ON DELETE CASCADE,
  step text NOT NULL CHECK (step IN ('drawn', 'checked', 'trial', 'released', 'cut', 'fitted')),
  person_id uuid REFERENCES person ON DELETE SET NULL,
  done_by text NOT NULL,
  done_at timestamptz NOT NULL DEFAULT app_now(),
  PRIMARY KEY (piece_id, step)
);
CREATE INDEX ON piece_step (person_id);
