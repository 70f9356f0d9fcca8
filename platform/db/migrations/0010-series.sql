-- Samples of one channel, as an instrument gave them: what an attempt's reading is taken from.
CREATE TABLE series (
  id uuid PRIMARY KEY,
  project_id uuid NOT NULL REFERENCES project ON DELETE CASCADE,
  build_id uuid NOT NULL REFERENCES build ON DELETE CASCADE,
  protocol_version_id uuid NOT NULL REFERENCES protocol_version ON DELETE CASCADE,
  -- The protocol's reading that is taken from it.
  key text NOT NULL CHECK (key <> ''),
  unit text NOT NULL,
  source text NOT NULL DEFAULT '',
  run_id uuid REFERENCES run ON DELETE SET NULL,
  -- The part that counts, in seconds, where it is not all of it, and why.
  from_t double precision,
  to_t double precision CHECK (to_t > from_t),
  reason text NOT NULL DEFAULT '',
  recorded_by text NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT app_now(),
  version int NOT NULL DEFAULT 1,
  CHECK ((from_t IS NULL) = (to_t IS NULL))
);
CREATE INDEX ON series (project_id);
CREATE INDEX ON series (build_id);
CREATE INDEX ON series (protocol_version_id);
CREATE INDEX ON series (run_id);

-- Its samples in blocks, each with its extent: a curve that is drawn small needs no more of it.
CREATE TABLE series_block (
  series_id uuid NOT NULL REFERENCES series ON DELETE CASCADE,
  number int NOT NULL CHECK (number >= 0),
  n int NOT NULL CHECK (n > 0),
  from_t double precision NOT NULL,
  to_t double precision NOT NULL CHECK (to_t >= from_t),
  low double precision NOT NULL,
  high double precision NOT NULL CHECK (high >= low),
  -- Times and values in turn, as little-endian doubles in base64: they come back bit by bit.
  samples text NOT NULL,
  PRIMARY KEY (series_id, number)
);

-- A series leans on its protocol's version as a run does.
CREATE OR REPLACE FUNCTION keep_frozen() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_TABLE_NAME = 'protocol_version' THEN
    IF NEW.definition IS DISTINCT FROM OLD.definition AND (
      EXISTS (SELECT FROM run WHERE protocol_version_id = OLD.id)
      OR EXISTS (SELECT FROM series WHERE protocol_version_id = OLD.id)
    ) THEN
      RAISE EXCEPTION 'protocol version % is frozen: a run or a series leans on it', OLD.id;
    END IF;
  ELSIF NEW.protocol_version_id IS DISTINCT FROM OLD.protocol_version_id THEN
    RAISE EXCEPTION 'run % belongs to one protocol version', OLD.id;
  END IF;
  RETURN NEW;
END $$;
